import type { Point } from '@lattice/core';
import { linearSumAssignment } from 'linear-sum-assignment';
import { Matrix, solve } from 'ml-matrix';
import { perspective, through } from '../camera/camera.ts';
import { asLab, type Look, lookOf, turnedLook, unlike } from './look.ts';
import type { Raster } from '../picture/raster.ts';
import { straightened } from '../camera/straighten.ts';

/** A place of the layout: its corners in the layout's own measure, clockwise from the one its block's upper left lies at. */
interface LayoutPlace {
  readonly corners: readonly Point[];
}

/** What is known of a layout before its photo is read. */
export interface LayoutAsked {
  readonly places: readonly LayoutPlace[];
  /** Each block of the pile as a square picture of `size` pixels, red, green, blue, opacity. */
  readonly blocks: readonly ArrayLike<number>[];
  readonly size: number;
  /** At least four places of the layout that were pointed at in the photo. */
  readonly pointed: readonly { readonly place: Point; readonly seen: Point }[];
  /** Quarter turns a block may lie in: all, or only half turns where blocks are not square. */
  readonly turns: readonly (0 | 1 | 2 | 3)[];
  /** Which block each place has now, and turned how: what looks the same is taken to have stayed. */
  readonly now: readonly ({ readonly block: number; readonly turn: number } | null)[];
}

/** What lies in one place. */
export interface ReadPlace {
  /** Which block; null where none of the pile lies there. */
  readonly block: number | null;
  /** Quarter turns clockwise it lies in. */
  readonly turn: 0 | 1 | 2 | 3;
  /** It might as well be another, or lie otherwise: to be asked. */
  readonly unsure: boolean;
  /** Others it may be, the likeliest first. */
  readonly others: readonly number[];
}

/** A layout as the photo shows it. */
export interface ReadLayout {
  readonly places: readonly ReadPlace[];
  /** How unlike blocks and places are in the mean: above about 25 it is hardly this quilt. */
  readonly unlike: number;
  /** Each place's corners in the photo, in pixels. */
  readonly seen: readonly (readonly Point[])[];
}

/** Pixels of each straightened place. */
const SQUARE = 30;
/** Rounds of matching, each after the light is evened and the places are moved to fit. */
const ROUNDS = 3;
/** A place less like any block than this has none of the pile. */
const NONE = 34;
/** Blocks less unlike than this look the same: which is which does not matter. */
const SAME = 3;
/** A block turned so that it is less unlike itself than this looks the same: seams may lie a cell off. */
const SAME_TURNED = 8;
/** A choice is sure when the next best way is worse by this much (CIELAB), and by this share of what is left unexplained. */
const SURE = 1.6;
const SURE_SHARE = 0.18;

/**
 * Which block of the pile lies in each place of a layout, and how it is turned, by one photo: every place is straightened
 * and compared with every block in every turn; the assignment with the least unlikeness in all is the answer
 * (Jonker and Volgenant). Light that differs across the photo is evened between rounds, and places are moved to where
 * their blocks fit best, so that corners may be pointed at by finger.
 */
