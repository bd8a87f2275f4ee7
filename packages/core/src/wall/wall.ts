import type { PileBlock, Plan, WallSpot } from '../plan/shape.ts';

/** What lies in one place of the wall. */
export interface WallPlace {
  readonly block: PileBlock | null;
  /** Quarters to the right, besides what the rule for odd and even places does. */
  readonly turn: WallSpot['turn'];
  readonly locked: boolean;
}

/** The blocks in their places, and those parked beside. */
export interface Wall {
  readonly places: readonly WallPlace[];
  readonly spare: readonly PileBlock[];
}

/**
 * What lies where. Places that were laid out keep their block; the others, and those whose block is gone,
 * are filled from the rest of the pile in its order. A place left empty on purpose stays so.
 *
 * @example
 * const pile = ['a', 'b', 'c'].map((id) => ({ id, name: id, width: 10.5, height: 10.5 }));
 * const wall = wallOf({ ...blankPlan('in'), pile }, 2);
 * [wall.places.map(({ block }) => block.id), wall.spare.map(({ id }) => id)]; // [['a', 'b'], ['c']]
 */
export function wallOf({ pile, wall }: Plan, places: number): Wall {
  const byId = new Map(pile.map((b) => [b.id, b]));
  const laid = wall.slice(0, places);
  const kept = new Set(
    laid.flatMap((spot) => (spot.block !== null && byId.has(spot.block) ? [spot.block] : [])),
  );
  // What is kept for the label fills no place by itself.
  const rest = pile.filter((b) => !kept.has(b.id) && !b.label);
  let next = 0;
  const filled = Array.from({ length: places }, (_, i): WallPlace => {
    const spot = laid[i];
    if (spot?.block === null) return { block: null, turn: 0, locked: spot.locked };
    if (spot && kept.has(spot.block!))
      return { block: byId.get(spot.block!)!, turn: spot.turn, locked: spot.locked };
    return { block: rest[next++] ?? null, turn: 0, locked: false };
  });
  return { places: filled, spare: rest.slice(next) };
}

/** A wall as the plan keeps it. */
export const wallFrom = (places: readonly WallPlace[]): WallSpot[] =>
  places.map(({ block, turn, locked }) => ({ block: block?.id ?? null, turn, locked }));
