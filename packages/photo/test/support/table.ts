import type { Point } from '@lattice/core';
import { randomFrom } from '@lattice/core';
import type { Table } from './photograph.ts';

type Rgb = readonly [number, number, number];

/** Light of a colour written as `#rrggbb`. */
export function light(hex: string): Rgb {
  const v = [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16) / 255);
  return v.map((c) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4)) as unknown as Rgb;
}

export function inside(quad: readonly Point[], x: number, y: number): boolean {
  for (let k = 0; k < quad.length; k++) {
    const a = quad[k]!;
    const b = quad[(k + 1) % quad.length]!;
    if ((b.x - a.x) * (y - a.y) - (b.y - a.y) * (x - a.x) < 0) return false;
  }
  return true;
}

/** Waves of no pattern: the same at the same place, between −1 and 1. */
export function grain(seed: number): (x: number, y: number) => number {
  const random = randomFrom(seed);
  const waves = Array.from({ length: 4 }, () => ({
    x: (random() - 0.5) * 9,
    y: (random() - 0.5) * 9,
    at: random() * 6.28,
  }));
  return (x, y) => {
    let sum = 0;
    for (let i = 0; i < waves.length; i++) {
      const w = waves[i]!;
      sum += Math.sin(w.x * x + w.y * y + w.at);
    }
    return sum / waves.length;
  };
}

/** One block on the table: its corners clockwise in inches, and how many patches across; the cloth of each. */
export interface LaidBlock {
  readonly corners: readonly Point[];
  readonly patches: readonly (readonly string[])[];
}

/** Where in a block a place lies, across and down from 0 to 1 (found by halving, not by a formula). */
function within(corners: readonly Point[], x: number, y: number): readonly [number, number] {
  let u = 0.5;
  let v = 0.5;
  const [a, b, c, d] = corners;
  for (let i = 0; i < 4; i++) {
    const px = (1 - v) * ((1 - u) * a!.x + u * b!.x) + v * ((1 - u) * d!.x + u * c!.x);
    const py = (1 - v) * ((1 - u) * a!.y + u * b!.y) + v * ((1 - u) * d!.y + u * c!.y);
    const ux = (1 - v) * (b!.x - a!.x) + v * (c!.x - d!.x);
    const uy = (1 - v) * (b!.y - a!.y) + v * (c!.y - d!.y);
    const vx = (1 - u) * (d!.x - a!.x) + u * (c!.x - b!.x);
    const vy = (1 - u) * (d!.y - a!.y) + u * (c!.y - b!.y);
    const det = ux * vy - uy * vx;
    u += ((x - px) * vy - (y - py) * vx) / det;
    v += ((y - py) * ux - (x - px) * uy) / det;
  }
  return [u, v];
}

export interface Laid {
  readonly ground: string;
  /** Lines an inch apart, of this colour. */
  readonly mat?: string;
  readonly blocks: readonly LaidBlock[];
  /** Squares: outer corner, turn in degrees of each, clockwise from the top left; on a sheet with its margins, or as cards. */
  readonly sheet?: {
    readonly at: Point;
    readonly turn: number;
    readonly width: number;
    readonly height: number;
    readonly margins: readonly [number, number];
  };
  readonly cards?: {
    readonly at: Point;
    readonly turn: number;
    readonly width: number;
    readonly height: number;
    readonly askew: readonly number[];
  };
  /** A shadow falls right of a slanting line. */
  readonly shadow?: {
    readonly at: number;
    readonly slope: number;
    readonly soft: number;
    readonly dark: number;
  };
  readonly seed: number;
}

const turned = (x: number, y: number, degrees: number): readonly [number, number] => {
  const c = Math.cos((degrees * Math.PI) / 180);
  const s = Math.sin((degrees * Math.PI) / 180);
  return [c * x - s * y, s * x + c * y];
};

/** The outer corners of the squares, on the table. */
export function squareCorners({
  at,
  turn,
  width,
  height,
}: {
  at: Point;
  turn: number;
  width: number;
  height: number;
}): Point[] {
  return [
    [0, 0],
    [width, 0],
    [width, height],
    [0, height],
  ].map(([x, y]) => {
    const [dx, dy] = turned(x!, y!, turn);
    return { x: at.x + dx, y: at.y + dy };
  });
}

const INK: Rgb = [0.012, 0.012, 0.013];
const PAPER: Rgb = [0.82, 0.81, 0.78];

/** A table with what is laid on it. */
export function tableOf(laid: Laid): Table {
  const ground = light(laid.ground);
  const mat = laid.mat ? light(laid.mat) : null;
  const grains = grain(laid.seed);
  const prints = grain(laid.seed + 1);
  const blocks = laid.blocks.map((b) => ({ ...b, lights: b.patches.map((row) => row.map(light)) }));
  const [sin, cos] =
    laid.sheet || laid.cards
      ? ([Math.sin, Math.cos].map((f) => f((-(laid.sheet ?? laid.cards)!.turn * Math.PI) / 180)) as [
          number,
          number,
        ])
      : [0, 1];
  const on = (x: number, y: number): Rgb => {
    for (const b of blocks)
      if (inside(b.corners, x, y)) {
        const [u, v] = within(b.corners, x, y);
        const row = b.lights[Math.min(b.lights.length - 1, Math.max(0, Math.floor(v * b.lights.length)))]!;
        const cloth = row[Math.min(row.length - 1, Math.max(0, Math.floor(u * row.length)))]!;
        const print = 1 + 0.12 * prints(3 * x, 3 * y);
        return [cloth[0] * print, cloth[1] * print, cloth[2] * print];
      }
    const squares = laid.sheet ?? laid.cards;
    if (squares) {
      const x1 = cos * (x - squares.at.x) - sin * (y - squares.at.y);
      const y1 = sin * (x - squares.at.x) + cos * (y - squares.at.y);
      const w = squares.width;
      const h = squares.height;
      if (laid.sheet) {
        const [mx, my] = laid.sheet.margins;
        if (x1 > -mx && y1 > -my && x1 < w + mx && y1 < h + my) {
          const near = Math.min(x1, w - x1) > 0 && Math.min(y1, h - y1) > 0;
          return near && Math.min(x1, w - x1) < 1 && Math.min(y1, h - y1) < 1 ? INK : PAPER;
        }
      } else
        for (let k = 0; k < 4; k++) {
          const cx = k === 1 || k === 2 ? w : 0;
          const cy = k > 1 ? h : 0;
          if (Math.abs(x1 - cx) > 2 || Math.abs(y1 - cy) > 2) continue;
          const [dx, dy] = turned(x1 - cx, y1 - cy, -laid.cards!.askew[k]! - 90 * k);
          if (dx > -0.35 && dy > -0.35 && dx < 1.35 && dy < 1.35)
            return dx > 0 && dy > 0 && dx < 1 && dy < 1 ? INK : PAPER;
        }
    }
    if (mat && Math.min(Math.abs(x - Math.round(x)), Math.abs(y - Math.round(y))) < 0.02) return mat;
    const wood = 1 + 0.05 * grains(0.4 * x, 4 * y);
    return [ground[0] * wood, ground[1] * wood, ground[2] * wood];
  };
  const { shadow } = laid;
  return (x, y) => {
    const seen = on(x, y);
    let lit = 1 - 0.004 * (x - 8) + 0.003 * (y - 8);
    if (shadow) lit *= 1 - shadow.dark / (1 + Math.exp(-(x - shadow.at - shadow.slope * y) / shadow.soft));
    return [seen[0] * lit, seen[1] * lit, seen[2] * lit];
  };
}
