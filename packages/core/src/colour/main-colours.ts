import { sum } from 'd3-array';
import { randomFrom } from '../random/random.ts';
import { differenceOf, labOf } from './colour.ts';

type Lab = readonly [number, number, number];

/** Rounds of sorting pixels to their nearest middle: few are ever needed. */
const ROUNDS = 12;
/** Middles nearer than this are one colour: CIEDE2000 of 8 (from memory). */
const ONE = 8;

const hex = (r: number, g: number, b: number): string =>
  `#${[r, g, b].map((v) => Math.round(v).toString(16).padStart(2, '0')).join('')}`;

/**
 * The main colours of a picture, the most of it first: its pixels sorted round a few middles in CIELAB
 * (k-means; Lloyd, 1957), middles that look alike taken together. The same picture gives the same colours.
 *
 * @param pixels red, green and blue of each pixel in turn, 0 to 255
 * @returns at most `count` colours as `#rrggbb`; none for no pixels
 */
export function mainColours(pixels: ArrayLike<number>, count: number): string[] {
  const total = Math.floor(pixels.length / 3);
  if (total === 0) return [];
  const known = new Map<string, Lab>();
  const points: { lab: Lab; rgb: Lab }[] = Array.from({ length: total }, (_, i) => {
    const rgb: Lab = [pixels[3 * i]!, pixels[3 * i + 1]!, pixels[3 * i + 2]!];
    const name = hex(...rgb);
    let lab = known.get(name);
    if (!lab) {
      const { l, a, b } = labOf(name);
      known.set(name, (lab = [l, a, b]));
    }
    return { lab, rgb };
  });
  const far = (a: Lab, b: Lab) => (a[0] - b[0]) ** 2 + (a[1] - b[1]) ** 2 + (a[2] - b[2]) ** 2;
  // Each next beginning is the pixel farthest from those there are, so that a small patch of a strong colour is not missed.
  const random = randomFrom(1);
  const middles: Lab[] = [points[Math.floor(random() * total)]!.lab];
  while (middles.length < count + 2) {
    const next = points.reduce(
      (best, p) => {
        const away = Math.min(...middles.map((m) => far(p.lab, m)));
        return away > best.away ? { lab: p.lab, away } : best;
      },
      { lab: middles[0]!, away: 0 },
    );
    if (next.away === 0) break;
    middles.push(next.lab);
  }
  const nearest = (lab: Lab) =>
    middles.reduce((best, m, i) => (far(lab, m) < far(lab, middles[best]!) ? i : best), 0);
  let groups: (typeof points)[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    groups = middles.map(() => []);
    for (const point of points) groups[nearest(point.lab)]!.push(point);
    groups.forEach((group, i) => {
      if (group.length > 0) middles[i] = average(group.map((p) => p.lab));
    });
  }
  const found: { colour: string; size: number }[] = [];
  for (const group of groups.filter((g) => g.length > 0).sort((a, b) => b.length - a.length)) {
    const colour = hex(...average(group.map((p) => p.rgb)));
    const same = found.find((f) => differenceOf(f.colour, colour) < ONE);
    if (same) same.size += group.length;
    else found.push({ colour, size: group.length });
  }
  return found
    .sort((a, b) => b.size - a.size)
    .slice(0, count)
    .map((f) => f.colour);
}

const average = (list: readonly Lab[]): Lab =>
  [0, 1, 2].map((i) => sum(list, (v) => v[i as 0]) / list.length) as unknown as Lab;
