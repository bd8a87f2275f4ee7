import { sum as sumOf } from 'd3-array';
import { type Lab65, differenceOf, labOf } from '../colour/colour.ts';
import type { Arrangement, WallBlock, WallJob } from './job.ts';

/** Main colours nearer than this look the same side by side: CIEDE2000 of 12 (from memory). */
const SAME_COLOUR = 12;
/** Any two colours nearer than this are taken to be of one cloth: CIEDE2000 of 4 (from memory). */
const SAME_CLOTH = 4;
/** Corner to corner counts half as much as side by side. */
const CORNER = 0.5;

/** Why two blocks should not lie beside each other. */
export type ClashReason = 'kind' | 'maker' | 'colour' | 'cloth' | 'turn';

/** Two blocks that lie beside each other and should not. */
export interface Clash {
  readonly a: number;
  readonly b: number;
  readonly how: 'side' | 'corner';
  readonly reasons: readonly ClashReason[];
}

/** A block's colours as they are compared. */
const coloursOf = ({ colours }: WallBlock): readonly Lab65[] => colours.map(labOf);

/** How different two colours look, each pair worked out once: a wall has few colours and very many pairs of blocks. */
function rememberingDifferences(): (a: Lab65, b: Lab65) => number {
  const known = new Map<Lab65, Map<Lab65, number>>();
  return (a, b) => {
    let ofA = known.get(a);
    if (!ofA) known.set(a, (ofA = new Map()));
    let found = ofA.get(b);
    if (found === undefined) ofA.set(b, (found = differenceOf(a, b)));
    return found;
  };
}

/** Which reasons two blocks have, whatever their turn; only those the rules weigh. */
function alike(
  a: WallBlock,
  b: WallBlock,
  ofA: readonly Lab65[],
  ofB: readonly Lab65[],
  rules: WallJob['rules'],
  differ: (a: Lab65, b: Lab65) => number,
): Record<'kind' | 'maker' | 'colour' | 'cloth', boolean> {
  return {
    kind: a.kind !== null && a.kind === b.kind,
    maker: a.maker !== null && a.maker === b.maker,
    colour: ofA.length > 0 && ofB.length > 0 && differ(ofA[0]!, ofB[0]!) < SAME_COLOUR,
    cloth: rules.cloth > 0 && ofA.some((one) => ofB.some((other) => differ(one, other) < SAME_CLOTH)),
  };
}

/** Every clash of an arrangement under the rules that have a weight, side by side first. */
export function clashesOf(job: WallJob, { at, turns }: Arrangement = job): Clash[] {
  const { blocks, meetings, rules } = job;
  const labs = blocks.map(coloursOf);
  const differ = rememberingDifferences();
  return meetings
    .flatMap(({ a, b, how }): Clash[] => {
      const [one, two] = [blocks[at[a]!], blocks[at[b]!]];
      if (!one || !two) return [];
      const same = alike(one, two, labs[at[a]!]!, labs[at[b]!]!, rules, differ);
      const reasons = (['kind', 'maker', 'colour', 'cloth'] as const).filter(
        (r) => rules[r] > 0 && same[r],
      ) as ClashReason[];
      if (rules.turn > 0 && same.kind && turns[at[a]!] === turns[at[b]!]) reasons.push('turn');
      return reasons.length > 0 ? [{ a, b, how, reasons }] : [];
    })
    .sort((a, b) => Number(a.how === 'corner') - Number(b.how === 'corner'));
}

/** The cost of any arrangement of a job's blocks, prepared so that a change costs little to weigh. */
export interface Costs {
  /** For each place, the places within reach of it. */
  readonly near: readonly Neighbours[];
  /** Cost of two blocks meeting side by side, but for their turn; by index × blocks + index. */
  readonly clash: Float32Array;
  /** Cost of two blocks meeting the same way round; null where turns do not matter. */
  readonly turn: Float32Array | null;
  /** How alike two blocks are, times the weight of spreading. */
  readonly likeness: Float32Array;
  /** Value wanted in each place, and the weight of having it; null without a gradient. */
  readonly wanted: {
    readonly value: readonly number[];
    readonly weight: number;
    readonly rank: readonly number[];
  } | null;
}

