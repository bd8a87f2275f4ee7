import fc from 'fast-check';
import type { Need } from '../../src/placing/need.ts';

/** Anything that can be wanted of a cloth 640 units wide, four inches of it at the least. */
const anyNeed = (index: number, widest = 320): fc.Arbitrary<Need> =>
  fc
    .record({
      width: fc.integer({ min: 8, max: widest }),
      longer: fc.integer({ min: 0, max: 1400 }),
      count: fc.integer({ min: 1, max: 40 }),
      lengthwise: fc.boolean(),
      joins: fc.constantFrom<Need['joins']>('diagonal', 'straight'),
      oneWay: fc.constantFrom<(Need['oneWay'] | null)[]>('across', 'along', null, null),
    })
    .map(({ longer, count, oneWay, ...need }) => ({
      ...need,
      key: `n${index}`,
      length: need.width + longer,
      count: longer > 400 ? Math.min(count, 6) : count,
      ...(oneWay && longer <= 300 && !need.lengthwise && { oneWay }),
    }));

export const anyNeeds = fc
  .integer({ min: 1, max: 6 })
  .chain((kinds) => fc.tuple(...Array.from({ length: kinds }, (_, i) => anyNeed(i))));
