import { type Figure, lengthOf, numberOf } from '../figure/figure.ts';
import { formatExact, formatLength, formatWithUnit } from '../length/format.ts';
import type { Unit } from '../length/unit.ts';
import type { EdgeForm, EdgeOutline } from './outline.ts';
import { arcLength, cornerLength } from './scallops.ts';

/**
 * Length all round an edge (handbook 7): the sides of a square one; `2(W + H) − 8r + 2πr` with four
 * rounded corners; every arc of a scalloped one. What a tape measured along it takes its place.
 */
export function lengthAround(outline: EdgeOutline, { shape, corners, radius }: Pick<EdgeForm, 'shape' | 'corners' | 'radius'>, measured: number | null, unit: Unit): Figure {
  if (measured !== null) return lengthOf(measured, `Measured along the edge with a tape: ${formatWithUnit(measured, unit)}`, `Computed it is ${formatExact(outline.length)}`);
  const show = (v: number) => formatLength(v, unit);
  const { width, height, scallops, length } = outline;
  const sides = 2 * (width + height);
  const straight = `Round the quilt: 2 × (${show(width)} + ${show(height)}) = ${formatExact(sides)}`;
  const shaped = corners === 'all' ? 4 : 2;
  if (scallops) {
    const { across, down, corner } = scallops;
    const each = (name: string, count: number, one: number) => `${numberOf(count, name)} of ${formatExact(one)} = ${formatExact(count * one)}`;
    return lengthOf(
      length,
      each('arc', 2 * across.count, arcLength(across)) + ` along top and bottom`,
      each('arc', 2 * down.count, arcLength(down)) + ` along the sides`,
      each('corner', 4, cornerLength(corner)),
      `Together ${formatExact(length)}; straight it would be ${formatExact(sides)}`,
    );
  }
  if (shape === 'rounded') return lengthOf(length, straight, `− ${2 * shaped} × ${show(radius)} + ${shaped} × π × ${show(radius)} ÷ 2 = ${formatExact(length)}`);
  if (shape === 'clipped') return lengthOf(length, straight, `− ${2 * shaped} × ${show(radius)} + ${shaped} × ${show(radius)} × √2 = ${formatExact(length)}`);
  return lengthOf(length, straight);
}
