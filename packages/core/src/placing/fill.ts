import { type Columns, Knapsack } from './knapsack.ts';
import type { Box } from './need.ts';
import type { Task, Way } from './task.ts';
import { type Filled, repeats, restore, snapshot, take, type Wanted } from './wanted.ts';
import { more } from '../length/tolerance.ts';

/** How a pass of the search sees its task. */
export interface View {
  /** What a square unit is worth of each kind, then of each run. */
  readonly worth: Float64Array;
  /** The ways round that are tried. */
  readonly ways: readonly Way[];
  /** Width that is kept free beside the piece a strip is cut for. */
  readonly free: number;
  /** How many lie over one another, at most, in a strip that is cut for a piece. */
  readonly high: number;
  /** How deep a leftover is cut up again: beside, in strips, beside those. */
  readonly deep: number;
  /** A strip shorter than this is not worth joining. */
  readonly shortest: number;
  /** What a strip may be cut for: what needs the widest of all that are left, the longest of those, or anything. */
  readonly first: 'widest' | 'longest' | 'any';
  /** Pieces as long as one another, one to a row, may be cut as one band, so that what is left beside them all is one region. */
  readonly bands: boolean;
}

/** A region that was filled, and what that is worth. */
export interface Fill {
  readonly worth: number;
  readonly boxes: readonly Filled[];
}

const NOTHING: Fill = { worth: 0, boxes: [] };

/** Fills regions of a cloth with what is still wanted, by straight cuts right through. Takes what it uses off `wanted`. */
export class Filler {
  constructor(
    private readonly task: Task,
    private readonly view: View,
    private readonly knapsack: Knapsack,
  ) {}

  /** A strip cut for a piece: as many columns of it as fit, then whatever is worth most beside them. */
  stripFor(strip: Box, way: Way, wanted: Wanted): Fill {
    const stack = Math.floor(strip.h / way.h);
    const room = Math.floor((strip.w - this.view.free) / way.w);
    const columns = Math.max(1, Math.min(room, Math.ceil(wanted.counts[way.kind]! / stack)));
    const main = this.columns(strip, way, columns, wanted, 0);
    return joined(main, this.region(rightOf(strip, columns * way.w), wanted, 0));
  }

  /** A band of pieces of one length over one another, all of them that are left, and whatever is worth most beside them. */
  band(strip: Box, ways: readonly Way[], wanted: Wanted): Fill {
    const boxes: Filled[] = [];
    let { y } = strip;
    let worth = 0;
    for (const { kind, w, h } of ways)
      for (; wanted.counts[kind]! > 0; wanted.counts[kind]!--) {
        boxes.push({ kind, run: -1, x: strip.x, y, w, h });
        worth += w * h * this.view.worth[kind]!;
        y += h;
      }
    return joined({ worth, boxes }, this.region(rightOf(strip, ways[0]!.w), wanted, 0));
  }

  /** A strip of a run, no longer than the run is short of, and whatever is worth most beside it. */
  segment(strip: Box, index: number, wanted: Wanted, depth: number): Fill {
    const { width, loss } = this.task.runs[index]!;
    const w = Math.min(strip.w, Math.ceil(wanted.nets[index]! + loss));
    wanted.nets[index]! -= w - loss;
    const worth = (w - loss) * width * this.view.worth[this.task.kinds.length + index]!;
    const fill: Fill = { worth, boxes: [{ kind: -1, run: index, x: strip.x, y: strip.y, w, h: width }] };
    return joined(fill, this.region(rightOf({ ...strip, h: width }, w), wanted, depth + 1));
  }

  /** A region as columns side by side, or as strips over one another: whichever is worth more. */
  region(region: Box, wanted: Wanted, depth: number): Fill {
    if (depth >= this.view.deep || region.w <= 0 || region.h <= 0) return NOTHING;
    const before = snapshot(wanted);
    const columns = this.sideBySide(region, wanted, depth);
    const after = snapshot(wanted);
    restore(wanted, before);
    const strips = this.overOneAnother(region, wanted, depth);
    if (strips.worth > columns.worth) return strips;
    restore(wanted, after);
    return columns;
  }

  /** Columns side by side, chosen by worth; what is left above and beside them is cut up again. */
  private sideBySide(region: Box, wanted: Wanted, depth: number): Fill {
    const offers = this.offers(region, wanted);
    if (offers.length === 0) return NOTHING;
    let fill = NOTHING;
    let rest = region;
    for (const { of, columns } of this.knapsack.choose(offers, region.w, this.task.step)) {
      // What lies above columns placed before may have used it up.
      const want = wanted.counts[of.way.kind]!;
      if (want === 0) continue;
      const real = Math.min(columns, Math.ceil(want / Math.min(of.stack, want)));
      fill = joined(fill, this.columns(rest, of.way, real, wanted, depth));
      rest = rightOf(rest, real * of.way.w);
    }
    return joined(fill, this.region(rest, wanted, depth + 1));
  }

