import { bisectLeft, sum } from 'd3-array';
import { howManyCover, TOLERANCE } from '../length/tolerance.ts';
import { fromInches, type Unit } from '../length/unit.ts';

/** Strips of one fabric joined end to end in this order into one long run, each join taking `loss` of its length. */
export interface Run {
  readonly lengths: readonly number[];
  readonly loss: number;
}

/** A run of so many strips as long as the cloth is wide. */
export const equalStrips = (strips: number, usable: number, loss: number): Run => ({
  lengths: Array.from({ length: strips }, () => usable),
  loss,
});

/** Where pieces are cut from a run. */
export interface RunCuts {
  /** One entry a piece, in cutting order: which of the wanted lengths it is, and where joins fall along it, from its start. */
  readonly pieces: readonly { readonly of: number; readonly joins: readonly number[] }[];
  /** What is left between and after the pieces. */
  readonly left: readonly number[];
  /** The nearest any join falls to an end or the middle of its piece; infinite where no piece has a join. */
  readonly clear: number;
}

/** Joins this far from a corner and from the middle are out of the eye's way: 5" (from memory). */
const FAR_ENOUGH_INCHES = 5;
/** Nearer than this to the middle or an end a join catches the eye, or makes a corner bulky: 2" (from memory). */
export const SHOWS_INCHES = 2;
/** What is left over is handed out in steps of half an inch. */
const STEP_INCHES = 1 / 2;
/** Beyond this many states the pieces are cut one after another as they come. */
const MOST_STATES = 60_000;

/** Least strips that joined make a run of `total`: `k` strips make `k·usable − (k − 1)·loss`. */
export const stripsFor = (total: number, usable: number, loss: number): number =>
  howManyCover(total - loss, usable - loss);

/** Length of a run. */
export const runLength = ({ lengths, loss }: Run): number => sum(lengths) - (lengths.length - 1) * loss;

/** Middles of the joins along a run, from its beginning. */
export function middlesOf({ lengths, loss }: Run): number[] {
  let reach = 0;
  return lengths.slice(0, -1).map((length) => {
    reach += length - loss;
    return reach + loss / 2;
  });
}

/**
 * Cuts pieces from a run so that joins fall away from the ends and the middle of each (rule BO-4: a
 * join is hidden away from the centre). What is left over of the run is free to lie before any piece:
 * of all orders and places, on a step of 1/2", the one is taken whose nearest join is farthest off, up
 * to where it no longer shows; of equal ones the one that leaves most in one piece at the end.
 *
 * @param wanted lengths as cut, and how many of each; they fit the run together
 * @param gaps false keeps all that is left over together, at the end
 */
export function cutRun(
  wanted: readonly { readonly length: number; readonly count: number }[],
  run: Run,
  unit: Unit,
  gaps = true,
): RunCuts {
  const total = sum(wanted, (w) => w.length * w.count);
  const spare = Math.max(0, runLength(run) - total);
  const step = fromInches(STEP_INCHES, unit);
  const slots = gaps ? Math.floor((spare + TOLERANCE) / step) + 1 : 1;
  const states = wanted.reduce((product, w) => product * (w.count + 1), slots);
  const joints = { middles: middlesOf(run), loss: run.loss };
  return states > MOST_STATES
    ? oneAfterAnother(wanted, joints, spare)
    : bestPlaced(wanted, joints, { spare, step, slots, unit });
}

/** Joins of a run that lie on a piece of `length` from `from`, as distances from its start. */
function joinsOn({ middles, loss }: Joints, from: number, length: number): number[] {
  const joins: number[] = [];
  for (let i = bisectLeft(middles, from - loss / 2 + TOLERANCE); i < middles.length; i++) {
    const at = middles[i]! - from;
    if (at >= length + loss / 2 - TOLERANCE) break;
    joins.push(Math.min(length, Math.max(0, at)));
  }
  return joins;
}

/** Where a run is joined, and what each join takes. */
interface Joints {
  readonly middles: readonly number[];
  readonly loss: number;
}

