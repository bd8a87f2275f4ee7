import type { Point } from '../geometry/point.ts';
import type { Crossing, End, Seam } from './seam-ledger.ts';
import { PRESS_RULES, type PressContext } from './press-rules.ts';
import { disjointSets } from './disjoint-sets.ts';
import { more } from '../length/tolerance.ts';

/** Which way a seam is pressed: toward the side of its `a`, of its `b`, or open. */
type Press = 'a' | 'b' | 'open';

/** How seams are to be pressed. */
export interface PressWish {
  /** Weight of a rule, by its id; 0 switches it off. Those not named count as they usually do. */
  readonly weights?: Readonly<Record<string, number>>;
  /** Seams the maker presses so, whatever follows. */
  readonly fixed?: ReadonlyMap<number, Press>;
}

/** A crossing whose seams do not lie against one another, and why. */
interface Unnested {
  readonly at: Point;
  readonly why: string;
}

/** Every seam's pressing, and what comes of it where seams cross. */
export interface Pressing {
  readonly press: readonly Press[];
  readonly crossings: number;
  readonly nested: number;
  readonly unnested: readonly Unnested[];
}

/** What a crossing that nests counts, beside the rules. */
const NEST = 100;
/** So many seams linked by crossings are tried in every way there is. */
const BRUTE = 14;
/** Rounds of turning one seam at a time, from several beginnings, where links form no plain chain. */
const ROUNDS = 40;

/**
 * Presses every seam so that as many crossings nest as can, and within that by the rules of the trade. Seams are
 * linked where they cross; chains and rings of them are solved exactly whatever their length, up to fourteen seams
 * linked otherwise too; beyond that by turning seams one at a time until nothing gets better.
 */
export function pressAll(seams: readonly Seam[], context: PressContext, wish: PressWish = {}): Pressing {
  const gains = seams.map((seam) => gainOf(seam, context, wish.weights ?? {}));
  const fixed = new Map([...(wish.fixed ?? [])].map(([seam, press]) => [seam, VALUE[press]]));
  const crossings = seams.flatMap((seam) => seam.crossings);
  // As the rules alone would have it; a seam no rule speaks of goes the way it is read.
  const values = seams.map((_, i) => fixed.get(i) ?? (gains[i]! < 0 ? -1 : 1));
  for (const group of groupsOf(seams.length, crossings)) solve(group, values, gains, fixed);
  const failing = crossings.filter((crossing) => !nests(crossing, values));
  return {
    press: values.map((value) => (value === 0 ? 'open' : value > 0 ? 'a' : 'b')),
    crossings: crossings.length,
    nested: crossings.length - failing.length,
    unnested: failing.map((crossing) => ({ at: crossing.at, why: whyNot(crossing, values, fixed) })),
  };
}

const VALUE: Readonly<Record<Press, number>> = { a: 1, b: -1, open: 0 };

/** What pressing a seam toward its `a` gains by the rules, less what it loses. */
function gainOf(seam: Seam, context: PressContext, weights: Readonly<Record<string, number>>): number {
  return PRESS_RULES.reduce((sum, rule) => {
    const weight = weights[rule.id] ?? rule.weight;
    const side = weight > 0 ? rule.prefers(seam, context) : null;
    return sum + (side === 'a' ? weight : side === 'b' ? -weight : 0);
  }, 0);
}

const leans = ({ seam, sign }: End, values: readonly number[]): number => sign * values[seam]!;

/** Some seam of one side lies against some seam of the other. */
const nests = ({ a, b }: Crossing, values: readonly number[]): boolean =>
  a.some((end) => b.some((other) => leans(end, values) * leans(other, values) === -1));

/** Seams that are linked, and the crossings that link them. */
interface Group {
  readonly seams: readonly number[];
  readonly crossings: readonly Crossing[];
}

