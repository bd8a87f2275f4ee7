import { sum } from 'd3-array';
import { type Figure, lengthOf, numberOf } from '../figure/figure.ts';
import { formatExact, formatWithUnit, formatWorking } from '../length/format.ts';
import type { Unit } from '../length/unit.ts';
import type { EdgeForm, EdgeOutline } from './outline.ts';
import { arcLength, cornerLength, type Scallops } from './scallops.ts';

/**
 * Length all round an edge (rule ED-1): the sides of a square one; `2(W + H) − 8r + 2πr` with four
 * rounded corners; every arc of a scalloped one. What a tape measured along it takes its place.
 */
export function lengthAround(
  outline: EdgeOutline,
  { shape, corners, radius }: Pick<EdgeForm, 'shape' | 'corners' | 'radius'>,
  measured: number | null,
  unit: Unit,
): Figure {
  if (measured !== null)
    return lengthOf(
      measured,
      `Measured along the edge with a tape: ${formatWithUnit(measured, unit)}`,
      `Computed it is ${formatExact(outline.length)}`,
    );
  const show = (v: number) => formatWorking(v, unit);
  const { width, height, scallops, length } = outline;
  const sides = 2 * (width + height);
  const straight = `Round the quilt: 2 × (${show(width)} + ${show(height)}) = ${formatExact(sides)}`;
  const shaped = corners === 'all' ? 4 : 2;
  if (scallops)
    return lengthOf(
      length,
      ...scallopedLines(outline, scallops),
      `Together ${formatExact(length)}; straight it would be ${formatExact(sides)}`,
    );
  if (shape === 'rounded')
    return lengthOf(
      length,
      straight,
      `− ${2 * shaped} × ${show(radius)} + ${shaped} × π × ${show(radius)} ÷ 2 = ${formatExact(length)}`,
    );
  if (shape === 'posts')
    return lengthOf(
      length,
      straight,
      'Corners cut out change nothing: what they take from two sides lies inside them',
    );
  if (shape === 'clipped')
    return lengthOf(
      length,
      straight,
      `− ${2 * shaped} × ${show(radius)} + ${shaped} × ${show(radius)} × √2 = ${formatExact(length)}`,
    );
  return lengthOf(length, straight);
}

/** The arcs of a scalloped edge, counted side by side, and what is straight of it. */
function scallopedLines({ runs }: EdgeOutline, { sides, across, down, corner }: Scallops): string[] {
  const each = (name: string, count: number, one: number, where: string) =>
    `${numberOf(count, name)} of ${formatExact(one)} = ${formatExact(count * one)}${where}`;
  const level = sides.filter((s) => s === 'top' || s === 'bottom');
  const upright = sides.filter((s) => s === 'left' || s === 'right');
  const straight = sum(runs, (run) => (run.kind === 'line' ? run.length : 0));
  return [
    ...(across
      ? [each('arc', level.length * across.count, arcLength(across), ` along ${level.join(' and ')}`)]
      : []),
    ...(down
      ? [
          each(
            'arc',
            upright.length * down.count,
            arcLength(down),
            ` along ${upright.length === 2 ? 'the sides' : upright.join()}`,
          ),
        ]
      : []),
    ...(corner ? [each('corner', level.length * upright.length, cornerLength(corner), '')] : []),
    ...(straight > 0 ? [`Straight ${formatExact(straight)}`] : []),
  ];
}
