import { formatWithUnit, numberOf, rowLabels, rowsByTable, wallOf } from '@lattice/core';
import { useMemo, useState } from 'react';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { CountField } from '../../design/controls/CountField.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { Paper } from '../../design/Paper.ts';
import { QuiltLit } from '../drawing/QuiltLit.tsx';
import { PrintHead } from '../paper/PrintHead.tsx';
import { outlinePath } from '../drawing/paths.ts';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { onPaper } from '../../design/media.ts';

const Page = styled(Paper)`
  .tables {
    max-width: 320px;
  }
  section {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 200px;
    gap: 6px 24px;
    margin-bottom: 28px;
    padding-bottom: 20px;
    border-bottom: 1px dashed var(--line);
    h2 {
      grid-column: 1 / -1;
      font: 650 var(--size-title)/1.2 var(--name);
    }
  }
  .small {
    height: 240px;
  }
  h3 {
    margin: 8px 0 2px;
    font-size: var(--size-read);
  }
  ol {
    margin: 0 0 8px;
    padding-left: 1.4em;
  }
  ${onPaper} {
    section {
      border: 0;
      break-after: page;
    }
  }
`;

/** Sheets to hand out on a sewing day: each table its rows, block by block, and how they are sewn and pressed. */
export function SewingDayPage() {
  const plan = useAppSelector(selectPlan);
  const { layout } = useAppSelector(selectQuilt);
  const id = useAppSelector((s) => s.saving.id)!;
  const [tables, setTables] = useState(3);
  const rows = useMemo(() => {
    const pieces = layout.pieces.filter((p) => p.place !== undefined).sort((a, b) => a.place! - b.place!);
    const labels = rowLabels(pieces);
    const { places } = wallOf(plan, pieces.length);
    const by = new Map<number, { number: number; name: string; turn: number; path: string }[]>();
    pieces.forEach((piece, i) => {
      const { row, number } = labels[i]!;
      const { block, turn } = places[i]!;
      const one = { number, name: block?.name ?? 'still to come', turn, path: outlinePath(piece) };
      by.set(
        row,
        [...(by.get(row) ?? []), one].sort((a, b) => a.number - b.number),
      );
    });
    return [...by].sort(([a], [b]) => a - b);
  }, [plan, layout]);
  // Between sashes a seam goes toward the sash, in whatever row (rule SW-3).
  const sashed = Object.values(layout.parts).some(({ role }) => role === 'sash');
  const pressed = (row: number) =>
    sashed ? 'toward the sashes' : row % 2 === 1 ? 'to the right' : 'to the left';
  const shared = rowsByTable(rows.length, Math.min(tables, Math.max(1, rows.length)));
  return (
    <Page>
      <PrintHead title={`${plan.title}: sewing day`} back="Back to the group" to={`/quilts/${id}/group`} />
      <div className="hide tables">
        <CountField
          label="Tables"
          value={tables}
          onCommit={(value) => {
            if (value < 1 || value > 30) return 'From 1 to 30.';
            setTables(value);
            return null;
          }}
        />
      </div>
      {shared.map((own, table) => (
        <section key={table}>
          <h2>
            Table {table + 1}: {numberOf(own.length, 'row')}
          </h2>
          <div>
            {own.map((at) => {
              const [row, blocks] = rows[at]!;
              return (
                <div key={row}>
                  <h3>
                    Row {row}, pressed {pressed(row)} ☐ sewn ☐ pressed ☐ measured
                  </h3>
                  <ol>
                    {blocks.map(({ number, name, turn }) => (
                      <li key={number}>
                        {name}
                        {turn > 0 && `, ${numberOf(turn, 'quarter')} to the right`}
                      </li>
                    ))}
                  </ol>
                </div>
              );
            })}
            <p>
              <Lengths
                text={`Seams of ${formatWithUnit(plan.seam, plan.unit)}. Lay each row out in its order before you sew, a slip with its number pinned to the first block. Lay the row on the table again when it is sewn and measure it: rows of one length go together without easing. Fingers clear of the needle; the iron off when you leave it.`}
              />
            </p>
          </div>
          <div className="small">
            <QuiltLit
              plan={plan}
              layout={layout}
              path={own.flatMap((at) => rows[at]![1].map(({ path }) => path)).join('')}
            />
          </div>
        </section>
      ))}
    </Page>
  );
}