/** Places within reach of one, those that meet it first: how they do (1 side by side, half at a corner), and how near all lie. */
interface Neighbours {
  readonly place: Int32Array;
  readonly meets: Float64Array;
  readonly nearness: Float64Array;
}

/** A clash outweighs any unevenness it might mend. */
const CLASH_OVER_SPREAD = 6;
/** Likeness is felt this many blocks away, and less by the square of the distance. */
const REACH = 2.9;

/** Prepares the costs of a job. */
export function costsFor({ blocks, places, meetings, rules }: WallJob): Costs {
  const n = blocks.length;
  const clash = new Float32Array(n * n);
  const turn = rules.turn > 0 ? new Float32Array(n * n) : null;
  const likeness = new Float32Array(n * n);
  const labs = blocks.map(coloursOf);
  const differ = rememberingDifferences();
  for (let i = 0; i < n; i++) {
    for (let j = i + 1; j < n; j++) {
      const [a, b] = [blocks[i]!, blocks[j]!];
      const same = alike(a, b, labs[i]!, labs[j]!, rules, differ);
      const cost =
        (same.kind ? rules.kind : 0) +
        (same.maker ? rules.maker : 0) +
        (same.colour ? rules.colour : 0) +
        (same.cloth ? rules.cloth : 0);
      clash[i * n + j] = clash[j * n + i] = CLASH_OVER_SPREAD * cost;
      if (turn) turn[i * n + j] = turn[j * n + i] = same.kind ? CLASH_OVER_SPREAD * rules.turn : 0;
      const shares = [
        same.kind ? 1 : 0,
        same.maker ? 1 : 0,
        same.colour ? 1 : 0,
        Math.max(0, 1 - Math.abs(a.value - b.value) / 0.15),
        Math.max(0, 1 - Math.abs(a.size - b.size) / 0.125) * 0.5,
      ];
      likeness[i * n + j] = likeness[j * n + i] = (rules.spread * sumOf(shares)) / shares.length;
    }
  }
  return {
    near: neighboursOf(places, meetings),
    clash,
    turn,
    likeness,
    wanted: rules.gradient > 0 ? wantedValues(blocks, places, rules) : null,
  };
}

function neighboursOf(places: WallJob['places'], meetings: WallJob['meetings']): Neighbours[] {
  const meets = new Map<string, number>();
  for (const { a, b, how } of meetings) {
    const weight = how === 'side' ? 1 : CORNER;
    meets.set(`${a},${b}`, weight).set(`${b},${a}`, weight);
  }
  let closest = Infinity;
  for (const { a, b } of meetings) closest = Math.min(closest, squared(places[a]!, places[b]!));
  return places.map((p, i) => {
    const within = places.flatMap((q, j) =>
      j !== i && (squared(p, q) <= closest * REACH ** 2 || meets.has(`${i},${j}`)) ? [j] : [],
    );
    const meeting = within.filter((j) => meets.has(`${i},${j}`));
    const ordered = [...meeting, ...within.filter((j) => !meets.has(`${i},${j}`))];
    return {
      place: Int32Array.from(ordered),
      meets: Float64Array.from(meeting, (j) => meets.get(`${i},${j}`)!),
      nearness: Float64Array.from(ordered, (j) => closest / squared(p, places[j]!)),
    };
  });
}

const squared = (a: { x: number; y: number }, b: { x: number; y: number }): number =>
  (a.x - b.x) ** 2 + (a.y - b.y) ** 2;

/** A gradient by rank: the lightest block first, the darkest last, along the order asked for. */
function wantedValues(
  blocks: readonly WallBlock[],
  places: WallJob['places'],
  { order, gradient }: WallJob['rules'],
): Costs['wanted'] {
  const [xs, ys] = [places.map((p) => p.x), places.map((p) => p.y)];
  const middle = { x: (Math.min(...xs) + Math.max(...xs)) / 2, y: (Math.min(...ys) + Math.max(...ys)) / 2 };
  const along = (p: { x: number; y: number }) =>
    order === 'across' ? p.x : order === 'down' ? p.y : Math.sqrt(squared(p, middle));
  return { value: ranked(places.map(along)), rank: ranked(blocks.map((b) => -b.value)), weight: gradient };
}

