import { Matrix, solve } from 'ml-matrix';
import { despeckled, type Flat } from '../camera/flat.ts';

/** How unlike the ground each pixel of a flat picture is: about 1 where it is as unlike as the ground is from itself. */
export interface Ground {
  readonly unlike: Float32Array;
  /** The ground's own colour at a pixel. */
  readonly own: (i: number) => readonly [number, number, number];
  readonly l: Float32Array;
  readonly a: Float32Array;
  readonly b: Float32Array;
}

/** Terms of a smooth surface: ground brightens and darkens slowly across a picture; its colour changes less. */
const TERMS = 6;
const FLAT_TERMS = 3;
function termsAt(x: number, y: number, into: Float64Array): void {
  into[0] = 1;
  into[1] = x;
  into[2] = y;
  into[3] = x * x;
  into[4] = x * y;
  into[5] = y * y;
}

/**
 * The colour of the table, as smooth surfaces through what lies round about; what is laid on it counts less and less
 * (reweighted, Tukey), beginning from what lies at the picture's rim and round the reference.
 *
 * @param hidden 1 where the reference lies
 * @param near 1 for pixels that are surely ground or likely so: where it begins
 * @param light how much a step in lightness counts beside one in colour
 */
export function groundOf(
  flat: Flat,
  hidden: Uint8Array,
  near: Uint8Array,
  light: LightCounts = LIGHT_COUNTS[0],
): Ground {
  const { width, height, shown } = flat;
  const l = despeckled(flat.l, width, height);
  const a = despeckled(flat.a, width, height);
  const b = despeckled(flat.b, width, height);
  const sampled: number[] = [];
  for (let y = 1; y < height; y += APART)
    for (let x = 1; x < width; x += APART) {
      const i = y * width + x;
      if (shown[i] && !hidden[i]) sampled.push(i);
    }
  const across = (i: number) => ((i % width) / width) * 2 - 1;
  const down = (i: number) => (Math.floor(i / width) / height) * 2 - 1;
  const mode = densest(
    sampled.filter((i) => near[i]),
    l,
    a,
    b,
  );
  let weight = Float64Array.from(sampled, (i) =>
    near[i] && Math.hypot((l[i]! - mode[0]) / 18, (a[i]! - mode[1]) / 6, (b[i]! - mode[2]) / 6) < 1.5 ? 1 : 0,
  );
  /** The surface through one plane of the picture, as its terms' sizes; `terms` of the six count. */
  const surface = (plane: Float32Array, terms: number): Float64Array => {
    const sums = Matrix.zeros(terms, terms);
    const right = Matrix.zeros(terms, 1);
    const t = new Float64Array(TERMS);
    for (let k = 0; k < sampled.length; k++) {
      const w = weight[k]!;
      if (w === 0) continue;
      const i = sampled[k]!;
      termsAt(across(i), down(i), t);
      for (let p = 0; p < terms; p++) {
        right.set(p, 0, right.get(p, 0) + w * t[p]! * plane[i]!);
        for (let q = 0; q < terms; q++) sums.set(p, q, sums.get(p, q) + w * t[p]! * t[q]!);
      }
    }
    for (let p = 0; p < terms; p++) sums.set(p, p, sums.get(p, p) + 1e-3);
    const found = new Float64Array(TERMS);
    found.set(solve(sums, right).to1DArray());
    return found;
  };
  const surfaces = () => [surface(l, TERMS), surface(a, FLAT_TERMS), surface(b, FLAT_TERMS)] as const;
  let of = surfaces();
  const t = new Float64Array(TERMS);
  const far = (i: number) => {
    termsAt(across(i), down(i), t);
    let dl = l[i]!;
    let da = a[i]!;
    let db = b[i]!;
    for (let p = 0; p < TERMS; p++) {
      dl -= t[p]! * of[0][p]!;
      da -= t[p]! * of[1][p]!;
      db -= t[p]! * of[2][p]!;
    }
    return Math.sqrt((dl * (dl > 0 ? light.brighter : light.darker)) ** 2 + da * da + db * db);
  };
  let spread = 6;
  for (let round = 0; round < 8; round++) {
    const off = Float64Array.from(sampled, far);
    const counted = off.filter((o) => o < 3 * spread).sort();
    spread = Math.min(spread, Math.max(0.7, (counted[Math.floor(counted.length / 2)] ?? 1) * 1.2));
    const reach = Math.max(4 * spread, 2.5);
    weight = off.map((o) => (o < reach ? (1 - (o / reach) ** 2) ** 2 : 0));
    of = surfaces();
  }
  const unlike = new Float32Array(width * height);
  for (let i = 0; i < unlike.length; i++) if (shown[i]) unlike[i] = far(i) / spread;
  const own = (i: number) => {
    termsAt(across(i), down(i), t);
    const at = (k: 0 | 1 | 2) => t.reduce((sum, v, p) => sum + v * of[k][p]!, 0);
    return [at(0), at(1), at(2)] as const;
  };
  return { unlike, own, l, a, b };
}

/**
 * The ground with what is thin taken off it: lines of a mat, threads, pens.
 *
 * @param laid what is laid on it and not thin: above 0
 */
export function withoutThin(ground: Ground, laid: Float32Array): Ground {
  const [l, a, b, unlike] = [ground.l, ground.a, ground.b, ground.unlike].map((plane) =>
    Float32Array.from(plane),
  );
  for (let i = 0; i < laid.length; i++)
    if (unlike![i]! > THIN_SHOWS && laid[i]! <= 0) {
      const [gl, ga, gb] = ground.own(i);
      l![i] = gl;
      a![i] = ga;
      b![i] = gb;
      unlike![i] = 0;
    }
  return { own: ground.own, l: l!, a: a!, b: b!, unlike: unlike! };
}

/** A line less unlike the ground than this does no harm. */
const THIN_SHOWS = 5;

/** Every fourth pixel is enough to lay a smooth surface through. */
const APART = 4;

/** How much a step in lightness counts beside one in colour. */
export interface LightCounts {
  readonly brighter: number;
  readonly darker: number;
}

/** Little, for shadows are lightness; or only to the dark side, where the block may be but lighter than the table; or fully. */
export const LIGHT_COUNTS: readonly [LightCounts, ...LightCounts[]] = [
  { brighter: 0.5, darker: 0.5 },
  { brighter: 1, darker: 0.5 },
  { brighter: 1.1, darker: 1.1 },
];

/** The colour most pixels lie near to. */
function densest(
  pixels: readonly number[],
  l: Float32Array,
  a: Float32Array,
  b: Float32Array,
): readonly [number, number, number] {
  const step = Math.max(1, Math.floor(pixels.length / 400));
  const few = pixels.filter((_, k) => k % step === 0);
  let best = few[0] ?? 0;
  let most = -1;
  for (const i of few) {
    let n = 0;
    for (const j of few)
      n += Math.max(0, 1 - Math.hypot((l[i]! - l[j]!) / 12, (a[i]! - a[j]!) / 5, (b[i]! - b[j]!) / 5));
    if (n > most) {
      most = n;
      best = i;
    }
  }
  return [l[best]!, a[best]!, b[best]!];
}
