import { MEASURING_SHEETS, type Point, SHEET_SQUARE } from '@lattice/core';
import { perspective, through } from '../camera/camera.ts';
import { clockwise, type DarkSquare } from './squares.ts';

/** What lies beside or round the block to measure by; lengths in inches. */
export interface Reference {
  /** Four squares printed on one sheet; or four cards laid out by hand, each lying a little askew. */
  readonly kind: 'sheet' | 'cards';
  /** The rectangle of the squares' outer corners, either way round. */
  readonly sides: readonly [number, number];
  /** The paper, where it is a sheet. */
  readonly paper?: readonly [number, number];
}

/** The sheets the app prints. */
export const SHEETS = {
  letter: { kind: 'sheet', ...MEASURING_SHEETS.letter },
  a4: { kind: 'sheet', ...MEASURING_SHEETS.a4 },
} as const satisfies Record<string, Reference>;

/** The side of each black square, in inches. */
const SQUARE = SHEET_SQUARE;

/** A reference as it was found in a photo. */
export interface FoundReference {
  readonly reference: Reference;
  /** Width and height as it lies in the picture, in inches. */
  readonly width: number;
  readonly height: number;
  /** The four squares, clockwise from the one that is top left; each one's corners begin with its outer one. */
  readonly squares: readonly DarkSquare[];
  /** The outer corners, clockwise from the top left, in pixels. */
  readonly corners: readonly Point[];
  /** How far its parts lie from where four corners alone would put them, in inches. */
  readonly off: number;
}

/** More squares than these are not looked through: the surest count. */
const MOST = 14;
/** A part farther than this from its place (share of a square's side) is not this reference. */
const FARTHEST = 0.09;

/** The four squares that lie as a reference does, the best first; none where there is none. */
function findReference(squares: readonly DarkSquare[], reference: Reference): FoundReference | null {
  const tried = squares.slice(0, MOST);
  let best: FoundReference | null = null;
  for (let a = 0; a < tried.length; a++)
    for (let b = a + 1; b < tried.length; b++)
      for (let c = b + 1; c < tried.length; c++)
        for (let d = c + 1; d < tried.length; d++) {
          const four = [tried[a]!, tried[b]!, tried[c]!, tried[d]!];
          const sides = four.map((s) => s.side);
          if (Math.max(...sides) > 4 * Math.min(...sides)) continue;
          for (const [width, height] of bothWays(reference.sides)) {
            const found = asReference(four, reference, width, height);
            if (found && (!best || found.off < best.off)) best = found;
          }
        }
  return best;
}

/** The other sheet is meant only where it lies so much nearer to what is seen: a share of how far off the told one is. */
const PLAINLY = 0.5;

/**
 * The reference, or the other sheet where that was printed: the squares stand in other proportions on each, which a
 * sheet printed too small or too large keeps.
 */
export function findWhichSheet(squares: readonly DarkSquare[], reference: Reference): FoundReference | null {
  const told = findReference(squares, reference);
  if (!reference.paper) return told;
  const others = Object.values(SHEETS).filter(({ paper }) => paper[0] !== reference.paper![0]);
  return others.reduce<FoundReference | null>((best, other) => {
    const found = findReference(squares, other);
    return found && (!best || found.off < PLAINLY * best.off) ? found : best;
  }, told);
}

const bothWays = ([a, b]: readonly [number, number]): (readonly [number, number])[] =>
  Math.abs(a - b) < 1e-9
    ? [[a, b]]
    : [
        [a, b],
        [b, a],
      ];

/** The outline of a rectangle from its top left corner, clockwise. */
export const rectangle = (width: number, height: number): readonly Point[] => [
  { x: 0, y: 0 },
  { x: width, y: 0 },
  { x: width, y: height },
  { x: 0, y: height },
];

/** Of points in clockwise order, the same beginning with the one that is top left in the picture. */
export function fromTopLeft<T>(points: readonly T[], at: (p: T) => Point): T[] {
  const sum = (p: T) => at(p).x + at(p).y;
  const first = points.reduce((best, p, i) => (sum(p) < sum(points[best]!) ? i : best), 0);
  return points.map((_, i) => points[(i + first) % points.length]!);
}

