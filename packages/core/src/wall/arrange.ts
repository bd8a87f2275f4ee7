import { type Random, randomFrom } from '../random/random.ts';
import { clashesAt, type Costs, costOf, costsFor, countClashes, placeCost } from './costs.ts';
import type { Arrangement, WallJob } from './job.ts';
import { more, TOLERANCE } from '../length/tolerance.ts';

/** Where an arrangement has got to. */
export interface ArrangeProgress {
  /** From 0 to 1. */
  readonly done: number;
  readonly best: Arrangement;
  readonly cost: number;
  readonly clashes: number;
}

/** Moves tried for each place: enough for the best to stop changing on the walls of the bench. */
const MOVES_A_PLACE = 900;
const LEAST_MOVES = 60_000;
const MOST_MOVES = 180_000;
const REPORTS = 60;
const MOST_BEGUN = 5;
/** Where cooling begins, as a share of what an exchange changes on average, and where it ends, as a share of that: found by trying. */
const HOT = 0.15;
const COLD = 1 / 400;
/** Share of moves that begin at a place with a clash, if one is met within a few tries. */
const TOWARDS_CLASHES = 0.5;
/** Steps of mending that are tried for clashes that are left, and how long what was moved stays put. */
const MENDING_ROUNDS = 12;
const MENDING_TRIES = 24_000;
const RESTS = 8;
/** Between two rounds of mending the wall is shaken a little: moves, and their heat as a share of the hottest. */
const SHAKES = 6000;
const SHAKEN = 0.05;

/**
 * Improves an arrangement by exchanging blocks, and turning them where turns matter, at random: a worse
 * one is taken now and then, less and less often (simulated annealing; Kirkpatrick, 1983). What clashes
 * are left are then mended one by one, each by its best exchange, what was just moved resting a while
 * (tabu search; Glover, 1986). Locked places and upright blocks stay. Blocks without a place may come in
 * for others when `spares` says so. The same seed gives the same arrangement.
 *
 * A generator, so that whoever runs it can show it improving, and stop it.
 */
export function* arrange(
  job: WallJob,
  seed: number,
  spares = false,
): Generator<ArrangeProgress, ArrangeProgress> {
  const random = randomFrom(seed);
  const costs = costsFor(job);
  const state = new State(job, costs, spares);
  let best: Arrangement = { at: [...job.at], turns: [...job.turns] };
  let bestCost = costOf(job, costs, best);
  const report = (done: number): ArrangeProgress => ({
    done,
    best,
    cost: bestCost,
    clashes: countClashes(costs, best, job.blocks.length),
  });
  if (state.free.length < 2 && job.rules.turn === 0) return report(1);
  const bestClashes = (arrangement: Arrangement) => countClashes(costs, arrangement, job.blocks.length);
  const keep = (cost: number) => {
    if (!more(bestCost, cost)) return;
    bestCost = cost;
    best = state.copy();
  };

  const moves = Math.min(MOST_MOVES, Math.max(LEAST_MOVES, MOVES_A_PLACE * state.free.length));
  const hot = state.typicalChange(random) * HOT;
  let cost = bestCost;
  // A small wall can be stuck, and is soon begun anew; a large one is not, and takes long enough.
  for (
    let begun = 0;
    begun < 1 || (begun < MOST_BEGUN && begun * moves < MOST_MOVES && bestClashes(best) > 0);
    begun++
  ) {
    for (let move = 0; move < moves; move++) {
      cost += state.tryMove(random, hot * (1 + 2 * begun) * COLD ** (move / moves));
      keep(cost);
      if (move % Math.ceil(moves / REPORTS) === 0) yield report(begun === 0 ? move / moves : 1);
    }
  }

  for (let round = 0; round < MENDING_ROUNDS && bestClashes(best) > 0; round++) {
    state.take(best);
    cost = bestCost;
    const steps = Math.ceil(MENDING_TRIES / Math.max(1, state.free.length));
    for (let step = 0; step < steps && state.anyClash(); step++) {
      cost += state.mend(random, step);
      keep(cost);
    }
    yield report(1);
    for (let move = 0; move < SHAKES; move++) {
      cost += state.tryMove(random, hot * SHAKEN * (1 - move / SHAKES));
      keep(cost);
    }
  }
  // Small steps add up to small errors; the last word is reckoned afresh.
  bestCost = costOf(job, costs, best);
  return report(1);
}

/** The blocks as they lie while being moved about. */
class State {
  /** Places whose block may go elsewhere. */
  readonly free: readonly number[];
  private at: Int32Array;
  private turns: Int32Array;
  /** Blocks without a place that may come in: exactly those that lie nowhere. */
  private parked: number[];
  private readonly blocks: number;
  private readonly turnable: readonly number[];
  /** Step until which a place rests. */
  private readonly rests: number[];

