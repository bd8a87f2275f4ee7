import { computeQuilt, type Plan, startPlan } from '@lattice/core';
import { median } from './measure.ts';

const plan = startPlan('sashed-sampler');
const king: Plan = { ...plan, grid: { across: 7, down: 7 } };

/** The whole pipeline of a king-size quilt with each kind of edge, as a ratio to the same quilt plainly bound. */
export function* edge() {
  const cases: readonly (readonly [string, Plan])[] = [
    [
      'scallops, bias from a square',
      {
        ...king,
        edge: { ...king.edge, shape: 'scalloped', scallop: { ...king.edge.scallop, width: 4, depth: 1 } },
        binding: { ...king.binding, grain: 'bias-square' },
      },
    ],
    ['bias from a length', { ...king, binding: { ...king.binding, grain: 'bias-length' } }],
    [
      'prairie points of 2", scattered',
      {
        ...king,
        edge: {
          ...king.edge,
          finishes: ['prairie-points'],
          points: {
            ...king.edge.points,
            square: 2,
            fabrics: ['sash', 'accent', 'border'],
            order: 'scattered',
          },
        },
      },
    ],
  ];
  // Every case once before any is timed: the first would pay for all.
  for (const [, edged] of cases) median(() => computeQuilt(edged), 40);
  const plain = median(() => computeQuilt(king), 200);
  for (const [name, edged] of cases) {
    const time = median(() => computeQuilt(edged), 100);
    yield {
      case: 'edge',
      name,
      computeMs: Math.round(1000 * time) / 1000,
      ratioToPlain: Math.round(100 * (time / plain)) / 100,
      aim: 10,
    };
  }
}
