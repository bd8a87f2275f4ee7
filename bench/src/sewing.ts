import { computeQuilt, layOut, type Plan, pressingOf, sewingOf, startPlan } from '@lattice/core';
import { median } from './measure.ts';

const sampler = (side: number): Plan => ({
  ...startPlan('sashed-sampler'),
  block: { width: 5, height: 5 },
  grid: { across: side, down: side },
  borders: [],
});

/**
 * Sewing planned: every way of a sashed top, and how one is pressed, beside working the whole quilt out; and how both
 * grow from a hundred blocks to four hundred. Pieces grow 3.9-fold.
 */
export function* sewing() {
  const first = timesOf(sampler(10));
  for (const side of [10, 20]) {
    const times = side === 10 ? first : timesOf(sampler(side));
    yield {
      case: 'sewing',
      blocks: side * side,
      ms: round(times.ways),
      pressMs: round(times.press),
      toCompute: round(times.ways / times.compute),
      timesHundred: round(times.ways / first.ways),
      pressTimesHundred: round(times.press / first.press),
      aimMs: 300,
      aimPressMs: 100,
    };
  }
}

function timesOf(plan: Plan) {
  const layout = layOut(plan);
  const known = sewingOf(plan, layout);
  const way = known.ways.find(({ method }) => method.id === 'units')!;
  return {
    ways: median(() => sewingOf(plan, layout), 9),
    press: median(() => pressingOf(plan, layout, known, way), 9),
    compute: median(() => computeQuilt(plan), 5),
  };
}

const round = (value: number): number => Math.round(value * 100) / 100;