function asReference(
  four: readonly DarkSquare[],
  reference: Reference,
  width: number,
  height: number,
): FoundReference | null {
  const order = clockwise(four.map((s) => s.middle));
  const squares = fromTopLeft(
    order.map((m) => four.find((s) => s.middle === m)!),
    (s) => s.middle,
  );
  const mx = order.reduce((s, p) => s + p.x, 0) / 4;
  const my = order.reduce((s, p) => s + p.y, 0) / 4;
  const turned = squares.map((s, k): DarkSquare => {
    // The outer corner is the one farthest along the way from the middle of all four, as the two neighbours see it.
    const before = squares[(k + 3) % 4]!.middle;
    const after = squares[(k + 1) % 4]!.middle;
    const out = { x: 2 * s.middle.x - before.x - after.x, y: 2 * s.middle.y - before.y - after.y };
    const way = Math.hypot(out.x, out.y) > 1e-6 ? out : { x: s.middle.x - mx, y: s.middle.y - my };
    const far = (p: Point) => (p.x - s.middle.x) * way.x + (p.y - s.middle.y) * way.y;
    const first = s.corners.reduce((best, p, i) => (far(p) > far(s.corners[best]!) ? i : best), 0);
    return {
      ...s,
      corners: [0, 1, 2, 3].map((i) => s.corners[(i + first) % 4]!) as unknown as DarkSquare['corners'],
    };
  });
  const corners = turned.map((s) => s.corners[0]);
  const back = perspective(corners, rectangle(width, height));
  if (!back) return null;
  const off = turned.map((s, k) =>
    offSquare(
      s.corners.map((p) => through(back, p)),
      reference,
      k,
    ),
  );
  const worst = Math.max(...off);
  return worst > FARTHEST * 2 || mean(off) > FARTHEST
    ? null
    : { reference, width, height, squares: turned, corners, off: mean(off) };
}

const mean = (list: readonly number[]): number => list.reduce((s, v) => s + v, 0) / list.length;

/** How far a square brought onto the table is from being one, in inches. */
function offSquare(p: readonly Point[], { kind }: Reference, k: number): number {
  const wanted = squareAt(p[0]!, k, kind === 'sheet' ? 0 : askew(p, k));
  return Math.sqrt(mean(wanted.map((w, i) => (w.x - p[i]!.x) ** 2 + (w.y - p[i]!.y) ** 2)));
}

/** How far a card is turned from lying straight, in radians. */
export function askew(p: readonly Point[], k: number): number {
  const straight = squareAt({ x: 0, y: 0 }, k, 0);
  let sin = 0;
  let cos = 0;
  for (const i of [1, 2, 3]) {
    const a = straight[i]!;
    const b = { x: p[i]!.x - p[0]!.x, y: p[i]!.y - p[0]!.y };
    cos += a.x * b.x + a.y * b.y;
    sin += a.x * b.y - a.y * b.x;
  }
  return Math.atan2(sin, cos);
}

/**
 * The corners of the square at one corner of the rectangle, its outer one first, clockwise.
 *
 * @param at the outer corner
 * @param k which corner of the rectangle: 0 top left, 1 top right, 2 bottom right, 3 bottom left
 * @param angle how far it is turned, in radians
 * @param bleed by how much its outline seems moved outwards, in inches
 */
export function squareAt(at: Point, k: number, angle: number, bleed = 0): Point[] {
  const cos = Math.cos(angle + (k * Math.PI) / 2);
  const sin = Math.sin(angle + (k * Math.PI) / 2);
  return [
    [-bleed, -bleed],
    [SQUARE + bleed, -bleed],
    [SQUARE + bleed, SQUARE + bleed],
    [-bleed, SQUARE + bleed],
  ].map(([x, y]) => ({ x: at.x + x! * cos - y! * sin, y: at.y + x! * sin + y! * cos }));
}

/** The paper's corners beside its four squares, clockwise from the top left, in inches; a usual margin of an inch where it is not known. */
export function paperOf({ reference, width, height }: FoundReference): readonly Point[] {
  const [short, long] = reference.paper ?? [Math.min(width, height) + 2, Math.max(width, height) + 2];
  const [pw, ph] = width < height ? [short, long] : [long, short];
  const mx = (pw - width) / 2;
  const my = (ph - height) / 2;
  return [
    { x: -mx, y: -my },
    { x: width + mx, y: -my },
    { x: width + mx, y: height + my },
    { x: -mx, y: height + my },
  ];
}
