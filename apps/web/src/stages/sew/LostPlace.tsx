import { afterPiece, type Layout, placedBefore, type Plan, rowsOf } from '@lattice/core';
import { useState } from 'react';
import styled from 'styled-components';
import { useAppDispatch } from '../../sync/thunk.ts';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { Sheet } from '../../design/Sheet.tsx';
import { actTitle, lowered } from './actTitle.ts';
import { GrowingQuilt } from './GrowingQuilt.tsx';
import { placePut } from './sewing.ts';
import type { AtSewing } from './useSewing.ts';
import { small } from '../../design/media.ts';

const Halves = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 260px;
  gap: 22px;
  .picture {
    height: 320px;
  }
  p {
    font-size: var(--size-text);
    color: var(--soft);
    margin-bottom: 8px;
  }
  .found {
    margin-top: 14px;
    color: var(--ink);
    font-size: var(--size-lead);
  }
  ${small} {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const NONE: readonly number[] = [];

/** The first of some acts that is not done yet; the first of all where all are. */
const firstIn = (
  acts: readonly { readonly act: AtSewing['at']['acts'][number]; readonly i: number }[],
): number => (acts.find(({ act }) => !act.done) ?? acts[0]!).i;

/** The bobbin ran out, the pile fell: three questions, or pointing at the last piece that holds, find the place again. */
export function LostPlace({
  plan,
  layout,
  sewing,
  onClose,
}: {
  plan: Plan;
  layout: Layout;
  sewing: AtSewing;
  onClose: () => void;
}) {
  const { at, way, guide, words } = sewing;
  const dispatch = useAppDispatch();
  const here = at.next ?? at.acts.length - 1;
  const [found, setFound] = useState(here);
  const step = at.acts[Math.min(found, at.acts.length - 1)]!.step;
  const rows = rowsOf(at, step, way, words);
  const own = at.acts.flatMap((act, i) => (act.step === step && act.seam !== null ? [{ act, i }] : []));
  const rowAt = (i: number) => {
    const { seam } = at.acts[i]!;
    return seam === null ? (rows.at(-1) ?? 1) : words.row(way.seams[seam]!.b);
  };
  const row = rowAt(Math.min(found, at.acts.length - 1));
  const inRow = own.filter(({ act }) => words.row(way.seams[act.seam!]!.b) === row);
  const next = at.acts[found];
  // What is sewn in one go has no first seam of its own.
  const whole = guide[step]!.inOneGo ?? false;
  return (
    <Sheet title="Where was I?" width={720} isOpen onClose={onClose}>
      <Halves>
        <div>
          <p>Which pile is on the table, which row is it, and which is the first seam not fully sewn?</p>
          <ChoiceField
            label="The step"
            labelled
            value={String(step)}
            choices={guide.map(({ title }, i) => ({ id: String(i), name: `${i + 1}. ${title}` }))}
            onChange={(to) =>
              setFound(firstIn(at.acts.flatMap((act, i) => (act.step === Number(to) ? [{ act, i }] : []))))
            }
          />
          {rows.length > 1 && !whole && (
            <ChoiceField
              label="The row"
              labelled
              value={String(row)}
              choices={rows.map((number) => ({ id: String(number), name: `Row ${number}` }))}
              onChange={(to) =>
                setFound(firstIn(own.filter(({ act }) => words.row(way.seams[act.seam!]!.b) === Number(to))))
              }
            />
          )}
          {inRow.length > 0 && !whole && (
            <ChoiceField
              label="The first seam not fully sewn"
              labelled
              value={String(inRow.some(({ i }) => i === found) ? found : inRow[0]!.i)}
              choices={inRow.map(({ act, i }) => ({
                id: String(i),
                name: words.seam(way.seams[act.seam!]!),
              }))}
              onChange={(to) => setFound(Number(to))}
            />
          )}
          <p className="found" role="status">
            {next
              ? `Then the next is: ${next.seam === null ? lowered(actTitle(next, sewing)) : actTitle(next, sewing)}.`
              : 'Then all is done.'}
          </p>
          <Button
            look="main"
            onPress={() => {
              void dispatch(placePut(sewing, placedBefore(at, found)));
              onClose();
            }}
          >
            This is my place
          </Button>
        </div>
        <div>
          <p>Or tap the last piece that is sewn on.</p>
          <div className="picture">
            <GrowingQuilt
              {...{ plan, layout, sewing }}
              seams={NONE}
              hand={next?.seam ?? null}
              label="The quilt: tap the last piece that is sewn on"
              onPiece={(piece) => setFound(afterPiece(at, piece, sewing.sewing, way) ?? found)}
            />
          </div>
        </div>
      </Halves>
    </Sheet>
  );
}
