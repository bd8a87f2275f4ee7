import type { Plan } from '@lattice/core';

type Border = Plan['borders'][number];

/** The plan with one border changed. */
export const withBorder = (plan: Plan, index: number, change: Partial<Border>): Plan => ({
  ...plan,
  borders: plan.borders.map((border, i) => (i === index ? { ...border, ...change } : border)),
});

/** The plan with one border taken off. What was measured with it on goes too: that top is not this one. */
export const withoutBorder = (plan: Plan, index: number): Plan => ({
  ...plan,
  borders: plan.borders.filter((_, i) => i !== index),
  measured: plan.measured.filter((m) => m.borders <= index),
});

/** The plan with a border's width changed. A border as wide at the ends as at the sides stays so all round; a pieced one is. */
export function withBorderWidth(plan: Plan, index: number, side: 'sides' | 'ends', width: number): Plan {
  const { sides, ends, pieced } = plan.borders[index]!;
  return withBorder(
    plan,
    index,
    sides === ends || pieced ? { sides: width, ends: width } : { [side]: width },
  );
}
