import { longer, shorter, TOLERANCE } from '../length/tolerance.ts';
import { ascending, bisectLeft, min } from 'd3-array';
import { middlesOf } from '../strip/joins.ts';
import { fromInches, type Unit } from '../length/unit.ts';
import { bottomSide, pointAt, sideAt } from './along.ts';
import type { Side } from '../choice/edge.ts';
import type { EdgeOutline } from './outline.ts';
import type { Point } from '../geometry/point.ts';

/** Strips in the order they are joined, each join taking `loss` of the length. */
export interface Joined {
  readonly lengths: readonly number[];
  readonly loss: number;
}

/** A join of the binding as it falls on the edge. */
export interface BindingJoin {
  readonly point: Point & { readonly heading: number };
  readonly side: Side;
  /** From the side's left or upper end. */
  readonly from: number;
  /** From the nearest corner or valley, along the edge; infinite where there is none. */
  readonly clear: number;
  /** Where the binding meets its own beginning. */
  readonly last: boolean;
}

/** Where a binding begins, and where its joins fall for that. */
export interface BindingJoins {
  /** Along the bottom, from its left end. */
  readonly start: number;
  readonly joins: readonly BindingJoin[];
  /** The nearest of them to a corner or valley. */
  readonly clear: number;
}

/** Starts are tried every half inch. */
const STEP_INCHES = 1 / 2;
/** A join is no better for lying farther from a corner than this: 6" (from memory). */
const FAR_ENOUGH_INCHES = 6;

/**
 * How far along the edge each join lies of a binding that begins `start` from the left end of the bottom; the first is
 * where it begins. A measured edge is drawn as the computed one: places go by proportion.
 */
function placesAlong(outline: EdgeOutline, joined: Joined, around: number): (start: number) => number[] {
  const scale = outline.length / around;
  const bottom = bottomSide(outline);
  const places = [0, ...middlesOf(joined).filter((m) => shorter(m, around))].map((place) => place * scale);
  return (start) => {
    const begin = bottom.along(start);
    return places.map((place) => (begin + place) % outline.length);
  };
}

/** Joins of a binding that begins `start` from the left end of the bottom; `around` is what is bound, which a tape may have measured. */
export function joinsFrom(outline: EdgeOutline, joined: Joined, start: number, around: number): BindingJoins {
  const scale = outline.length / around;
  const turns = turnsInOrder(outline);
  const joins = placesAlong(
    outline,
    joined,
    around,
  )(start).map((along, i): BindingJoin => ({
    point: pointAt(outline, along),
    ...sideAt(outline, along),
    clear: clearOf(turns, outline.length, along) / scale,
    last: i === 0,
  }));
  return { start, joins, clear: Math.min(...joins.map((j) => j.clear)) };
}

/** Where the edge's turns lie along it, in order: what a search through many beginnings looks among. */
const turnsInOrder = ({ turns }: EdgeOutline): number[] => turns.map(({ at }) => at).sort(ascending);

/** From a place on the edge to the nearest turn, either way round: one of the two it lies between. */
function clearOf(turns: readonly number[], around: number, along: number): number {
  const next = bisectLeft(turns, along);
  return [turns.at(next - 1), turns[next % turns.length]].reduce<number>((least, turn) => {
    if (turn === undefined) return least;
    const apart = Math.abs(turn - along) % around;
    return Math.min(least, apart, around - apart);
  }, Infinity);
}

/** The beginning along the bottom that keeps every join farthest from corners and valleys, up to where more is no better; of equal ones the nearest the middle. */
export function bestStart(outline: EdgeOutline, joined: Joined, around: number, unit: Unit): BindingJoins {
  const step = fromInches(STEP_INCHES, unit);
  const enough = fromInches(FAR_ENOUGH_INCHES, unit);
  const [a, b] = bottomSide(outline).span;
  const [left, right] = [pointAt(outline, b - TOLERANCE).x, pointAt(outline, a + TOLERANCE).x];
  const middle = (left + right) / 2;
  const turns = turnsInOrder(outline);
  const placesFrom = placesAlong(outline, joined, around);
  const tries = Math.max(1, Math.floor((right - left) / step));
  let best = { start: middle, clear: -1 };
  for (let i = 0; i <= tries && best.clear < enough; i++) {
    // From the middle outward, so that the first of equal ones is the nearest to it.
    const start = Math.round((middle + (i % 2 === 0 ? 1 : -1) * Math.ceil(i / 2) * step) / step) * step;
    if (start < left || start > right) continue;
    const clears = placesFrom(start).map((along) => clearOf(turns, outline.length, along));
    const clear = min(clears) ?? Infinity;
    if (longer(clear, best.clear)) best = { start, clear };
  }
  return joinsFrom(outline, joined, best.start, around);
}
