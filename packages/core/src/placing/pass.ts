import { groups } from 'd3-array';
import { type Fill, Filler, type View } from './fill.ts';
import type { Knapsack } from './knapsack.ts';
import type { Box } from './need.ts';
import type { Task, Way } from './task.ts';
import { type Filled, repeats, restore, snapshot, take, type Wanted, wantedOf } from './wanted.ts';

/** One strip right across the cloth. Strips that are cut alike are one and the same object. */
export interface Strip {
  readonly height: number;
  readonly boxes: readonly Filled[];
  /** Area of what it holds, joins taken off. */
  readonly used: number;
}

/** What is cut from one piece of stock, by its place in the task's list. */
interface FromStock {
  readonly stock: number;
  readonly boxes: readonly Filled[];
}

/** What is cut from stock, and strips of the cloth. */
export interface Held {
  readonly stock: readonly FromStock[];
  readonly strips: readonly Strip[];
}

/** A whole filling of stock and cloth, and the length of cloth it takes. */
export interface Pass extends Held {
  readonly length: number;
}

const NONE: Held = { stock: [], strips: [] };

/** What a strip may be cut for: a way of a piece, a band of ways as wide as one another, or a run by its number. */
interface First {
  readonly of: Way | readonly Way[] | number;
  readonly height: number;
}

/**
 * Fills what there is of stock, then the cloth strip after strip until nothing is wanted.
 *
 * @param kept what stays as it is
 * @param limit as long as this is of no use: the pass gives up and says null
 */
export function fillCloth(
  task: Task,
  view: View,
  knapsack: Knapsack,
  { kept = NONE, limit = Infinity }: { kept?: Held; limit?: number } = {},
): Pass | null {
  const filler = new Filler(task, view, knapsack);
  const wanted = wantedOf(task, [...kept.stock, ...kept.strips]);
  const stock = [...kept.stock, ...fromStock(task, filler, wanted, kept.stock)];
  const strips = [...kept.strips];
  let length = strips.reduce((sum, { height }) => sum + height, 0);
  for (;;) {
    const start = snapshot(wanted);
    const best = bestFirst(task, view, filler, wanted, start);
    if (!best) return { length, stock, strips };
    const times = repeats(start, best.after);
    length += times * best.strip.height;
    if (length >= limit) return null;
    for (let i = 0; i < times; i++) strips.push(best.strip);
    take(wanted, start, best.after, times);
  }
}

/**
 * Fills the pieces of stock that are not filled yet: strips as wide as a run join it, longest first; then the others,
 * smallest first.
 */
function fromStock(task: Task, filler: Filler, wanted: Wanted, filled: readonly FromStock[]): FromStock[] {
  const done = new Set(filled.map(({ stock }) => stock));
  const open = task.stock
    .map(({ width, length }, stock) => ({ stock, box: { x: 0, y: 0, w: width, h: length } }))
    .filter(({ stock }) => !done.has(stock));
  const runOf = (box: Box) =>
    task.runs.findIndex(({ width, loss }, run) => width === box.h && box.w > loss && wanted.nets[run]! > 0);
  const found: FromStock[] = [];
  for (const { stock, box } of [...open].sort((a, b) => b.box.w - a.box.w)) {
    const run = runOf(box);
    if (run >= 0) found.push({ stock, boxes: filler.segment(box, run, wanted, 0).boxes });
  }
  const joined = new Set(found.map(({ stock }) => stock));
  for (const { stock, box } of open.sort((a, b) => a.box.w * a.box.h - b.box.w * b.box.h)) {
    if (joined.has(stock)) continue;
    const { boxes } = filler.region(box, wanted, 0);
    if (boxes.length > 0) found.push({ stock, boxes });
  }
  return found;
}

function bestFirst(task: Task, view: View, filler: Filler, wanted: Wanted, start: Wanted) {
  let best: { strip: Strip; after: Wanted } | null = null;
  let most = -1;
  for (const { of, height } of firstsOf(task, view, wanted)) {
    const whole = { x: 0, y: 0, w: task.sheet.usable, h: height };
    const fill: Fill =
      typeof of === 'number'
        ? filler.segment(whole, of, wanted, 0)
        : 'kind' in of
          ? filler.stripFor(whole, of, wanted)
          : filler.band(whole, of, wanted);
    const rate = fill.worth / height;
    if (rate > most) {
      most = rate;
      best = { strip: { height, boxes: fill.boxes, used: usedBy(task, fill) }, after: snapshot(wanted) };
    }
    restore(wanted, start);
  }
  return best;
}

const usedBy = ({ runs }: Task, { boxes }: Fill): number =>
  boxes.reduce((sum, { run, w, h }) => sum + (run < 0 ? w : w - runs[run]!.loss) * h, 0);

/** What the next strip may be cut for. */
function firstsOf(task: Task, view: View, wanted: Wanted): First[] {
  const bands = view.bands ? bandsOf(task, view, wanted) : [];
  return [...bands, ...singleFirsts(task, view, wanted)];
}

/** Pieces so long that a strip holds one of them: all that are as long as one another, in one band. */
function bandsOf({ sheet }: Task, view: View, { counts }: Wanted): First[] {
  const rows = view.ways.filter(
    ({ kind, w }) => counts[kind]! > 0 && 2 * w > sheet.usable && w < sheet.usable,
  );
  return groups(rows, ({ w }) => w).flatMap(([, ways]): First[] => {
    // A kind lies one way in a band.
    const own = ways.filter(({ kind }, i) => ways.findIndex((way) => way.kind === kind) === i);
    const all = own.reduce((sum, { kind }) => sum + counts[kind]!, 0);
    const height = own.reduce((sum, { kind, h }) => sum + h * counts[kind]!, 0);
    return all > 1 ? [{ of: own, height }] : [];
  });
}

function singleFirsts({ runs }: Task, view: View, { counts, nets }: Wanted): First[] {
  const heightOf = (way: Way) => way.h * Math.min(view.high, counts[way.kind]!);
  const ways = view.ways.filter(({ kind }) => counts[kind]! > 0);
  const short = runs.flatMap(({ width }, i) => (nets[i]! > 0 ? [{ of: i, height: width }] : []));
  if (view.first === 'any') return [...ways.map((way) => ({ of: way, height: heightOf(way) })), ...short];
  // Each kind by its lowest way: the highest of these has to have its strip now.
  const lowest = new Map<number, number>();
  for (const { kind, h } of ways) lowest.set(kind, Math.min(h, lowest.get(kind) ?? Infinity));
  const widest = Math.max(0, ...lowest.values(), ...short.map(({ height }) => height));
  const needing = ways.filter(({ kind }) => lowest.get(kind) === widest);
  const longest = Math.max(0, ...needing.map(({ w }) => w));
  return [
    ...needing
      .filter(({ w }) => view.first === 'widest' || w === longest)
      .map((way) => ({ of: way, height: heightOf(way) })),
    ...short.filter(({ height }) => height === widest),
  ];
}
