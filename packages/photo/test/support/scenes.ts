import { randomFrom, type Point } from '@lattice/core';
import { SHEETS, type Reference } from '../../src/reference/reference.ts';
import type { Shot } from './photograph.ts';
import { type Laid, squareCorners } from './table.ts';

/** A photo to be taken, and all that is true of it. */
export interface Scene {
  readonly laid: Laid;
  readonly shot: Shot;
  readonly reference: Reference;
  /** The block's corners on the table, clockwise. */
  readonly block: readonly Point[];
}

const GROUNDS = ['#2f4a3c', '#7d8a94', '#a88a5c', '#d8d6cc', '#33343c', '#6b3a30', '#cfd9d2'];
const CLOTHS = [
  '#b23a48',
  '#e8e2d4',
  '#274690',
  '#e0a030',
  '#3f7d58',
  '#7a4b94',
  '#1f2530',
  '#d98cb3',
  '#5fb3c4',
  '#8a6a3e',
];

const far = (a: string, b: string): number =>
  Math.hypot(...[1, 3, 5].map((i) => parseInt(a.slice(i, i + 2), 16) - parseInt(b.slice(i, i + 2), 16)));

/** A scene by chance, the same for the same seed: a block a little crooked, beside a sheet or among cards. */
export function sceneBy(seed: number, width = 1600): Scene {
  const random = randomFrom(seed * 7919 + 13);
  const between = (a: number, b: number) => a + (b - a) * random();
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const ground = pick(GROUNDS);
  const cloths = CLOTHS.filter((c) => far(c, ground) > 40);
  const size = pick([4.5, 6.5, 8.5, 9.5, 12.5]);
  const n = pick([2, 3, 4, 5]);
  const two = [pick(cloths), pick(cloths), pick(cloths)];
  const patches = Array.from({ length: n }, (_, r) =>
    Array.from({ length: n }, (_, c) => two[(r + c + (r % 2) * c) % 3]!),
  );
  const turn = between(-40, 40);
  const crooked = () => between(-0.15, 0.15);
  const place = (middle: Point, t: number, w: number, h: number): Point[] =>
    [
      [-w / 2, -h / 2],
      [w / 2, -h / 2],
      [w / 2, h / 2],
      [-w / 2, h / 2],
    ].map(([x, y]) => {
      const c = Math.cos((t * Math.PI) / 180);
      const s = Math.sin((t * Math.PI) / 180);
      const px = x! + crooked();
      const py = y! + crooked();
      return { x: middle.x + c * px - s * py, y: middle.y + s * px + c * py };
    });
  const asCards = random() < 0.4;
  const key = pick(['letter', 'a4'] as const);
  const sides = SHEETS[key].sides;
  const paper = SHEETS[key].paper;
  const reach = size * 0.75 + 0.6;
  const lying = random() < 0.5;
  const [w, h] = asCards
    ? [2 * Math.ceil(reach + 1.6), 2 * Math.ceil(reach + 1)]
    : lying
      ? [sides[1], sides[0]]
      : [sides[0], sides[1]];
  const margins = lying
    ? ([(paper[1] - w) / 2, (paper[0] - h) / 2] as const)
    : ([(paper[0] - w) / 2, (paper[1] - h) / 2] as const);
  const block = asCards
    ? place({ x: w / 2 + between(-0.3, 0.3), y: h / 2 + between(-0.3, 0.3) }, turn, size, size)
    : place(
        { x: w + margins[0] + reach * Math.SQRT1_2 * 1.3 + 0.6, y: h / 2 + between(-1, 1) },
        turn,
        size,
        size,
      );
  const sheetTurn = asCards ? 0 : between(-6, 6);
  const at = { x: 0, y: 0 };
  const laid: Laid = {
    ground,
    ...(random() < 0.4 ? { mat: far(ground, '#ffffff') > 250 ? '#8fa39a' : '#8f9a96' } : {}),
    blocks: [{ corners: block, patches }],
    ...(asCards
      ? { cards: { at, turn: 0, width: w, height: h, askew: [0, 1, 2, 3].map(() => between(-8, 8)) } }
      : { sheet: { at, turn: sheetTurn, width: w, height: h, margins } }),
    ...(random() < 0.5
      ? {
          shadow: {
            at: between(2, 14),
            slope: between(-0.5, 0.5),
            soft: between(0.2, 1),
            dark: between(0.2, 0.45),
          },
        }
      : {}),
    seed,
  };
  const all = [
    ...block,
    ...squareCorners({ at, turn: sheetTurn, width: w, height: h }),
    ...(asCards
      ? []
      : squareCorners({
          at: { x: -margins[0], y: -margins[1] },
          turn: sheetTurn,
          width: w + 2 * margins[0],
          height: h + 2 * margins[1],
        })),
  ];
  const left = Math.min(...all.map((p) => p.x));
  const right = Math.max(...all.map((p) => p.x));
  const top = Math.min(...all.map((p) => p.y));
  const bottom = Math.max(...all.map((p) => p.y));
  const middle = { x: (left + right) / 2, y: (top + bottom) / 2 };
  const height = Math.round(width * 0.75);
  const lens = between(24, 48);
  const focal = (lens / 43.27) * Math.hypot(width, height);
  const span = Math.max((right - left + 4) / width, (bottom - top + 4) / height);
  const away = span * focal * between(1, 1.25);
  const tilt = between(0, 22);
  const azimuth = between(0, 6.28);
  const off = away * Math.tan((tilt * Math.PI) / 180) * 0.6;
  return {
    laid,
    reference: asCards ? { kind: 'cards', sides: [Math.min(w, h), Math.max(w, h)] } : SHEETS[key],
    block,
    shot: {
      width,
      height,
      stands: [middle.x + off * Math.cos(azimuth), middle.y + off * Math.sin(azimuth), away],
      looksAt: middle,
      roll: between(-12, 12),
      focal,
      axis: { x: between(-0.003, 0.003) * width, y: between(-0.003, 0.003) * width },
      bend: between(-0.025, 0.025),
      blur: between(0.5, 1.4),
      noise: between(0.8, 2.6),
    },
  };
}
