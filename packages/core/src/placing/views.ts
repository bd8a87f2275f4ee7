import type { Random } from '../random/random.ts';
import type { View } from './fill.ts';
import type { Pass } from './pass.ts';
import type { Task, Way } from './task.ts';

/** How a plan is made: for the least cloth, or for the fewest settings of the ruler. */
export type Manner = 'thrifty' | 'simple';

/** A scrap shorter than a quarter of the cloth's width is not worth another join (rule CU-7). */
const SHORTEST_SHARE = 1 / 4;
/** What pieces cut along the selvage are worth beside others, so that they come off together. */
const ALONG_WORTH = 1.5;
const ALONG_TOGETHER = 8;

/** Ways of seeing a task, and what passes so far taught about it. */
export class Views {
  private readonly learned: Float64Array;
  private readonly flat: Float64Array;
  private readonly along: Float64Array;
  private readonly together: Float64Array;
  /** The way round each kind takes least cloth, cut by itself. */
  readonly alone: readonly Way[];
  private readonly shortest: number;

  constructor(
    private readonly task: Task,
    private readonly manner: Manner,
    private readonly random: Random,
  ) {
    const worth = (along: number) =>
      Float64Array.from({ length: task.kinds.length + task.runs.length }, (_, k) =>
        task.kinds[k]?.lengthwise ? along : 1,
      );
    this.flat = worth(1);
    this.learned = worth(1);
    this.along = worth(ALONG_WORTH);
    this.together = worth(ALONG_TOGETHER);
    this.alone = task.kinds.flatMap((_, kind) => leastAlone(task, kind));
    this.shortest = task.sheet.usable * (manner === 'simple' ? 1 : SHORTEST_SHARE);
  }

  /** The views every search begins with. */
  first(): View[] {
    const plain: View = {
      worth: this.along,
      ways: this.alone,
      free: 0,
      high: 1,
      deep: this.manner === 'simple' ? 1 : 3,
      shortest: this.shortest,
      first: 'widest',
      bands: false,
    };
    const { ways, sheet } = this.task;
    // The first few find nearly all there is to find; the others are for what they do not suit (found by trying).
    return [
      { ...plain, free: sheet.usable, first: 'longest' },
      { ...plain, ways, worth: this.together, bands: true },
      { ...plain, worth: this.flat },
      { ...plain, ways, high: 2, first: 'longest' },
      plain,
      { ...plain, ways },
      { ...plain, ways, worth: this.flat, free: sheet.usable, first: 'longest' },
      { ...plain, ways, worth: this.flat, first: 'any' },
      { ...plain, ways, worth: this.together, free: sheet.usable, high: 2, first: 'any' },
      { ...plain, ways, high: 2 },
      { ...plain, ways, worth: this.flat, first: 'any', bands: true },
    ];
  }

  /** One more, by chance. */
  next(): View {
    const { random, task } = this;
    const simple = this.manner === 'simple';
    const worths = [this.learned, this.learned, this.along, this.together];
    const worth = pick(worths, random)!.map((value) => value * (0.8 + random() * 0.4));
    return {
      worth,
      ways: random() < 0.3 ? task.ways : random() < 0.2 ? this.alone : this.someWays(),
      free: simple || random() < 0.4 ? 0 : this.someWidth(),
      high: random() < 0.6 ? 1 : 1 + Math.floor(random() * 4),
      deep: simple ? 1 : random() < 0.7 ? 2 : 3,
      shortest: this.shortest,
      first: pick(['widest', 'widest', 'longest', 'any', 'any'] as const, random)!,
      bands: !simple && random() < 0.2,
    };
  }

  /** Room for one or two of some piece beside the piece a strip is cut for, or for whatever is worth most. */
  private someWidth(): number {
    const { random, task } = this;
    if (random() < 0.4) return task.sheet.usable;
    return (pick(task.ways, random)?.w ?? 0) * (random() < 0.7 ? 1 : 2);
  }

  /** For each kind the one way round, the other, or both. */
  private someWays(): Way[] {
    return this.task.kinds.flatMap((_, kind) => {
      const own = waysOf(this.task, kind);
      const turn = this.random();
      return turn < 0.4 ? own.slice(0, 1) : turn < 0.8 ? own.slice(-1) : own;
    });
  }

  /** What lay in wasteful strips is worth more the next time (sequential value correction, from memory). */
  learn({ strips }: Pass): void {
    const { learned, task } = this;
    const cost = new Float64Array(learned.length);
    const area = new Float64Array(learned.length);
    for (const { height, used, boxes } of strips) {
      const rate = (height * task.sheet.usable) / Math.max(used, 1);
      for (const { kind, run, w, h } of boxes) {
        const k = run < 0 ? kind : task.kinds.length + run;
        cost[k]! += rate * w * h;
        area[k]! += w * h;
      }
    }
    for (let k = 0; k < learned.length; k++)
      if (area[k]! > 0) learned[k] = 0.7 * learned[k]! + 0.3 * Math.min(3, cost[k]! / area[k]!);
  }
}

function leastAlone(task: Task, kind: number): Way[] {
  const { usable } = task.sheet;
  const cloth = ({ w, h }: Way) => Math.ceil(task.kinds[kind]!.count / Math.floor(usable / w)) * h;
  return waysOf(task, kind)
    .sort((a, b) => cloth(a) - cloth(b))
    .slice(0, 1);
}

const waysOf = ({ ways }: Task, kind: number): Way[] =>
  ways.filter((way) => way.kind === kind).sort((a, b) => a.h - b.h);

const pick = <T>(from: readonly T[], random: Random): T | undefined =>
  from[Math.floor(random() * from.length)];