function groupsOf(count: number, crossings: readonly Crossing[]): Group[] {
  const linked = disjointSets(count);
  for (const { a, b } of crossings) {
    const [first, ...others] = [...a, ...b];
    for (const { seam } of others) linked.join(first!.seam, seam);
  }
  const groups = new Map<number, { seams: Set<number>; crossings: Crossing[] }>();
  for (const crossing of crossings) {
    const key = linked.root(crossing.a[0]!.seam);
    let group = groups.get(key);
    if (!group) groups.set(key, (group = { seams: new Set(), crossings: [] }));
    group.crossings.push(crossing);
    for (const { seam } of [...crossing.a, ...crossing.b]) group.seams.add(seam);
  }
  return [...groups.values()].map(({ seams, crossings: own }) => ({ seams: [...seams], crossings: own }));
}

/** Sets the values of a group's seams to the best there is, or the best that is found. */
function solve(
  group: Group,
  values: number[],
  gains: readonly number[],
  fixed: ReadonlyMap<number, number>,
): void {
  const free = group.seams.filter((seam) => !fixed.has(seam));
  if (free.length === 0 || group.crossings.every((crossing) => nests(crossing, values))) return;
  const chain = chainOf(group);
  if (chain) along(chain, values, gains, fixed);
  else if (free.length <= BRUTE) everyWay(group, free, values, gains);
  else turning(group, free, values, gains);
}

const scoreOf = ({ seams, crossings }: Group, values: readonly number[], gains: readonly number[]): number =>
  crossings.reduce((sum, crossing) => sum + (nests(crossing, values) ? NEST : 0), 0) +
  seams.reduce((sum, seam) => sum + gains[seam]! * values[seam]!, 0);

function everyWay(group: Group, free: readonly number[], values: number[], gains: readonly number[]): void {
  let [best, bits] = [-Infinity, 0];
  const set = (way: number) => free.forEach((seam, i) => (values[seam] = (way >> i) & 1 ? 1 : -1));
  for (let way = 0; way < 1 << free.length; way++) {
    set(way);
    const score = scoreOf(group, values, gains);
    if (more(score, best)) [best, bits] = [score, way];
  }
  set(bits);
}

/** Seams in a row or a ring, each linked to the next by one crossing; `between[i]` links `seams[i]` to the one after it. */
interface Chain {
  readonly seams: readonly number[];
  /** The sign of each link: the two nest where the product of sign and both values is −1. */
  readonly between: readonly number[];
  /** The link from the last back to the first; null where it is no ring. */
  readonly closing: number | null;
}

/** The group as a chain; null where crossings link more than two seams, or a seam has more than two links. */
function chainOf({ seams, crossings }: Group): Chain | null {
  if (crossings.some(({ a, b }) => a.length !== 1 || b.length !== 1)) return null;
  const links = new Map<number, { to: number; sign: number; crossing: Crossing }[]>(
    seams.map((seam) => [seam, []]),
  );
  for (const crossing of crossings) {
    const [a, b] = [crossing.a[0]!, crossing.b[0]!];
    const sign = a.sign * b.sign;
    links.get(a.seam)!.push({ to: b.seam, sign, crossing });
    links.get(b.seam)!.push({ to: a.seam, sign, crossing });
  }
  if ([...links.values()].some((own) => own.length > 2)) return null;
  const start = seams.find((seam) => links.get(seam)!.length === 1) ?? seams[0]!;
  const order = [start];
  const between: number[] = [];
  const used = new Set<Crossing>();
  for (let at = start; ;) {
    const next = links.get(at)!.find(({ crossing }) => !used.has(crossing));
    if (!next) return { seams: order, between, closing: null };
    used.add(next.crossing);
    if (next.to === start) return { seams: order, between, closing: next.sign };
    order.push(next.to);
    between.push(next.sign);
    at = next.to;
  }
}