  constructor(
    private readonly job: WallJob,
    private readonly costs: Costs,
    private readonly spares: boolean,
  ) {
    this.at = Int32Array.from(job.at);
    this.turns = Int32Array.from(job.turns);
    this.blocks = job.blocks.length;
    this.free = job.places.flatMap((_, i) => (job.locked[i] || job.at[i]! < 0 ? [] : [i]));
    this.parked = this.without(job.at);
    this.turnable = job.rules.turn > 0 ? this.free : [];
    this.rests = job.places.map(() => 0);
  }

  copy(): Arrangement {
    return { at: [...this.at], turns: [...this.turns] };
  }

  /** Goes on from an arrangement; what it has no place for is parked. */
  take({ at, turns }: Arrangement): void {
    this.at = Int32Array.from(at);
    this.turns = Int32Array.from(turns);
    this.parked = this.without(at);
  }

  private without(at: readonly number[]): number[] {
    if (!this.spares) return [];
    const laid = new Set(at);
    return this.job.blocks.flatMap((_, i) => (laid.has(i) ? [] : [i]));
  }

  anyClash(): boolean {
    return this.free.some((place) => this.clashes(place));
  }

  /** What an exchange changes on average, whichever way: where to begin the cooling. */
  typicalChange(random: Random): number {
    let sum = 0;
    const samples = 60;
    for (let i = 0; i < samples; i++) sum += Math.abs(this.changeOf(this.pick(random), this.pick(random)));
    return Math.max(sum / samples, TOLERANCE);
  }

  /** Tries one move and answers what it changed; 0 when it was not taken. */
  tryMove(random: Random, heat: number): number {
    const take = (change: number) => change <= 0 || random() < Math.exp(-change / heat);
    if (this.turnable.length > 0 && random() < 0.2) return this.turn(random, take);
    if (this.free.length === 0) return 0;
    const from = random() < TOWARDS_CLASHES ? this.clashing(random) : this.pick(random);
    if (this.parked.length > 0 && random() < 0.15)
      return this.bringIn(from, Math.floor(random() * this.parked.length), take);
    const to = this.pick(random);
    const change = this.changeOf(from, to);
    if (!take(change)) return 0;
    this.exchange(from, to);
    return change;
  }

  /** Moves a block that clashes by its best exchange, better or worse; answers what that changed. */
  mend(random: Random, step: number): number {
    const clashing = this.free.filter((place) => this.clashes(place));
    const from = clashing[Math.floor(random() * clashing.length)]!;
    let best = { to: -1, change: Infinity };
    for (const to of this.free) {
      if (to === from || this.rests[to]! > step) continue;
      const change = this.changeOf(from, to);
      if (change < best.change) best = { to, change };
    }
    if (best.to < 0) return 0;
    this.exchange(from, best.to);
    this.rests[from] = step + RESTS;
    this.rests[best.to] = step + Math.floor(RESTS / 2);
    return best.change;
  }

  private pick(random: Random): number {
    return this.free[Math.floor(random() * this.free.length)]!;
  }

  /** A free place that clashes, if one is met within a few tries. */
  private clashing(random: Random): number {
    let place = this.pick(random);
    for (let i = 0; i < 6 && !this.clashes(place); i++) place = this.pick(random);
    return place;
  }

  private clashes(place: number): boolean {
    return clashesAt(this.costs, this.at, this.turns, place, this.blocks);
  }

  private cost(place: number): number {
    return placeCost(this.costs, this.at, this.turns, place, this.blocks);
  }

  private exchange(p: number, q: number): void {
    const had = this.at[p]!;
    this.at[p] = this.at[q]!;
    this.at[q] = had;
  }

  /** What exchanging two places would change. What lies between the two is counted twice, and is the same before and after. */
  private changeOf(p: number, q: number): number {
    if (p === q) return 0;
    const before = this.cost(p) + this.cost(q);
    this.exchange(p, q);
    const change = this.cost(p) + this.cost(q) - before;
    this.exchange(p, q);
    return change;
  }

  private bringIn(place: number, spare: number, take: (change: number) => boolean): number {
    const out = this.at[place]!;
    const before = this.cost(place);
    this.at[place] = this.parked[spare]!;
    const change = this.cost(place) - before;
    if (take(change)) {
      this.parked[spare] = out;
      return change;
    }
    this.at[place] = out;
    return 0;
  }

  private turn(random: Random, take: (change: number) => boolean): number {
    const place = this.turnable[Math.floor(random() * this.turnable.length)]!;
    const block = this.at[place]!;
    if (this.job.blocks[block]!.upright) return 0;
    const had = this.turns[block]!;
    const before = this.cost(place);
    this.turns[block] = (had + 1 + Math.floor(random() * 3)) % 4;
    const change = this.cost(place) - before;
    if (take(change)) return change;
    this.turns[block] = had;
    return 0;
  }
}
