import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';
import {
  type BlockLook,
  computeQuilt,
  lookOf,
  type Point,
  randomFrom,
  readBlocksCsv,
  readPlanJson,
} from '@lattice/core';
import { readLayout, type ReadLayout } from '../../src/layout/read-layout.ts';
import { onFilm, photograph, type Shot, type Table } from './photograph.ts';
import { grain, inside, light } from './table.ts';

/** A layout on the floor, photographed, and what the photo was read as. */
export interface FloorTold {
  readonly read: ReadLayout | null;
  /** Which block lies in each place, and turned how. */
  readonly truth: readonly { readonly block: number; readonly turn: number }[];
  /** Blocks that look the same: a letter for each look. */
  readonly looks: readonly string[];
  /** For each block, the turns in which it looks as it does unturned. */
  readonly alike: readonly (readonly number[])[];
}

interface Drawn {
  readonly ground: readonly [number, number, number];
  readonly patches: readonly {
    readonly colour: readonly [number, number, number];
    readonly outlines: readonly (readonly Point[])[];
  }[];
}

const drawnOf = ({ ground, patches }: BlockLook): Drawn => ({
  ground: light(ground),
  patches: patches.map(({ colour, outlines }) => ({
    colour: light(colour),
    outlines: outlines.map((o) => o.map(([x, y]) => ({ x, y }))),
  })),
});

/** Whether a place lies in an outline of any shape (crossings counted). */
function within(outline: readonly Point[], x: number, y: number): boolean {
  let odd = false;
  outline.forEach((a, k) => {
    const b = outline[(k + 1) % outline.length]!;
    if (a.y > y !== b.y > y && x < ((b.x - a.x) * (y - a.y)) / (b.y - a.y) + a.x) odd = !odd;
  });
  return odd;
}

function faceAt({ ground, patches }: Drawn, u: number, v: number): readonly [number, number, number] {
  let seen = ground;
  for (const { colour, outlines } of patches) if (outlines.some((o) => within(o, u, v))) seen = colour;
  return seen;
}

const stored = (v: number) => 255 * (v <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055);

/** A face as a square of pixels. */
function squareOf(face: Drawn, size: number): number[] {
  return Array.from({ length: size * size }, (_, i) => {
    const rgb = faceAt(face, ((i % size) + 0.5) / size, (Math.floor(i / size) + 0.5) / size);
    return [...rgb.map(stored), 255];
  }).flat();
}

/** The place (u, v) of a block turned by quarters clockwise, as the unturned block has it. */
const unturned = (u: number, v: number, turn: number): readonly [number, number] =>
  turn === 0 ? [u, v] : turn === 1 ? [v, 1 - u] : turn === 2 ? [1 - u, 1 - v] : [1 - v, u];

const SIZE = 40;

/** Blocks of a quilt of the demo, laid out: those of its pile by chance, or as is said. */
interface Lying {
  readonly block: number;
  readonly turn: number;
}