/** The best values along a chain, from one end to the other; of a ring once for each value its first seam may have. */
function along(
  { seams, between, closing }: Chain,
  values: number[],
  gains: readonly number[],
  fixed: ReadonlyMap<number, number>,
): void {
  const allowed = (seam: number): readonly number[] => {
    const value = fixed.get(seam);
    return value === undefined ? [1, -1] : [value];
  };
  const link = (sign: number, from: number, to: number) => (sign * from * to === -1 ? NEST : 0);
  let best: { score: number; path: readonly number[] } | null = null;
  for (const first of allowed(seams[0]!)) {
    let reached = [{ value: first, score: gains[seams[0]!]! * first, path: [first] as readonly number[] }];
    for (let i = 1; i < seams.length; i++) {
      const seam = seams[i]!;
      reached = allowed(seam).map((value) => {
        const ways = reached.map((from) => ({
          score: from.score + link(between[i - 1]!, from.value, value) + gains[seam]! * value,
          path: from.path,
        }));
        const way = ways.reduce((a, b) => (more(b.score, a.score) ? b : a));
        return { value, score: way.score, path: [...way.path, value] };
      });
    }
    for (const { value, score, path } of reached) {
      const all = score + (closing === null ? 0 : link(closing, value, first));
      if (!best || more(all, best.score)) best = { score: all, path };
    }
  }
  seams.forEach((seam, i) => (values[seam] = best!.path[i]!));
}

/** Turns single seams until nothing gets better, from what the rules say and from seams laid against one another. */
function turning(group: Group, free: readonly number[], values: number[], gains: readonly number[]): void {
  const touching = new Map<number, Crossing[]>(free.map((seam) => [seam, []]));
  for (const crossing of group.crossings)
    for (const seam of new Set([...crossing.a, ...crossing.b].map((end) => end.seam)))
      touching.get(seam)?.push(crossing);
  const local = (seam: number) =>
    touching.get(seam)!.reduce((sum, crossing) => sum + (nests(crossing, values) ? NEST : 0), 0) +
    gains[seam]! * values[seam]!;
  const climb = () => {
    for (let round = 0, better = true; better && round < ROUNDS; round++) {
      better = false;
      for (const seam of free) {
        const before = local(seam);
        values[seam] = -values[seam]!;
        if (more(local(seam), before)) better = true;
        else values[seam] = -values[seam];
      }
    }
  };
  climb();
  const own = free.map((seam) => values[seam]!);
  const ownScore = scoreOf(group, values, gains);
  laidAgainst(group, new Set(free), values);
  climb();
  if (scoreOf(group, values, gains) < ownScore) free.forEach((seam, i) => (values[seam] = own[i]!));
}

/** Every seam against the one it crosses, as far as that goes without contradiction. */
function laidAgainst({ crossings }: Group, free: ReadonlySet<number>, values: number[]): void {
  const links = new Map<number, { to: number; sign: number }[]>();
  const add = (from: End, to: End) =>
    links.set(from.seam, [...(links.get(from.seam) ?? []), { to: to.seam, sign: from.sign * to.sign }]);
  for (const { a, b } of crossings) {
    add(a[0]!, b[0]!);
    add(b[0]!, a[0]!);
  }
  const seen = new Set<number>();
  for (const start of links.keys()) {
    if (seen.has(start)) continue;
    seen.add(start);
    const ahead = [start];
    for (let at = ahead.pop(); at !== undefined; at = ahead.pop())
      for (const { to, sign } of links.get(at)!) {
        if (seen.has(to)) continue;
        seen.add(to);
        if (free.has(to)) values[to] = -sign * values[at]!;
        ahead.push(to);
      }
  }
}

function whyNot({ a, b }: Crossing, values: readonly number[], fixed: ReadonlyMap<number, number>): string {
  const seams = [...a, ...b].map(({ seam }) => seam);
  if (seams.some((seam) => values[seam] === 0))
    return 'A seam that is pressed open has nothing to lie against.';
  if (seams.some((seam) => fixed.has(seam)))
    return 'You press a seam here the same way as the one it meets, so both lie on one another.';
  return 'The seams that meet here are linked in a ring, or by a rule that weighs more: one of them has to lie the same way as its neighbour.';
}
