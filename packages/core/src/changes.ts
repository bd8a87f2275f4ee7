import type { Quilt } from './compute.ts';
import { formatLength, formatWithUnit } from './length/format.ts';
import { near } from './length/tolerance.ts';
import type { Unit } from './length/unit.ts';

/** One thing that came out otherwise: "Border sides 3 × 56 → 3 × 55 5/8″, buy the same". */
export interface Change {
  readonly what: string;
  readonly before: string;
  readonly after: string;
}

/**
 * What a measurement or a choice changed downstream, line by line: pieces to cut, backing, binding,
 * then what to buy. Empty when nothing did.
 */
export function changesBetween(before: Quilt, after: Quilt, unit: Unit): Change[] {
  const size = (quilt: Quilt) =>
    `${formatLength(quilt.finished.width.value, unit)} × ${formatWithUnit(quilt.finished.height.value, unit)}`;
  const listed = (list: (quilt: Quilt) => [what: string, said: string][]): Change[] => {
    const had = new Map(list(before));
    const has = new Map(list(after));
    return [...new Set([...had.keys(), ...has.keys()])].map((what) => ({
      what,
      before: had.get(what) ?? 'none',
      after: has.get(what) ?? 'none',
    }));
  };
  return [
    { what: 'Finished size', before: size(before), after: size(after) },
    ...listed(({ pieces }) =>
      pieces.map(({ key, name, count, cut }) => [
        name || key,
        `${count.value} at ${cut.shape === 'rectangle' ? `${formatLength(cut.width.value, unit)} × ${formatWithUnit(cut.length.value, unit)}` : formatWithUnit(cut.side.value, unit)}`,
      ]),
    ),
    ...listed(({ layers }) =>
      layers
        ? [
            [
              'Backing',
              `${formatLength(layers.backing.width.value, unit)} × ${formatWithUnit(layers.backing.height.value, unit)}`,
            ],
          ]
        : [],
    ),
    ...listed(({ edge: { binding } }) =>
      binding
        ? [['Binding', `${formatWithUnit(binding.length.value, unit)}, ${binding.strips.value} strips`]]
        : [],
    ),
    ...listed(({ edge: { points } }) => (points ? [['Prairie points', String(points.total.value)]] : [])),
    ...listed(({ fabrics }) => fabrics.map(({ fabric, buy }) => [`Buy ${fabric.name}`, buy.text])),
  ].filter((change) => change.before !== change.after);
}

/** Whether the same cloth is bought before and after. */
export const buysTheSame = (before: Quilt, after: Quilt): boolean =>
  before.fabrics.length === after.fabrics.length &&
  before.fabrics.every((cut, i) => near(cut.buy.length.value, after.fabrics[i]!.buy.length.value));
