import { z } from 'zod';
import { countOf } from '../figure/figure.ts';
import type { Band, Piece, TriangleRule } from '../piece/piece.ts';
import type { Point } from '../geometry/point.ts';
import { clipped, type HalfPlane } from '../geometry/clip.ts';
import type { Grid, SettingField, SettingPart } from './setting.ts';

/** How the points of an on-point centre meet its edges; lengths finished. */
export interface EdgeGeometry {
  /** From a corner of the bounding box of the points to the first point along either edge. */
  readonly lead: number;
  /** From one point to the next along an edge. */
  readonly pitch: number;
  /** How far the edge lies outside the points. Negative where the edge runs inside them, halving what stands there. */
  readonly float: number;
}

/** The options every setting with triangles along its edges has. */
export const triangleOptions = {
  /** How far the blocks float inside the edge. */
  float: z.number('The float is missing; 0 for none.'),
  triangles: z.enum(['trade', 'exact'], 'Triangles are cut by the "trade" rule or the "exact" one.'),
};

/** What a float is (rule ST-5, common practice). */
export const FLOAT_SAYS =
  'Cloth left between the outermost points and the edge. At 0 the points touch it, and a binding or a border sewn a little deep cuts them off.';

/** The field of a float. */
export const floatField = {
  key: 'float',
  label: 'Float round the points',
  says: FLOAT_SAYS,
  type: 'length',
} as const satisfies SettingField;
/** The field of the rule squares for triangles are cut by. */
export const triangleRuleField = {
  key: 'triangles',
  label: 'Triangle squares',
  type: 'choice',
  choices: [
    { value: 'trade', label: 'Trade rule, up to a mark' },
    { value: 'exact', label: 'Exact, up to a mark' },
  ],
} as const satisfies SettingField;

/** Why a setting triangle's square is cut as it is (rule TR-1): the straight grain lies on the quilt's edge, the bias inside. */
const CUT_TWICE =
  'Cut twice, corner to corner: so the straight grain lies on the long side, along the quilt’s edge, and the bias lies inside, where a seam holds it.';
/** Why a corner triangle's square is cut as it is (rule TR-1). */
export const CUT_ONCE =
  'Cut once, corner to corner: so the straight grain lies on both short sides, along the outside, and the bias lies inside, where a seam holds it.';

/** Side setting triangles an on-point grid needs: one between each two blocks along every edge. */
export const sideTriangles = ({ across, down }: Grid): number => 2 * (across - 1) + 2 * (down - 1);

/** The triangles that fill an on-point centre out to a rectangle; grain along the quilt's edge (rule TR-1). */
export function edgeTriangleParts(
  grid: Grid,
  { lead, pitch, float }: EdgeGeometry,
  rule: TriangleRule,
): SettingPart[] {
  const sides = sideTriangles(grid);
  const corners: SettingPart = {
    key: 'corner-triangle',
    role: 'corner-triangle',
    name: 'Corner triangles',
    grain: 'square-to-edge',
    rule,
    count: countOf(4, 'One at each corner: 4'),
    notes: [CUT_ONCE],
    cutAs: { shape: 'half-square', side: { finished: lead + 2 * float } },
  };
  if (sides === 0) return [corners];
  const working = `Top and bottom 2 × (${grid.across} − 1), sides 2 × (${grid.down} − 1): ${sides}`;
  return [
    corners,
    {
      key: 'side-triangle',
      role: 'side-triangle',
      name: 'Side triangles',
      grain: 'square-to-edge',
      rule,
      count: countOf(sides, working),
      notes: [CUT_TWICE],
      cutAs: { shape: 'quarter-square', side: { finished: pitch + 2 * float } },
    },
  ];
}

/**
 * The pieces of those parts. With a float each triangle is cut larger, and what lies outside its row is
 * trimmed away: rows run from lower left to upper right, each seam straight on to the quilt's edge, and
 * the corners at the ends of the longest rows are sewn on last (rule SW-1), across what lies there.
 *
 * @param at where the bounding box of the points has its top left corner
 */
export function edgePieces(
  { across: n, down: m }: Grid,
  { lead, pitch, float: t }: EdgeGeometry,
  at: Point,
): Piece[] {
  const width = 2 * lead + (n - 1) * pitch;
  const height = 2 * lead + (m - 1) * pitch;
  const half = pitch / 2;
  const rising = (sum: number, side: 'beyond' | 'before'): HalfPlane =>
    side === 'beyond'
      ? { x: 1, y: 1, least: sum + at.x + at.y }
      : { x: -1, y: -1, least: -sum - at.x - at.y };
  const lastCorners: HalfPlane[] = [
    { x: -1, y: 1, least: lead - width - at.x + at.y },
    { x: 1, y: -1, least: lead - height + at.x - at.y },
  ];
  const pieces: Piece[] = [];
  const add = (
    part: string,
    id: string,
    outline: readonly (readonly [number, number])[],
    cuts: readonly HalfPlane[],
  ) =>
    pieces.push({
      id,
      part,
      outline: clipped(
        outline.map(([x, y]) => ({ x: at.x + x, y: at.y + y })),
        t > 0 ? cuts : [],
      ),
    });
  for (let i = 0; i < n - 1; i++) {
    const [from, to] = [lead + i * pitch, lead + (i + 1) * pitch];
    add(
      'side-triangle',
      `side-top-${i}`,
      [
        [from - t, -t],
        [to + t, -t],
        [from + half, half],
      ],
      [rising(from, 'beyond'), ...lastCorners],
    );
    add(
      'side-triangle',
      `side-bottom-${i}`,
      [
        [to + t, height + t],
        [from - t, height + t],
        [from + half, height - half],
      ],
      [rising(to + height, 'before'), ...lastCorners],
    );
  }
  for (let j = 0; j < m - 1; j++) {
    const [from, to] = [lead + j * pitch, lead + (j + 1) * pitch];
    add(
      'side-triangle',
      `side-left-${j}`,
      [
        [-t, to + t],
        [-t, from - t],
        [half, from + half],
      ],
      [rising(from, 'beyond'), ...lastCorners],
    );
    add(
      'side-triangle',
      `side-right-${j}`,
      [
        [width + t, from - t],
        [width + t, to + t],
        [width - half, from + half],
      ],
      [rising(to + width, 'before'), ...lastCorners],
    );
  }
  const leg = lead + t;
  add(
    'corner-triangle',
    'corner-top-left',
    [
      [-t, -t],
      [leg, -t],
      [-t, leg],
    ],
    lastCorners,
  );
  add(
    'corner-triangle',
    'corner-top-right',
    [
      [width + t, -t],
      [width + t, leg],
      [width - leg, -t],
    ],
    [],
  );
  add(
    'corner-triangle',
    'corner-bottom-right',
    [
      [width + t, height + t],
      [width - leg, height + t],
      [width + t, height - leg],
    ],
    lastCorners,
  );
  add(
    'corner-triangle',
    'corner-bottom-left',
    [
      [-t, height + t],
      [-t, height - leg],
      [leg, height + t],
    ],
    [],
  );
  return pieces;
}

/** A tape with the float at either end, where there is one. */
export function floatTape(bands: readonly Band[], float: number, start: number): Band[] {
  if (float <= 0) return [...bands];
  const end = bands.at(-1)!.to;
  const band = (from: number): Band => ({
    role: 'corner-triangle',
    part: 'corner-triangle',
    from,
    to: from + float,
    moves: { what: 'setting', key: 'float', outward: true },
  });
  return [band(start), ...bands, band(end)];
}