export function readLayout(raster: Raster, asked: LayoutAsked): ReadLayout | null {
  const { places, blocks, size, turns, now } = asked;
  let onto = perspective(
    asked.pointed.map((p) => p.place),
    asked.pointed.map((p) => p.seen),
  );
  if (!onto || places.length === 0 || blocks.length === 0) return null;
  const plain = blocks.map((block) => lookOf(block, size));
  const labs = plain.map((look) => turns.map((turn) => asLab(turnedLook(look, turn), [1, 1, 1])));
  let quads: Point[][] = [];
  let gains: (readonly [number, number, number])[] = [];
  let best: Matched | null = null;
  for (let round = 0; round < ROUNDS; round++) {
    const to = onto;
    quads = places.map(({ corners }) => corners.map((p) => through(to, p)));
    const looks = quads.map((quad) => lookOf(straightened(raster, quad, SQUARE), SQUARE));
    if (gains.length === 0) gains = evenGain(looks, plain);
    best = matched(looks, gains, labs, now);
    if (round === ROUNDS - 1) break;
    gains = gainsBy(places, looks, plain, best);
    onto = moved(raster, places, quads, best, gains, labs) ?? onto;
  }
  const { chosen, costs, by } = best!;
  const left = chosen.map((j, i) => (j === null ? NONE : costs[i]![j]!));
  const usual = middleOf(left);
  const need = Math.max(SURE, SURE_SHARE * usual);
  const read = places.map((_, i): ReadPlace => {
    const j = chosen[i]!;
    if (j === null) return { block: null, turn: 0, unsure: true, others: likeliest(costs[i]!).slice(0, 3) };
    const { lies, each } = liesBest(by[i]![j]!);
    const looksLike = (k: number, q: number) => unlike(labs[k]![q]!, labs[j]![lies]!) <= SAME;
    const rivals = likeliest(costs[i]!).filter((k) => k !== j && !turns.some((_t, q) => looksLike(k, q)));
    // What it would cost to have another here: by giving this one to the place the other has, or leaving it out.
    const swapped = rivals.map((k) => {
      const at = chosen.indexOf(k);
      const elsewhere = at < 0 ? 0 : costs[at]![j]! - costs[at]![k]!;
      return costs[i]![k]! - costs[i]![j]! + elsewhere;
    });
    const asWell = turns.map((_t, q) => q === lies || unlike(labs[j]![q]!, labs[j]![lies]!) <= SAME_TURNED);
    const otherwise = each.filter((_v, q) => !asWell[q]);
    const stays = turns.findIndex((t, q) => asWell[q] && now[i]?.block === j && now[i].turn === t);
    const unsure =
      Math.min(...swapped, Infinity) < need ||
      Math.min(...otherwise, Infinity) - costs[i]![j]! < need / 2 ||
      costs[i]![j]! > Math.max(3 * usual, 0.8 * NONE);
    return {
      block: j,
      turn: turns[stays >= 0 ? stays : asWell.indexOf(true)]!,
      unsure,
      others: rivals.slice(0, 3),
    };
  });
  return { places: read, unlike: usual, seen: quads };
}

interface Matched {
  /** Block of each place; null where none is like it. */
  readonly chosen: readonly (number | null)[];
  /** Unlikeness of each place to each block, as it lies best. */
  readonly costs: readonly (readonly number[])[];
  /** And in each turn. */
  readonly by: readonly (readonly (readonly number[])[])[];
}

function matched(
  looks: readonly Look[],
  gains: readonly (readonly [number, number, number])[],
  labs: readonly (readonly Float64Array[])[],
  now: LayoutAsked['now'],
): Matched {
  const seen = looks.map((look, i) => asLab(look, gains[i]!));
  const by = seen.map((lab) => labs.map((turned) => turned.map((one) => unlike(lab, one))));
  const costs = by.map((row) => row.map((each) => Math.min(...each)));
  // A place may have none of the pile: as many empty blocks as places, each as unlike as a stranger.
  const table = costs.map((row, i) => [
    ...row.map((c, j) => c * c - (now[i]?.block === j ? 1e-3 : 0)),
    ...costs.map(() => NONE * NONE),
  ]);
  const { rowAssignments } = linearSumAssignment(new Matrix(table), { maximaze: false });
  const chosen = looks.map((_, i) => {
    const j = rowAssignments[i]!;
    return j < 0 || j >= labs.length ? null : j;
  });
  return { chosen, costs, by };
}

/** One gain for all, so that the photo is as bright and of the same tint as the pile in the mean. */
function evenGain(looks: readonly Look[], plain: readonly Look[]): (readonly [number, number, number])[] {
  const meanLight = (list: readonly Look[], c: number) => {
    let sum = 0;
    let n = 0;
    for (const look of list) for (let i = c; i < look.length; i += 3, n++) sum += look[i]!;
    return sum / Math.max(1, n);
  };
  const gain = [0, 1, 2].map(
    (c) => meanLight(plain, c) / Math.max(1e-4, meanLight(looks, c)),
  ) as unknown as readonly [number, number, number];
  return looks.map(() => gain);
}

