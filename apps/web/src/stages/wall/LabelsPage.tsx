import { rowLabels, wallOf } from '@lattice/core';
import { Printer } from 'lucide-react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { useAppSelector } from '../../app/store.ts';
import { Button } from '../../design/controls/Button.tsx';
import { Paper } from '../../design/Paper.ts';
import { BlockArt } from '../../drawing/faces.tsx';
import { selectPlan, selectQuilt } from '../../quilt/selectors.ts';

const Page = styled(Paper)`
  h2 {
    font-size: 16px;
    margin-bottom: 6px;
  }
  ol {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
    gap: 8px;
    margin: 0;
    padding: 0;
    list-style: none;
  }
  li {
    display: grid;
    grid-template-columns: 40px 1fr;
    gap: 8px;
    align-items: center;
    padding: 8px;
    border: 1px dashed var(--soft);
    font-size: 12px;
    line-height: 1.3;
    break-inside: avoid;
  }
  li strong {
    display: block;
    font-size: 20px;
    line-height: 1.1;
  }
  .art {
    width: 40px;
    height: 40px;
  }
`;

/** Labels for every block, row by row as they are sewn: to print, cut apart and pin on. */
export function LabelsPage() {
  const plan = useAppSelector(selectPlan);
  const { layout } = useAppSelector(selectQuilt);
  const { id } = useParams();
  const pieces = layout.pieces.filter((p) => p.place !== undefined).sort((a, b) => a.place! - b.place!);
  const labels = rowLabels(pieces);
  const { places } = wallOf(plan, pieces.length);
  const rows = [...new Set(labels.map((l) => l.row))].sort((a, b) => a - b);
  return (
    <Page>
      <header>
        <h1>{plan.title}: labels to pin on</h1>
        <Link className="hide" to={`/quilts/${id}/wall`}>
          Back to the wall
        </Link>
        <span className="hide">
          <Button look="main" onPress={() => window.print()}>
            <Printer size={15} aria-hidden />
            Print
          </Button>
        </span>
      </header>
      {rows.map((row) => (
        <section key={row} aria-label={`Row ${row}`}>
          <h2>Row {row}</h2>
          <ol>
            {places
              .map((laid, i) => ({ laid, label: labels[i]! }))
              .filter(({ label }) => label.row === row)
              .sort((a, b) => a.label.number - b.label.number)
              .map(({ laid, label }) => (
                <li key={label.number}>
                  <span className="art">
                    {laid.block && <BlockArt block={laid.block} turn={laid.turn} />}
                  </span>
                  <span>
                    <strong>
                      {label.row}·{label.number}
                    </strong>
                    {laid.block ? laid.block.name : 'empty'}
                    {laid.turn > 0 ? `, ${laid.turn} quarter${laid.turn === 1 ? '' : 's'} right` : ''}
                  </span>
                </li>
              ))}
          </ol>
        </section>
      ))}
    </Page>
  );
}
