import fc from 'fast-check';
import { computeQuilt, type Plan, planProblems, type Quilt, type SettingOptions, startPlan } from '../../src/index.ts';

/** An inch plan with everything at its start, changed by `change`. Fails at once when the plan is not sound. */
export function inchPlan(change: Partial<Plan>): Plan {
  const plan = { ...startPlan('sashed-sampler'), borders: [], ...change };
  const problems = planProblems(plan);
  if (problems.length > 0) throw new Error(problems.map((p) => p.message).join('\n'));
  return plan;
}

/** A square-block inch plan, worked out. */
export function quiltOf(block: number, across: number, down: number, setting: SettingOptions, change: Partial<Plan> = {}): Quilt {
  return computeQuilt(inchPlan({ block: { width: block, height: block }, grid: { across, down }, setting, ...change }));
}

/** The line of the cutting list that serves this part. */
export function lineFor(quilt: Quilt, part: string) {
  const line = quilt.pieces.find((p) => p.parts.includes(part));
  if (!line) throw new Error(`nothing is cut for ${part}`);
  return line;
}

/** Cut size of a line as numbers: a rectangle's width and length, or a square's side. */
export function cutSize(quilt: Quilt, part: string): number[] {
  const { cut } = lineFor(quilt, part);
  return cut.shape === 'rectangle' ? [cut.width.value, cut.length.value] : [cut.side.value];
}

const sixteenths = (least: number, most: number) => fc.integer({ min: least * 16, max: most * 16 }).map((n) => n / 16);

const settings: fc.Arbitrary<SettingOptions> = fc.oneof(
  fc.constant<SettingOptions>({ kind: 'edge-to-edge' }),
  fc.constant<SettingOptions>({ kind: 'on-point' }),
  fc.record({ kind: fc.constant('sashed' as const), sash: sixteenths(1, 4), outerSash: fc.boolean(), cornerstones: fc.boolean() }),
);

/** Any sound plan from 1 × 1 to 20 × 20, in inches or centimetres, any seam, up to three borders. */
export const anyPlan: fc.Arbitrary<Plan> = fc
  .record({
    unit: fc.constantFrom('in' as const, 'cm' as const),
    block: fc.record({ width: sixteenths(4, 20), height: sixteenths(4, 20), square: fc.boolean() }),
    grid: fc.record({ across: fc.integer({ min: 1, max: 20 }), down: fc.integer({ min: 1, max: 20 }) }),
    setting: settings,
    borders: fc.array(fc.record({ width: sixteenths(1, 8), fabric: fc.constantFrom('border', 'accent') }), { maxLength: 3 }),
    seam: fc.constantFrom(0.25, 0.375, 0.5),
  })
  .map(({ block, setting, ...rest }): Plan => {
    const base = startPlan(rest.unit === 'in' ? 'sashed-sampler' : 'metric-sashed');
    const square = block.square || setting.kind === 'on-point';
    return { ...base, ...rest, setting, block: { width: block.width, height: square ? block.width : block.height } };
  });