/** Gains that follow the light across the layout: a smooth surface through what each matched place tells. */
function gainsBy(
  places: readonly LayoutPlace[],
  looks: readonly Look[],
  plain: readonly Look[],
  { chosen, costs }: Matched,
): (readonly [number, number, number])[] {
  const middles = places.map(middleAt);
  const xs = middles.map((p) => p.x);
  const ys = middles.map((p) => p.y);
  const span = Math.max(1e-9, Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys));
  const terms = (i: number) => {
    const x = (xs[i]! - Math.min(...xs)) / span - 0.5;
    const y = (ys[i]! - Math.min(...ys)) / span - 0.5;
    return places.length >= 12 ? [1, x, y, x * x, x * y, y * y] : [1, x, y];
  };
  const usual = middleOf(chosen.map((j, i) => (j === null ? NONE : costs[i]![j]!)));
  const surface = (c: number) => {
    const rows: number[][] = [];
    const right: number[] = [];
    chosen.forEach((j, i) => {
      if (j === null) return;
      const sum = (look: Look) => {
        let s = 0;
        for (let k = c; k < look.length; k += 3) s += look[k]!;
        return s + 1e-3;
      };
      const weight = Math.exp(-((costs[i]![j]! / (2 * usual + 1)) ** 2));
      rows.push(terms(i).map((t) => t * weight));
      right.push(Math.log(sum(plain[j]!) / sum(looks[i]!)) * weight);
    });
    const n = terms(0).length;
    // Held near even light: few places tell little.
    for (let k = 1; k < n; k++) {
      rows.push(terms(0).map((_, q) => (q === k ? 0.3 : 0)));
      right.push(0);
    }
    if (rows.length < 2 * n) return null;
    return solve(new Matrix(rows), Matrix.columnVector(right), true).to1DArray();
  };
  const of = [0, 1, 2].map(surface);
  if (of.some((s) => s === null)) return evenGain(looks, plain);
  return places.map(
    (_, i) =>
      of.map((s) =>
        Math.exp(
          Math.max(
            -2,
            Math.min(
              2,
              terms(i).reduce((sum, t, k) => sum + t * s![k]!, 0),
            ),
          ),
        ),
      ) as unknown as readonly [number, number, number],
  );
}

const middleAt = ({ corners }: LayoutPlace): Point => ({
  x: corners.reduce((s, p) => s + p.x, 0) / corners.length,
  y: corners.reduce((s, p) => s + p.y, 0) / corners.length,
});

/** Shifts tried for each place, as shares of its side. */
const SHIFTS = [-0.12, -0.06, 0, 0.06, 0.12];

/** The perspective again, after each place was shifted to where its block fits best; null where too few tell. */
function moved(
  raster: Raster,
  places: readonly LayoutPlace[],
  quads: readonly (readonly Point[])[],
  { chosen, costs, by }: Matched,
  gains: readonly (readonly [number, number, number])[],
  labs: readonly (readonly Float64Array[])[],
) {
  const from: Point[] = [];
  const to: Point[] = [];
  const usual = middleOf(chosen.map((j, i) => (j === null ? NONE : costs[i]![j]!)));
  places.forEach((place, i) => {
    const j = chosen[i]!;
    if (j === null || costs[i]![j]! > 2 * usual + 2) return;
    const wanted = labs[j]![liesBest(by[i]![j]!).lies]!;
    const [a, b, , d] = quads[i]! as [Point, Point, Point, Point];
    let best = { cost: Infinity, u: 0, v: 0 };
    for (const u of SHIFTS)
      for (const v of SHIFTS) {
        const by = { x: u * (b.x - a.x) + v * (d.x - a.x), y: u * (b.y - a.y) + v * (d.y - a.y) };
        const quad = quads[i]!.map((p) => ({ x: p.x + by.x, y: p.y + by.y }));
        const look = lookOf(straightened(raster, quad, CELL_SQUARE), CELL_SQUARE);
        // The nearer the better, where it makes no difference.
        const cost = unlike(asLab(look, gains[i]!), wanted) + 2 * Math.hypot(u, v);
        if (cost < best.cost) best = { cost, u, v };
      }
    const shift = {
      x: best.u * (b.x - a.x) + best.v * (d.x - a.x),
      y: best.u * (b.y - a.y) + best.v * (d.y - a.y),
    };
    for (const k of [0, 1, 2, 3]) {
      from.push(place.corners[k]!);
      to.push({ x: quads[i]![k]!.x + shift.x, y: quads[i]![k]!.y + shift.y });
    }
  });
  return from.length < 16 ? null : perspective(from, to);
}

/** Pixels of a place that is only tried: as coarse as it is compared. */
const CELL_SQUARE = 15;

/** In which turn a block is most like its place. */
const liesBest = (each: readonly number[]) => ({ each, lies: each.indexOf(Math.min(...each)) });

const middleOf = (list: readonly number[]): number =>
  [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? 0;

const likeliest = (costs: readonly number[]): number[] =>
  costs.map((_, j) => j).sort((a, b) => costs[a]! - costs[b]!);
