import { lightOfRgb } from './raster.ts';
import type { Profile } from './profile.ts';

/** How an edge looks from one side to the other, in pixels: how far it is blurred, and how dark and how wide its shadow is. */
interface Look {
  readonly blur: number;
  /** What the shadow takes of the ground's light at the edge itself, 0 to 1. */
  readonly shade: number;
  /** How far out the shadow has fallen to a third. */
  readonly reach: number;
}

/** Where one profile has its edge, and how well that is told. */
export interface PlacedEdge {
  /** In pixels outwards from the profile's middle. */
  readonly at: number;
  /** 0 to 1: how much of what the profile shows the edge explains, and how strong it is. */
  readonly how: number;
}

const BLURS = [0.6, 1, 1.6, 2.4];
const SHADES = [0.12, 0.25, 0.4, 0.55];
/** Reaches of a shadow, in inches. */
const REACHES = [0.015, 0.03, 0.06];
/** Steps of the search for a place, in pixels. */
const FINE = 0.5;
/** One profile of so many is asked how edges of this side look. */
const ASKED = 7;

/**
 * Where profiles across one side of a block have their edge. Each is taken as cloth of one colour within, ground outside
 * darkened by the cloth's shadow, and a blur between, mixed in light: the place where that explains it best
 * (least squares; the colours of cloth and ground follow from the place). Blur and shadow are one along a side.
 *
 * @param profiles from within outwards, all of one length and step
 * @param within how far they look to either side for the edge, in pixels
 * @param perInch pixels to the inch
 * @param roughly without shadows, where only the neighbourhood is wanted
 */
export function edgesBy(
  profiles: readonly Profile[],
  within: number,
  perInch: number,
  roughly = false,
): readonly (PlacedEdge | null)[] {
  const first = profiles[0];
  if (!first) return [];
  const { count, step } = first;
  const lights = profiles.map((p) => Float64Array.from(p.rgb, lightOfRgb));
  const places = (by: number) => {
    const n = Math.max(1, Math.round(within / by));
    return Array.from({ length: 2 * n + 1 }, (_, i) => (i - n) * by);
  };
  const fades = Math.max(6, 0.7 * within);
  const coarse = places(1);
  const asked = lights.filter((_, i) => i % ASKED === 2 || lights.length < 2 * ASKED);
  const unexplained = (look: Look): number => {
    const shapes = coarse.map((e) => shapeOf(look, e, count, step, fades));
    let sum = 0;
    for (const light of asked) {
      let least = Infinity;
      for (const shape of shapes) {
        const tried = left(light, shape, count);
        least = Math.min(least, tried.left / Math.max(1e-9, tried.all));
      }
      sum += Math.min(least, MOST_LEFT);
    }
    // A shadow must earn its place: it can explain a little of anything.
    return sum * (1 + 0.02 * (look.shade > 0 ? 1 : 0));
  };
  const bestOf = (looks: readonly Look[]): Look =>
    looks
      .map((look) => ({ look, sum: unexplained(look) }))
      .reduce((best, one) => (one.sum < best.sum ? one : best)).look;
  // First how far it is blurred, then what shadow lies outside it.
  const bare = bestOf((roughly ? BLURS.slice(-1) : BLURS).map((blur) => ({ blur, shade: 0, reach: 1 })));
  const bestLook = roughly
    ? bare
    : bestOf([
        bare,
        ...BLURS.filter((blur) => blur <= bare.blur && blur >= bare.blur / 2.5).flatMap((blur) =>
          SHADES.flatMap((shade) => REACHES.map((r) => ({ blur, shade, reach: Math.max(1.5, r * perInch) }))),
        ),
      ]);
  const fine = places(FINE);
  const shapes = fine.map((e) => shapeOf(bestLook, e, count, step, fades));
  return lights.map((light) => {
    const tried = shapes.map((shape) => left(light, shape, count));
    let k = 0;
    tried.forEach((t, i) => {
      if (t.left < tried[k]!.left) k = i;
    });
    if (k === 0 || k === fine.length - 1) return null;
    const [a, b, c] = [tried[k - 1]!.left, tried[k]!.left, tried[k + 1]!.left];
    const bow = a - 2 * b + c;
    const by = bow > 1e-12 ? Math.min(0.5, Math.max(-0.5, (a - c) / (2 * bow))) : 0;
    const explained = 1 - b / Math.max(1e-9, tried[k]!.all);
    const strong = tried[k]!.step;
    return explained < 0.35 || strong < 0.008
      ? null
      : { at: fine[k]! + by * FINE, how: explained * Math.min(1, strong / 0.12) };
  });
}

/** A profile that is nothing like an edge counts no more than this against a look: the share it leaves unexplained. */
const MOST_LEFT = 0.5;

/** How much of the cloth's and of the ground's light each step of a profile has, for an edge at a place. */
interface Shape {
  readonly cloth: Float64Array;
  readonly ground: Float64Array;
  readonly weights: Float64Array;
  readonly cc: number;
  readonly gg: number;
  readonly cg: number;
}

function shapeOf(
  { blur, shade, reach }: Look,
  at: number,
  count: number,
  step: number,
  fades: number,
): Shape {
  const cloth = new Float64Array(count);
  const ground = new Float64Array(count);
  const weights = new Float64Array(count);
  const middle = (count - 1) / 2;
  let cc = 0;
  let gg = 0;
  let cg = 0;
  for (let i = 0; i < count; i++) {
    const from = (i - middle) * step;
    const d = from - at;
    const mixed = 1 / (1 + Math.exp((1.702 * d) / blur));
    cloth[i] = mixed;
    ground[i] = (1 - mixed) * (1 - shade * Math.exp(-Math.max(0, d) / reach));
    // Farther within there are prints and seams: they count less; by where it was looked for, so that no place is favoured.
    weights[i] = Math.exp(from < 0 ? from / fades : -from / (2 * fades));
    cc += weights[i]! * cloth[i]! * cloth[i]!;
    gg += weights[i]! * ground[i]! * ground[i]!;
    cg += weights[i]! * cloth[i]! * ground[i]!;
  }
  return { cloth, ground, weights, cc, gg, cg };
}

/** What a shape leaves unexplained of a profile's light, how much there was to explain, and the step across the edge; each relative to how bright it is. */
function left(light: Float64Array, shape: Shape, count: number): { left: number; all: number; step: number } {
  const { cloth, ground, weights, cc, gg, cg } = shape;
  const det = cc * gg - cg * cg;
  let leftOver = 0;
  let all = 0;
  let square = 0;
  for (let c = 0; c < 3; c++) {
    let yc = 0;
    let yg = 0;
    let yy = 0;
    let y1 = 0;
    let n = 0;
    let plain = 0;
    for (let i = 0; i < count; i++) {
      const v = light[3 * i + c]!;
      const w = weights[i]!;
      yc += w * v * cloth[i]!;
      yg += w * v * ground[i]!;
      yy += w * v * v;
      y1 += w * v;
      n += w;
      plain += v;
    }
    const inner = (yc * gg - yg * cg) / det;
    const outer = (yg * cc - yc * cg) / det;
    // The profile's own mean, not the two colours found: a shape that does not fit can make those as large as it likes.
    const scale = 1 / (0.004 + (2 * plain) / count) ** 2;
    leftOver += Math.max(0, yy - inner * yc - outer * yg) * scale;
    all += Math.max(0, yy - (y1 * y1) / n) * scale;
    square += Math.min(1, (inner - outer) ** 2 * scale);
  }
  return { left: leftOver, all, step: Math.sqrt(square / 3) };
}
