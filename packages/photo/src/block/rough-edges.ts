import type { Point } from '@lattice/core';
import type { Flat } from '../camera/flat.ts';
import type { Ground } from './ground.ts';
import { crossing, type Straight } from '../picture/straight.ts';

/** The four edges of a block, roughly: its corners clockwise, in inches, and how plainly each edge shows (0 to 1). */
export interface RoughOutline {
  readonly corners: readonly Point[];
  /** Of the edges from each corner to the next. */
  readonly plain: readonly number[];
}

/** Samples along each edge. */
const SAMPLES = 48;
/** Steps of the search across an edge, in inches. */
const PITCH = 0.04;
/** An edge may lie so far from where it was looked for: in inches, and as a share of its length. */
const REACH = 0.7;
const REACH_SHARE = 0.2;
/** And be turned so far, as its rise by its run. */
const SLOPES = Array.from({ length: 27 }, (_, i) => (i - 13) * 0.008);
/** How many steps behind an edge there must still be cloth: farther than a line of a mat is wide. */
const DEEP = 8;
/** A step in colour of this much (CIELAB) is as good as any. */
const PLAIN = 7;

/**
 * The block's edges near a box: for each side the straight line with most of its length on a step in colour whose
 * outer side is like the ground.
 */
export function roughOutline(
  flat: Flat,
  ground: Ground,
  hidden: Uint8Array,
  box: readonly Point[],
): RoughOutline {
  let corners = [...box];
  let plain = [0, 0, 0, 0];
  for (let round = 0; round < 3; round++) {
    const sides = corners.map((a, k) => bestLine(flat, ground, hidden, a, corners[(k + 1) % 4]!, round));
    const next = sides.map((side, k) => crossing(sides[(k + 3) % 4]!.line, side.line));
    if (next.some((p) => !p)) break;
    corners = next as Point[];
    plain = sides.map((s) => s.score);
  }
  return { corners, plain };
}

function bestLine(
  flat: Flat,
  ground: Ground,
  hidden: Uint8Array,
  a: Point,
  b: Point,
  round: number,
): { line: Straight; score: number } {
  const long = Math.hypot(b.x - a.x, b.y - a.y);
  const way = { x: (b.x - a.x) / long, y: (b.y - a.y) / long };
  const out = { x: way.y, y: -way.x };
  const reach = round === 0 ? Math.max(REACH, REACH_SHARE * long) : REACH;
  const lean = round === 0 ? 1 : 0.5;
  const half = Math.ceil((reach + (SLOPES.at(-1)! * long) / 2) / PITCH);
  const count = 2 * half + 1;
  const steps: Float32Array[] = [];
  const along: number[] = [];
  for (let i = 0; i < SAMPLES; i++) {
    const t = 0.03 + (0.94 * i) / (SAMPLES - 1);
    along.push((t - 0.5) * long);
    steps.push(
      stepsAcross(
        flat,
        ground,
        hidden,
        { x: a.x + t * (b.x - a.x), y: a.y + t * (b.y - a.y) },
        out,
        half,
        count,
      ),
    );
  }
  let best = { offset: 0, slope: 0, score: -1 };
  const widest = Math.floor(reach / PITCH);
  for (const whole of SLOPES) {
    const slope = whole * lean;
    for (let o = -widest; o <= widest; o++) {
      let score = 0;
      for (let i = 0; i < SAMPLES; i++) {
        const d = Math.round(o + (slope * along[i]!) / PITCH) + half;
        if (d >= 0 && d < count) score += steps[i]![d]!;
      }
      // Where two are as good the nearer and the straighter is meant.
      score = score / SAMPLES - 0.03 * Math.abs(o / widest) - 0.02 * Math.abs(slope / 0.1);
      if (score > best.score) best = { offset: o * PITCH, slope, score };
    }
  }
  const at = { x: (a.x + b.x) / 2 + best.offset * out.x, y: (a.y + b.y) / 2 + best.offset * out.y };
  const norm = Math.hypot(1, best.slope);
  return {
    line: {
      at,
      way: { x: (way.x + best.slope * out.x) / norm, y: (way.y + best.slope * out.y) / norm },
      off: 0,
      points: SAMPLES,
    },
    score: Math.max(0, best.score),
  };
}

/** How much each place on the way across looks like the block's edge, 0 to 1: a step in colour, with ground outside it. */
function stepsAcross(
  flat: Flat,
  ground: Ground,
  hidden: Uint8Array,
  at: Point,
  out: Point,
  half: number,
  count: number,
): Float32Array {
  const { width, height, perInch, left, top, shown } = flat;
  // Colours on the way, at places half a step apart from the edges asked about.
  const pad = DEEP + 3;
  const n = count + 2 * pad;
  const l = new Float32Array(n);
  const a = new Float32Array(n);
  const b = new Float32Array(n);
  const unlike = new Float32Array(n);
  const kind = new Uint8Array(n);
  for (let j = 0; j < n; j++) {
    const d = (j - pad - half) * PITCH;
    const x = Math.floor((at.x + d * out.x - left) * perInch);
    const y = Math.floor((at.y + d * out.y - top) * perInch);
    if (x < 0 || y < 0 || x >= width || y >= height) continue;
    const i = y * width + x;
    if (!shown[i]) continue;
    kind[j] = hidden[i] ? 2 : 1;
    l[j] = ground.l[i]!;
    a[j] = ground.a[i]!;
    b[j] = ground.b[i]!;
    unlike[j] = ground.unlike[i]!;
  }
  const mean = (plane: Float32Array, from: number) =>
    (plane[from]! + plane[from + 1]! + plane[from + 2]!) / 3;
  const steps = new Float32Array(count);
  for (let j = 0; j < count; j++) {
    const inner = j + pad - 4;
    const outer = j + pad + 2;
    if (kind[inner] !== 1 || kind[inner + 2] !== 1) continue;
    if (kind[outer] === 2 || kind[outer + 2] === 2) {
      // The block lies against the reference: paper on the outer side is as good as ground.
      steps[j] = 0.8 * Math.min(1, unlike[inner + 1]! / 8);
      continue;
    }
    if (kind[outer] === 0 || kind[outer + 2] === 0) continue;
    const stepFrom = (within: number) =>
      Math.hypot(
        mean(l, within) - mean(l, outer),
        mean(a, within) - mean(a, outer),
        mean(b, within) - mean(b, outer),
      );
    // A line of a mat is a step too, but there is ground again behind it.
    const step = Math.min(stepFrom(inner), stepFrom(j + pad - DEEP));
    // Ground in shadow is a little unlike itself, but not beside the cloth.
    const cloth = Math.max(6, 0.5 * mean(unlike, inner));
    const like = 1 - Math.min(1, Math.max(0, (mean(unlike, outer) - 3) / cloth));
    steps[j] = Math.min(1, step / PLAIN) * like;
  }
  return steps;
}