/** A demo quilt’s blocks on a floor, photographed at a slant in uneven light. */
export function floorPhoto(name: string, seed: number, width: number, said?: readonly Lying[]) {
  const demo = path.join(import.meta.dirname, '../../../../demo', name);
  const parsed = readPlanJson(readFileSync(`${demo}.plan.json`, 'utf8'));
  if (!parsed.ok) throw new Error('no plan');
  const csv = `${demo}-blocks.csv`;
  const plan = existsSync(csv)
    ? { ...parsed.plan, pile: [...readBlocksCsv(readFileSync(csv, 'utf8'), parsed.plan.unit).blocks] }
    : parsed.plan;
  const { layout } = computeQuilt(plan);
  const pieces = layout.pieces.filter((p) => p.place !== undefined).sort((a, b) => a.place! - b.place!);
  const random = randomFrom(seed * 101 + 7);
  const between = (a: number, b: number) => a + (b - a) * random();
  const faces = plan.pile.map((b) => drawnOf(lookOf(b)));
  const order = plan.pile.map((_, j) => j);
  for (let i = order.length - 1; i > 0; i--) {
    const k = Math.floor(random() * (i + 1));
    [order[i], order[k]] = [order[k]!, order[i]!];
  }
  const truth: readonly Lying[] =
    said ?? pieces.map((_, i) => ({ block: order[i] ?? -1, turn: Math.floor(random() * 4) }));
  const toInch = plan.unit === 'cm' ? 1 / 2.54 : 1;
  const places = pieces.map((p) => p.outline.map(({ x, y }) => ({ x: x * toInch, y: y * toInch })));
  const prints = grain(seed);
  const wrinkles = grain(seed + 9);
  const floorLight = light('#9a8468');
  const sash = light('#e9e1cf');
  const all = places.flat();
  const box = {
    left: Math.min(...all.map((p) => p.x)),
    right: Math.max(...all.map((p) => p.x)),
    top: Math.min(...all.map((p) => p.y)),
    bottom: Math.max(...all.map((p) => p.y)),
  };
  const tint = [between(0.8, 1.1), 1, between(0.65, 1)] as const;
  const slope = [between(-0.4, 0.4), between(-0.4, 0.4)] as const;
  const table: Table = (x, y) => {
    let seen: readonly [number, number, number] =
      x > box.left && x < box.right && y > box.top && y < box.bottom ? sash : floorLight;
    for (let i = 0; i < places.length; i++) {
      const q = places[i]!;
      if (!inside(q, x, y)) continue;
      const [a, b, , d] = q as [Point, Point, Point, Point];
      const ux = b.x - a.x;
      const uy = b.y - a.y;
      const vx = d.x - a.x;
      const vy = d.y - a.y;
      const u = ((x - a.x) * ux + (y - a.y) * uy) / (ux * ux + uy * uy);
      const v = ((x - a.x) * vx + (y - a.y) * vy) / (vx * vx + vy * vy);
      const { block, turn } = truth[i]!;
      if (faces[block]) seen = faceAt(faces[block], ...unturned(u, v, turn));
      break;
    }
    const lit =
      (1 +
        (slope[0] * (x - box.left)) / (box.right - box.left) +
        (slope[1] * (y - box.top)) / (box.bottom - box.top)) *
      0.75 *
      (1 + 0.1 * prints(2 * x, 2 * y) + 0.08 * wrinkles(0.3 * x, 0.3 * y));
    return [seen[0] * lit * tint[0], seen[1] * lit * tint[1], seen[2] * lit * tint[2]];
  };
  const middle = { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 };
  const height = Math.round(width * 0.75);
  const focal = (28 / 43.27) * Math.hypot(width, height);
  const span = Math.max((box.right - box.left) / width, (box.bottom - box.top) / height) * 1.15;
  const shot: Shot = {
    width,
    height,
    stands: [middle.x + between(-20, 20), middle.y + span * focal * between(0.25, 0.5), span * focal],
    looksAt: middle,
    roll: between(-5, 5),
    focal,
    axis: { x: 0, y: 0 },
    bend: between(-0.02, 0.02),
    blur: 0.9,
    noise: 3,
  };
  const raster = photograph(table, shot, seed);
  const corners = [
    { x: box.left, y: box.top },
    { x: box.right, y: box.top },
    { x: box.right, y: box.bottom },
    { x: box.left, y: box.bottom },
  ];
  return {
    raster,
    faces,
    truth,
    places,
    corners: corners.map((place) => ({ place, seen: onFilm(shot, place) })),
  };
}

/** Such a photo read, its corners pointed at by finger. */
export function floor(name: string, seed: number, width: number): FloorTold {
  const { raster, faces, truth, places, corners } = floorPhoto(name, seed, width);
  const random = randomFrom(seed * 31 + 5);
  const slip = () => 0.024 * width * (random() - 0.5);
  const read = readLayout(raster, {
    places: places.map((q) => ({ corners: q })),
    blocks: faces.map((f) => squareOf(f, SIZE)),
    size: SIZE,
    pointed: corners.map(({ place, seen }) => ({ place, seen: { x: seen.x + slip(), y: seen.y + slip() } })),
    turns: [0, 1, 2, 3],
    now: places.map(() => null),
  });
  const small = faces.map((f) => squareOf(f, 12).map(Math.round));
  const FINE = 24;
  const turnOf = (f: Drawn, turn: number) =>
    Array.from({ length: FINE * FINE }, (_, i) =>
      faceAt(f, ...unturned(((i % FINE) + 0.5) / FINE, (Math.floor(i / FINE) + 0.5) / FINE, turn)).map(
        stored,
      ),
    ).flat();
  // Dots right on a slanting seam fall to either side: a few do not make a difference.
  const same = (p: number[], q: number[]) =>
    p.filter((v, i) => Math.abs(v - q[i]!) > 2).length < 0.15 * p.length;
  return {
    read,
    truth,
    looks: small.map((s) => s.join()),
    alike: faces.map((f) => [0, 1, 2, 3].filter((t) => same(turnOf(f, t), turnOf(f, 0)))),
  };
}
