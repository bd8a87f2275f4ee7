import fc from 'fast-check';
import {
  CHECKER_ROWS,
  computeQuilt,
  type CutLine,
  PIECED_KINDS,
  piecedKind,
  type PiecedKindId,
  type Plan,
  planProblems,
  type UnitsMade,
  withPieced,
} from '../../src/index.ts';
import { borderOf, inchPlan } from './plans.ts';

type Pieced = NonNullable<Plan['borders'][number]['pieced']>;

/** An edge-to-edge centre of this size with one pieced border, in cloths 40 and 42 inches wide. */
export function piecedPlan(
  kind: PiecedKindId,
  [width, height]: readonly [number, number],
  depth: number,
  change: Partial<Pieced> = {},
  seam = 0.25,
): Plan {
  const bare = inchPlan({
    block: { width, height },
    grid: { across: 1, down: 1 },
    setting: { kind: 'edge-to-edge' },
    borders: [borderOf(depth, 'border')],
    seam,
  });
  const made = withPieced(bare, 0, kind);
  const border = made.borders[0]!;
  return {
    ...made,
    fabrics: made.fabrics.map((fabric) => ({ ...fabric, usableWidth: fabric.id === 'border' ? 40 : 42 })),
    borders: [
      { ...border, cornerFabric: 'sash', pieced: { ...border.pieced!, fabric: 'accent', ...change } },
    ],
  };
}

const quarters = (least: number, most: number) =>
  fc.integer({ min: least * 4, max: most * 4 }).map((n) => n / 4);

/** Any kind of pieced border made in any way it can be, round a centre of any size; plain borders inside it and outside at random. */
export const anyPieced: fc.Arbitrary<Plan> = fc
  .record({
    kind: fc.constantFrom(...PIECED_KINDS),
    way: fc.nat(10),
    corner: fc.constantFrom('plain' as const, 'unit' as const),
    rows: fc.constantFrom(...CHECKER_ROWS),
    key: quarters(1, 3),
    depth: quarters(2, 5),
    width: quarters(8, 30),
    height: quarters(8, 30),
    inside: fc.option(quarters(1, 3), { nil: null }),
    outside: fc.option(quarters(1, 4), { nil: null }),
    seam: fc.constantFrom(0.25, 0.375),
  })
  .map(({ kind, way, corner, rows, key, depth, width, height, inside, outside, seam }): Plan => {
    const ways = piecedKind(kind).made;
    const made: UnitsMade = ways[way % ways.length]!;
    const plan = piecedPlan(kind, [width, height], depth, { corner, rows, key, made }, seam);
    return {
      ...plan,
      borders: [
        ...(inside === null ? [] : [borderOf(inside, 'sash')]),
        ...plan.borders,
        ...(outside === null ? [] : [borderOf(outside, 'binding')]),
      ],
    };
  })
  .filter((plan) => planProblems(plan).length === 0);

/** Where the pieced border of such a plan stands. */
export const piecedAt = (plan: Plan): number => plan.borders.findIndex(({ pieced }) => pieced !== null);

/** What is cut for the patches of a plan's pieced borders. */
export const patchLines = (plan: Plan): CutLine[] =>
  computeQuilt(plan).pieces.filter(({ role }) => role === 'border-patch');

/** How many squares of a line are cut: of triangles their squares. */
export const squaresOf = (line: CutLine): number => line.squares?.count.value ?? line.count.value;
