import {
  differenceOf,
  enoughOf,
  type Fabric,
  type Plan,
  type Quilt,
  formatLength,
  formatWithUnit,
  numberOf,
  setAsideFor,
  type StashPiece,
  type Unit,
} from '@lattice/core';
import { useMemo, useState } from 'react';
import styled from 'styled-components';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { selectPlan, selectQuilt, selectToBuy } from '../../state/selectors.ts';
import { moveStash, selectStash } from './stash.ts';
import { GiveBack } from './GiveBack.tsx';

const List = styled.ul`
  margin: 4px 0 8px;
  font-size: var(--size-note);
  li {
    display: grid;
    grid-template-columns: 16px minmax(0, 1fr) auto;
    align-items: center;
    gap: 8px;
    min-height: 34px;
  }
  i {
    width: 16px;
    height: 16px;
    border: 1px solid rgb(0 0 0 / 25%);
    border-radius: 4px;
  }
  small {
    color: var(--soft);
    font-size: var(--size-note);
  }
`;
const Saves = styled.p`
  margin: 4px 0;
  font-size: var(--size-note);
  color: var(--good);
  font-weight: 600;
`;

/** So many of the stash are offered at once, the likest colours first. */
const OFFERED = 6;

/** The stash first: what is set aside for a cloth, what that saves at the shop, and what else there is like it. */
export function FromStash({ fabric }: { fabric: Fabric }) {
  const plan = useAppSelector(selectPlan);
  const quilt = useAppSelector(selectQuilt);
  const id = useAppSelector((s) => s.saving.id)!;
  const stash = useAppSelector((s) => selectStash(s, plan.unit));
  const dispatch = useAppDispatch();
  const [open, setOpen] = useState(false);
  const { unit } = plan;
  const aside = stash.flatMap((piece) =>
    piece.aside
      .filter((one) => one.quilt === id && one.cloth === fabric.id)
      .map(({ count }) => ({ piece, count })),
  );
  const buying = useAppSelector(selectToBuy).find((cloth) => cloth.fabric.id === fabric.id);
  const saves = useMemo(() => {
    if (!buying || setAsideFor(stash, id, fabric.id).length === 0) return null;
    const { table, needed, buy } = buying;
    const serves = table.steps.filter(({ kind }) => kind === 'leftover').flatMap(({ makes }) => makes);
    const counts = new Map<string, number>();
    for (const { name, count } of serves) counts.set(name, (counts.get(name) ?? 0) + count);
    const served = [...counts].map(([name, count]) => `${count} ${name.toLowerCase()}`).join(', ');
    return { served, needed: needed.value, buy };
  }, [buying, stash, id, fabric]);
  const offers = useMemo(
    () => (open ? offersFor(stash, fabric, plan, quilt) : []),
    [open, stash, fabric, plan, quilt],
  );
  const move = (piece: StashPiece, to: 'aside' | 'back', count: number) =>
    void dispatch(moveStash({ piece: piece.id, count, to, quilt: id, cloth: fabric.id }));
  if (stash.length === 0) return null;
  return (
    <>
      {aside.length > 0 && (
        <List aria-label={`Set aside for ${fabric.name}`}>
          {aside.map(({ piece, count }) => (
            <li key={piece.id}>
              <i style={{ background: piece.colour }} />
              <span>
                <Lengths text={`${count} × ${words(piece, unit)}`} />
              </span>
              <GiveBack piece={piece} onPress={() => move(piece, 'back', count)} />
            </li>
          ))}
        </List>
      )}
      {saves && (
        <Saves role="status">
          <Lengths
            text={`The stash gives ${saves.served || 'nothing yet'}; then ${
              saves.needed > 0
                ? `ask for ${saves.buy.text} (${formatWithUnit(saves.needed, unit)} needed)`
                : 'nothing need be bought'
            }.`}
          />
        </Saves>
      )}
      <Button look="quiet" aria-expanded={open} onPress={() => setOpen(!open)}>
        {open ? 'Close the stash' : 'From the stash…'}
      </Button>
      {open && (
        <List aria-label={`In the stash, likest ${fabric.name} first`}>
          {offers.length === 0 && <li>Nothing is free.</li>}
          {offers.map(({ piece, whole }) => (
            <li key={piece.id}>
              <i style={{ background: piece.colour }} />
              <span>
                <Lengths text={words(piece, unit)} />{' '}
                <small>
                  {numberOf(piece.free, 'piece')} free{whole !== null && `; ${whole} would do for all of it`}
                </small>
              </span>
              <Button aria-label={`Set aside ${piece.name}`} onPress={() => move(piece, 'aside', 1)}>
                Set aside
              </Button>
            </li>
          ))}
        </List>
      )}
    </>
  );
}

/** A piece of the stash that could serve, and how many of it would do for everything; null where all of it would not. */
interface Offer {
  readonly piece: StashPiece;
  readonly whole: number | null;
}

/** What is free, what would do for all of it first, then the likest colours. */
function offersFor(stash: readonly StashPiece[], fabric: Fabric, plan: Plan, quilt: Quilt): Offer[] {
  return stash
    .filter(({ free, kind }) => free > 0 && kind !== 'batting')
    .map((piece) => ({ piece, far: differenceOf(piece.colour, fabric.colour) }))
    .sort((a, b) => a.far - b.far)
    .slice(0, OFFERED)
    .map(({ piece }) => ({ piece, whole: enoughOf(piece, plan, quilt, fabric.id) }))
    .sort((a, b) => Number(b.whole !== null) - Number(a.whole !== null));
}

const words = ({ name, width, length }: StashPiece, unit: Unit): string =>
  `${name}, ${formatLength(width, unit)} × ${formatWithUnit(length, unit)}`;