const clearance = (joins: readonly number[], length: number): number =>
  joins.reduce((least, at) => Math.min(least, at, length - at, Math.abs(at - length / 2)), Infinity);

function oneAfterAnother(
  wanted: readonly { length: number; count: number }[],
  joints: Joints,
  spare: number,
): RunCuts {
  const pieces: { of: number; joins: readonly number[] }[] = [];
  let at = 0;
  let clear = Infinity;
  wanted.forEach(({ length, count }, of) => {
    for (let i = 0; i < count; i++) {
      const joins = joinsOn(joints, at, length);
      clear = Math.min(clear, clearance(joins, length));
      pieces.push({ of, joins });
      at += length;
    }
  });
  return { pieces, left: spare > TOLERANCE ? [spare] : [], clear };
}

/** A piece that is wanted of joined strips, and how many of it. */
interface WantedLength {
  readonly length: number;
  readonly count: number;
}

/** What is left over of joined strips, in steps that may be passed over before any piece. */
interface Room {
  readonly spare: number;
  readonly step: number;
  readonly slots: number;
  readonly unit: Unit;
}

/** What to do next, and how far off the nearest join can then be kept for all that is still to be cut. */
interface NextCut {
  readonly clear: number;
  readonly next: number;
}

/** In place of a piece: pass over a step of what is left over. */
const PASS = -1;

const without = (counts: readonly number[], piece: number): number[] =>
  counts.map((count, i) => (i === piece ? count - 1 : count));

/** The best order and places, by what is still to be cut and how much of the spare length has been passed over. */
function bestPlaced(wanted: readonly WantedLength[], joints: Joints, room: Room): RunCuts {
  const nextCut = planCuts(wanted, joints, room);
  let counts = wanted.map(({ count }) => count);
  let passed = 0;
  let gap = 0;
  let at = 0;
  let clear = Infinity;
  const pieces: { of: number; joins: readonly number[] }[] = [];
  const left: number[] = [];
  while (counts.some((count) => count > 0)) {
    const { next } = nextCut(counts, passed);
    if (next === PASS) {
      passed++;
      gap += room.step;
      at += room.step;
      continue;
    }
    if (gap > 0) left.push(gap);
    gap = 0;
    const { length } = wanted[next]!;
    const joins = joinsOn(joints, at, length);
    clear = Math.min(clear, clearance(joins, length));
    pieces.push({ of: next, joins });
    at += length;
    counts = without(counts, next);
  }
  const end = room.spare - passed * room.step;
  return { pieces, left: end > TOLERANCE ? [...left, end] : left, clear };
}

/**
 * Finds what to cut next, for any number of pieces still to be cut and of steps passed over: by trying each piece
 * and a pass, and remembering every answer (dynamic programming).
 */
function planCuts(wanted: readonly WantedLength[], joints: Joints, { step, slots, unit }: Room) {
  const enough = fromInches(FAR_ENOUGH_INCHES, unit);
  const known = new Map<number, NextCut>();
  const keyOf = (counts: readonly number[], passed: number): number =>
    counts.reduce((key, count, i) => key * (wanted[i]!.count + 1) + count, passed);

  const find = (counts: readonly number[], passed: number): NextCut => {
    if (counts.every((count) => count === 0)) return { clear: Infinity, next: PASS };
    const key = keyOf(counts, passed);
    const had = known.get(key);
    if (had) return had;
    const from = passed * step + sum(wanted, ({ length, count }, i) => (count - counts[i]!) * length);
    let best: NextCut = { clear: -1, next: PASS };
    counts.forEach((count, piece) => {
      if (count === 0 || best.clear >= enough) return;
      const { length } = wanted[piece]!;
      const here = Math.min(enough, clearance(joinsOn(joints, from, length), length));
      if (here <= best.clear) return;
      const clear = Math.min(here, find(without(counts, piece), passed).clear);
      if (clear > best.clear) best = { clear, next: piece };
    });
    if (best.clear < enough && passed < slots - 1) {
      const { clear } = find(counts, passed + 1);
      if (clear > best.clear) best = { clear, next: PASS };
    }
    known.set(key, best);
    return best;
  };
  return find;
}
