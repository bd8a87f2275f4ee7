import { group } from 'd3-array';
import type { Layout } from '../layout/lay-out.ts';
import type { Piece, Spot } from '../piece/piece.ts';
import type { Plan } from '../plan/shape.ts';
import { type WallPlace, wallFrom, wallOf } from './wall.ts';

/** The plan with another wall in its `places` places. */
const withWall = (plan: Plan, places: readonly WallPlace[]): Plan => ({ ...plan, wall: wallFrom(places) });

/** The plan with some places of its wall changed. */
function changed(
  plan: Plan,
  count: number,
  places: readonly number[],
  change: (laid: WallPlace) => WallPlace,
): Plan {
  return withWall(
    plan,
    wallOf(plan, count).places.map((laid, i) => (places.includes(i) ? change(laid) : laid)),
  );
}

/** Blocks turned by quarters to the right. Locked ones stay, and so do one-way prints. */
export const withTurned = (plan: Plan, count: number, places: readonly number[], by = 1): Plan =>
  changed(plan, count, places, (laid) =>
    laid.locked || !laid.block || laid.block.upright
      ? laid
      : { ...laid, turn: ((laid.turn + by + 4) % 4) as WallPlace['turn'] },
  );

/** Places locked, so that nothing moves what lies there, or free again. */
export const withLocked = (plan: Plan, count: number, places: readonly number[], locked: boolean): Plan =>
  changed(plan, count, places, (laid) => ({ ...laid, locked }));

/** Blocks taken off the wall, to lie beside it. Locked ones stay. */
export const withParked = (plan: Plan, count: number, places: readonly number[]): Plan =>
  changed(plan, count, places, (laid) => (laid.locked ? laid : { block: null, turn: 0, locked: false }));

/** A block from beside the wall put in a place; what lay there goes beside. Null when the place is locked or there is no such block. */
export function withPlaced(plan: Plan, count: number, id: string, place: number): Plan | null {
  const { places, spare } = wallOf(plan, count);
  const block = spare.find((b) => b.id === id);
  if (!block || !places[place] || places[place].locked) return null;
  return withWall(
    plan,
    places.map((laid, i) => (i === place ? { block, turn: 0, locked: false } : laid)),
  );
}

/**
 * Blocks moved together, so that the one at `from` comes to lie at `to` and the others keep their places
 * to one another; what lay there takes the places left. Null when one would leave the wall, or anything
 * that would move is locked.
 *
 * @param pieces the layout's blocks, by place
 */
export function withMoved(
  plan: Plan,
  pieces: readonly Piece[],
  moving: readonly number[],
  from: number,
  to: number,
): Plan | null {
  const { places } = wallOf(plan, pieces.length);
  const spotOf = (place: number): Spot => pieces[place]!.spot!;
  const step = { column: spotOf(to).column - spotOf(from).column, row: spotOf(to).row - spotOf(from).row };
  const at = new Map(pieces.map((p, i) => [`${p.spot!.column},${p.spot!.row}`, i]));
  const targets = moving.map((place) =>
    at.get(`${spotOf(place).column + step.column},${spotOf(place).row + step.row}`),
  );
  if (targets.some((t) => t === undefined)) return null;
  const onto = targets as number[];
  if ([...moving, ...onto].some((place) => places[place]!.locked)) return null;
  const next = [...places];
  moving.forEach((place, i) => (next[onto[i]!] = places[place]!));
  const left = moving.filter((place) => !onto.includes(place));
  const displaced = onto.filter((place) => !moving.includes(place)).map((place) => places[place]!);
  left.forEach((place, i) => (next[place] = displaced[i]!));
  return withWall(plan, next);
}

/** Where a block stands, as it is called when rows are sewn: its row and its number in the row, from 1. */
export interface RowLabel {
  readonly row: number;
  readonly number: number;
}

/** What hangs in a place, as a list says it: its block by name, and how it is turned. */
interface PlaceSaid {
  readonly row: number;
  readonly number: number;
  /** The block's name; `empty` where none hangs. */
  readonly says: string;
  /** Quarter turns to the right. */
  readonly turn: number;
}

/** Every place in its row with the block that hangs there: what a paper lists. */
export function placesInRows(
  plan: Plan,
  { pieces }: Pick<Layout, 'pieces'>,
): { readonly row: number; readonly places: readonly PlaceSaid[] }[] {
  const own = pieces.filter((piece) => piece.place !== undefined).sort((a, b) => a.place! - b.place!);
  const wall = wallOf(plan, own.length);
  const said = rowLabels(own).map(({ row, number }, i): PlaceSaid => {
    const { block, turn } = wall.places[i]!;
    return { row, number, says: block?.name ?? 'empty', turn };
  });
  return [...group(said, ({ row }) => row)]
    .sort(([a], [b]) => a - b)
    .map(([row, places]) => ({ row, places: places.sort((a, b) => a.number - b.number) }));
}

/** Labels for all places, row by row as they are sewn: level rows, or slanting ones on point. */
export function rowLabels(pieces: readonly Piece[]): RowLabel[] {
  const rows = [...new Set(pieces.map((p) => p.spot!.row))].sort((a, b) => a - b);
  const inRow = new Map(
    rows.map((row) => [
      row,
      pieces
        .filter((p) => p.spot!.row === row)
        .map((p) => p.spot!.column)
        .sort((a, b) => a - b),
    ]),
  );
  return pieces.map(({ spot }) => ({
    row: rows.indexOf(spot!.row) + 1,
    number: inRow.get(spot!.row)!.indexOf(spot!.column) + 1,
  }));
}
