import { EDGE_SHAPE_NAMES } from '../../choice/edge.ts';
import { type Cut, cutOf } from '../../cut/cut.ts';
import { countOf, type Figure, lengthOf } from '../../figure/figure.ts';
import { formatExact, formatWithUnit, formatWorking } from '../../length/format.ts';
import { ofUnit, type Unit } from '../../length/unit.ts';
import type { Plan } from '../../plan/shape.ts';
import type { Problem } from '../../refusal/refusal.ts';
import type { FlangeWish } from '../flange.ts';
import { closesBeside, type WholeFinish } from './finish.ts';
import { atLeast } from '../../length/tolerance.ts';

/** A facing: four folded strips turned wholly to the back; with corners lapped, or under a folded square. */
export interface Facing {
  readonly cutWidth: number;
  /** What lies behind the quilt once it is turned. */
  readonly behind: Figure;
  readonly sides: Figure;
  readonly ends: Figure;
  /** Side of the squares of bevelled corners; null where corners are lapped. */
  readonly corner: Figure | null;
}

/** What a facing is made for; lengths in `unit`. */
export interface FacingWish {
  readonly edges: FlangeWish['edges'];
  readonly width: number;
  readonly corners: Plan['edge']['facing']['corners'];
  readonly seam: number;
  readonly unit: Unit;
}

/** Top and bottom of lapped corners are folded in by so much at each end (common practice). */
export const foldedIn = (unit: Unit): number => ofUnit(unit, 1 / 2, 1.5);
/** Strips between bevelled corners begin so far from the corner, under its square (common practice). */
export const fromCorner = (unit: Unit): number => ofUnit(unit, 1, 2.5);
/** A square of a bevelled corner is so much wider than the strip, so that it covers the strips' ends (from memory). */
const overStrip = (unit: Unit): number => ofUnit(unit, 1.5, 4);
/** The narrowest strip that can be folded, sewn and turned (from memory). */
const leastStrip = (unit: Unit): number => ofUnit(unit, 1.5, 4);

/**
 * A facing (rule FC-1): strips folded in half and sewn to the front with the quilt's seam, turned to the back. Lapped,
 * sides are as long as the raw edge, top and bottom longer by what is folded in; bevelled, all four stop short of the
 * corners, which have squares of their own, folded corner to corner.
 */
export function planFacing({ edges, width, corners, seam, unit }: FacingWish): Facing {
  const show = (v: number) => formatWorking(v, unit);
  const behind = lengthOf(
    width / 2 - seam,
    `${show(width)} ÷ 2 − ${show(seam)} seam = ${formatExact(width / 2 - seam)}`,
  );
  if (corners === 'flat') {
    const fold = foldedIn(unit);
    const ends = edges.ends.value + 2 * fold;
    return {
      cutWidth: width,
      behind,
      sides: edges.sides,
      ends: lengthOf(
        ends,
        ...edges.ends.working,
        `${formatExact(edges.ends.value)} + 2 × ${show(fold)} folded in at the ends = ${formatExact(ends)}`,
      ),
      corner: null,
    };
  }
  const short = fromCorner(unit);
  const between = (raw: Figure) =>
    lengthOf(
      raw.value - 2 * short,
      ...raw.working,
      `${formatExact(raw.value)} − 2 × ${show(short)} from the corners = ${formatExact(raw.value - 2 * short)}`,
    );
  const square = width + overStrip(unit);
  return {
    cutWidth: width,
    behind,
    sides: between(edges.sides),
    ends: between(edges.ends),
    corner: lengthOf(
      square,
      `${show(width)} strip + ${show(overStrip(unit))}, so that it covers the strips’ ends = ${formatExact(square)}`,
    ),
  };
}

/** Its strips as they are cut, and the squares of its corners. */
export function facingCuts({ cutWidth, sides, ends, corner }: Facing, fabric: string): Cut[] {
  const named = { owner: 'edge', role: 'facing', fabric, use: { what: 'facing' } } as const;
  const pair = (id: string, name: string, length: Figure, where: string) =>
    cutOf({
      ...named,
      id,
      name,
      size: { shape: 'rectangle', width: lengthOf(cutWidth), length },
      count: countOf(2, `One ${where}: 2`),
      oneWay: 'across',
    });
  return [
    pair('facing-sides', 'Facing, sides', sides, 'on each of two sides'),
    pair('facing-ends', 'Facing, top and bottom', ends, 'at top, one at bottom'),
    ...(corner
      ? [
          cutOf({
            ...named,
            id: 'facing-corners',
            name: 'Facing, corners',
            size: { shape: 'rectangle', width: corner, length: corner },
            count: countOf(4, 'One at each corner: 4'),
            joins: 'never',
          }),
        ]
      : []),
  ];
}

/** The shortest side a facing goes round: two strips, or two squares of bevelled corners, have to find room. */
export const facingLeast = ({ width, corners }: Pick<FacingWish, 'width' | 'corners'>, unit: Unit): number =>
  2 * (corners === 'flat' ? width : width + overStrip(unit));

const path = (key: string) => ['edge', 'facing', key];

function refusals({ edge: { facing }, unit, seam }: Plan, top: { width: number; height: number }): Problem[] {
  const least = Math.max(leastStrip(unit), 2 * seam + ofUnit(unit, 1 / 2, 1));
  const shorter = Math.min(top.width, top.height);
  if (!atLeast(facing.width, least))
    return [
      {
        path: path('width'),
        message: `A facing cut ${formatWithUnit(facing.width, unit)} leaves too little to turn: at least ${formatWithUnit(least, unit)}.`,
      },
    ];
  // What it is said as in the other unit may be a mark shorter.
  if (facingLeast(facing, unit) > shorter + ofUnit(unit, 1 / 16, 0.2))
    return [
      {
        path: path('width'),
        message: `A facing cut ${formatWithUnit(facing.width, unit)} finds no room on a side of ${formatWithUnit(shorter, unit)}: cut it narrower.`,
      },
    ];
  return [];
}

/** A facing, for an edge without a frame. */
export const facing: WholeFinish = {
  closes: true,
  ends: 'seam',
  describes:
    'Strips turned wholly to the back: the quilt ends at its own edge, without a frame. To be decided when the edge is made.',
  against: (other) =>
    other === 'flange'
      ? 'A flange lies against a binding, and a facing has none: choose piping, or bind the quilt.'
      : closesBeside('A facing', 'facing', other),
  around: (shape) =>
    shape === 'square'
      ? null
      : `Straight facing strips cannot follow ${EDGE_SHAPE_NAMES[shape].toLowerCase()}: bind the quilt, or choose square corners.`,
  refusals,
  trim: () => null,
  quiltingShort: () => 0,
  plan: ({ plan, edges }) => {
    const { edge, unit, seam } = plan;
    const { width, corners, fabric } = edge.facing;
    const planned = planFacing({ edges, width, corners, seam, unit });
    return {
      finish: 'facing',
      lines: [
        {
          name: 'Facing, sides',
          figure: planned.sides,
          after: `by ${formatWithUnit(width, unit)}, two of them`,
        },
        {
          name: 'Facing, top and bottom',
          figure: planned.ends,
          after: `by ${formatWithUnit(width, unit)}, two of them`,
        },
        ...(planned.corner
          ? [{ name: 'Facing, squares for corners', figure: planned.corner, after: 'square, four of them' }]
          : []),
        { name: 'Facing, behind the quilt', figure: planned.behind },
      ],
      cuts: facingCuts(planned, fabric),
      bands: [{ name: 'facing', from: 0, wide: planned.behind.value, fabric, face: 'back' }],
    };
  },
};