  private offers({ w, h }: Box, { counts }: Wanted): Columns[] {
    return this.view.ways.flatMap((way) => {
      const want = counts[way.kind]!;
      if (want === 0 || way.h > h || way.w > w) return [];
      const stack = Math.min(Math.floor(h / way.h), want);
      const most = Math.min(Math.ceil(want / stack), Math.floor(w / way.w));
      return [{ way, stack, most, worth: stack * way.w * way.h * this.view.worth[way.kind]! }];
    });
  }

  /** Strips over one another, those that give most for their height first. */
  private overOneAnother(region: Box, wanted: Wanted, depth: number): Fill {
    let fill = NOTHING;
    let rest = region;
    for (;;) {
      const start = snapshot(wanted);
      const best = this.bestStrip(rest, wanted, start, depth);
      if (!best) return fill;
      const times = Math.min(Math.floor(rest.h / best.height), repeats(start, best.after));
      for (let i = 0; i < times; i++) fill = joined(fill, raised(best.fill, i * best.height));
      take(wanted, start, best.after, times);
      rest = above(rest, times * best.height);
    }
  }

  private bestStrip(region: Box, wanted: Wanted, start: Wanted, depth: number) {
    let best: { fill: Fill; height: number; after: Wanted } | null = null;
    let most = 0;
    for (const height of this.heights(region, wanted)) {
      const fill = this.strip({ ...region, h: height }, wanted, depth + 1);
      // Where no other would fit above it, half of what is left there counts against it.
      const counted = region.h >= 2 * height ? height : (region.h + height) / 2;
      const density = fill.worth / (region.w * counted);
      if (more(density, most)) {
        most = density;
        best = { fill, height, after: snapshot(wanted) };
      }
      restore(wanted, start);
    }
    return best;
  }

  /** One strip of a region: pieces side by side, or a strip of a run, whichever is worth more. */
  private strip(strip: Box, wanted: Wanted, depth: number): Fill {
    const run = this.task.runs.findIndex(
      ({ width }, i) => width === strip.h && this.joinable(i, strip.w, wanted),
    );
    if (run < 0) return this.sideBySide(strip, wanted, depth);
    const before = snapshot(wanted);
    const pieces = this.sideBySide(strip, wanted, depth);
    const after = snapshot(wanted);
    restore(wanted, before);
    const segment = this.segment(strip, run, wanted, depth);
    if (segment.worth >= pieces.worth) return segment;
    restore(wanted, after);
    return pieces;
  }

  /** Heights a strip of a region could have. */
  private heights({ w, h }: Box, wanted: Wanted): Set<number> {
    const heights = new Set<number>();
    for (const way of this.view.ways)
      if (way.h <= h && way.w <= w && wanted.counts[way.kind]! > 0) heights.add(way.h);
    this.task.runs.forEach(({ width }, i) => {
      if (width <= h && this.joinable(i, w, wanted)) heights.add(width);
    });
    return heights;
  }

  private joinable(run: number, w: number, { nets }: Wanted): boolean {
    return nets[run]! > 0 && w >= Math.max(this.view.shortest, 2 * this.task.runs[run]!.loss);
  }

  /** Columns of one way of a piece from the left of a region, stacked as high as fits, and what fits above them. */
  private columns(region: Box, way: Way, columns: number, wanted: Wanted, depth: number): Fill {
    const stack = Math.floor(region.h / way.h);
    const count = Math.min(wanted.counts[way.kind]!, columns * stack);
    const boxes = Array.from({ length: count }, (_, i): Filled => ({
      kind: way.kind,
      run: -1,
      x: region.x + Math.floor(i / stack) * way.w,
      y: region.y + (i % stack) * way.h,
      w: way.w,
      h: way.h,
    }));
    wanted.counts[way.kind]! -= count;
    const fill: Fill = { worth: count * way.w * way.h * this.view.worth[way.kind]!, boxes };
    const full = Math.floor(count / stack);
    const last = count % stack;
    const overFull = above({ ...region, w: full * way.w }, stack * way.h);
    const overLast = above({ ...rightOf(region, full * way.w), w: last > 0 ? way.w : 0 }, last * way.h);
    return joined(
      joined(fill, this.region(overFull, wanted, depth + 1)),
      this.region(overLast, wanted, depth + 1),
    );
  }
}

const rightOf = ({ x, y, w, h }: Box, by: number): Box => ({ x: x + by, y, w: w - by, h });
const above = ({ x, y, w, h }: Box, by: number): Box => ({ x, y: y + by, w, h: h - by });

function joined(a: Fill, b: Fill): Fill {
  if (b.boxes.length === 0) return a;
  if (a.boxes.length === 0) return b;
  return { worth: a.worth + b.worth, boxes: [...a.boxes, ...b.boxes] };
}

/** The same fill, further along the cloth. */
const raised = (fill: Fill, by: number): Fill =>
  by === 0 ? fill : { worth: fill.worth, boxes: fill.boxes.map((box) => ({ ...box, y: box.y + by })) };