/** Values as ranks from 0 to 1; equals share theirs. */
function ranked(values: readonly number[]): number[] {
  const sorted = [...values].sort((a, b) => a - b);
  const last = Math.max(1, values.length - 1);
  return values.map((v) => (sorted.indexOf(v) + sorted.lastIndexOf(v)) / 2 / last);
}

/** What a place costs with a block in it, against everything else as it lies. Empty places cost nothing. */
export function placeCost(
  costs: Costs,
  at: ArrayLike<number>,
  turns: ArrayLike<number>,
  place: number,
  blocks: number,
): number {
  const block = at[place]!;
  if (block < 0) return 0;
  const { place: others, meets, nearness } = costs.near[place]!;
  const row = block * blocks;
  let sum = 0;
  for (let i = 0; i < others.length; i++) {
    const there = at[others[i]!]!;
    if (there < 0) continue;
    if (i < meets.length) {
      sum += meets[i]! * costs.clash[row + there]!;
      if (costs.turn !== null && turns[block] === turns[there]) sum += meets[i]! * costs.turn[row + there]!;
    }
    sum += costs.likeness[row + there]! * nearness[i]!;
  }
  if (costs.wanted)
    sum += costs.wanted.weight * (costs.wanted.value[place]! - costs.wanted.rank[block]!) ** 2;
  return sum;
}

/** Whether two blocks that meet clash, turned as they are. */
function clash(
  { clash: costs, turn }: Costs,
  turns: ArrayLike<number>,
  block: number,
  there: number,
  blocks: number,
): boolean {
  const at = block * blocks + there;
  return costs[at]! > 0 || (turn !== null && turns[block] === turns[there] && turn[at]! > 0);
}

/** Whether the block in a place clashes with any that it meets. */
export function clashesAt(
  costs: Costs,
  at: ArrayLike<number>,
  turns: ArrayLike<number>,
  place: number,
  blocks: number,
): boolean {
  const { place: others, meets } = costs.near[place]!;
  const block = at[place]!;
  for (let i = 0; i < meets.length && block >= 0; i++) {
    const there = at[others[i]!]!;
    if (there < 0) continue;
    if (clash(costs, turns, block, there, blocks)) return true;
  }
  return false;
}

/** How many meetings clash; the same number as `clashesOf` lists, without its words. */
export function countClashes(costs: Costs, { at, turns }: Arrangement, blocks: number): number {
  let count = 0;
  costs.near.forEach(({ place: others, meets }, place) => {
    const block = at[place]!;
    if (block < 0) return;
    for (let i = 0; i < meets.length; i++) {
      const there = at[others[i]!]!;
      if (there < 0 || others[i]! < place) continue;
      if (clash(costs, turns, block, there, blocks)) count++;
    }
  });
  return count;
}

/** The whole cost of an arrangement; lower is better. */
export function costOf(job: WallJob, costs: Costs, { at, turns }: Arrangement): number {
  const n = job.blocks.length;
  let sum = 0;
  at.forEach((block, p) => {
    if (block < 0) return;
    const own = costs.wanted
      ? costs.wanted.weight * (costs.wanted.value[p]! - costs.wanted.rank[block]!) ** 2
      : 0;
    // Everything between two places is met twice, what a place costs alone once.
    sum += (placeCost(costs, at, turns, p, n) - own) / 2 + own;
  });
  return sum;
}

/** How good an arrangement is, in two figures; less of either is better. */
export interface WallScore {
  readonly clashes: number;
  /** How near alike blocks lie to one another, and how far values are from their order; of no unit. */
  readonly unevenness: number;
}

/** The score of an arrangement of a job's blocks. */
export function scoreOf(job: WallJob, arrangement: Arrangement = job): WallScore {
  const costs = costsFor(job);
  const even = { ...costs, clash: new Float32Array(costs.clash.length), turn: null };
  return {
    clashes: countClashes(costs, arrangement, job.blocks.length),
    unevenness: costOf(job, even, arrangement),
  };
}
