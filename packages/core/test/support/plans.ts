import fc from 'fast-check';
import {
  BORDER_CORNERS,
  computeQuilt,
  type Plan,
  planProblems,
  type Quilt,
  type SettingField,
  type SettingKind,
  settingOf,
  type SettingOptions,
  SETTINGS,
  startBorder,
  startPlan,
} from '../../src/index.ts';

/**
 * An inch plan with everything at its start, changed by `change`. Fails when the plan is not sound: at once, or before
 * the tests of a file that makes it for all of them, so that nothing is worked out while files are only read.
 */
export function inchPlan(change: Partial<Plan>): Plan {
  const plan = { ...startPlan('sashed-sampler'), borders: [], ...change };
  const check = () => {
    const problems = planProblems(plan);
    if (problems.length > 0) throw new Error(problems.map((p) => p.message).join('\n'));
  };
  if (expect.getState().currentTestName === undefined) beforeAll(check);
  else check();
  return plan;
}

let borders = 0;

/** A border as it begins, under an id of its own. */
export const borderOf = (width: number, fabric: string) => startBorder(String(++borders), width, fabric);

/** A setting by its kind, with whichever options matter to a test. */
export type SomeSetting = { readonly kind: SettingKind; readonly [option: string]: unknown };

/** The rest of its options at their start. */
export const wholeSetting = (setting: SomeSetting): SettingOptions =>
  ({ ...settingOf(setting.kind).start('in'), ...setting }) as SettingOptions;

/** A square-block inch plan, worked out. */
export function quiltOf(
  block: number,
  across: number,
  down: number,
  setting: SomeSetting,
  change: Partial<Plan> = {},
): Quilt {
  return computeQuilt(
    inchPlan({
      block: { width: block, height: block },
      grid: { across, down },
      setting: wholeSetting(setting),
      ...change,
    }),
  );
}

/** A part's key, where a border is named by its place from the centre outward: `border-0-side`. */
function keyOf({ layout }: Quilt, part: string): string {
  const [, place, role] = /^border-(\d+)-(\w+)$/.exec(part) ?? [];
  const keys = Object.keys(layout.parts).filter((key) => /^border-.+-side$/.test(key));
  return place === undefined ? part : (keys[Number(place)]?.replace(/side$/, role!) ?? part);
}

/** The line of the cutting list that serves this part. */
export function lineFor(quilt: Quilt, part: string) {
  const key = keyOf(quilt, part);
  const line = quilt.pieces.find((p) => p.parts.includes(key));
  if (!line) throw new Error(`nothing is cut for ${part}`);
  return line;
}

/** Cut size of a line as numbers: a rectangle's width and length, or a square's side. */
export function cutSize(quilt: Quilt, part: string): number[] {
  const { cut } = lineFor(quilt, part);
  return cut.shape === 'rectangle' ? [cut.width.value, cut.length.value] : [cut.side.value];
}

const sixteenths = (least: number, most: number) =>
  fc.integer({ min: least * 16, max: most * 16 }).map((n) => n / 16);

/** Every setting there is, its options at random: a new one in the registry is taken up by itself. */
const settings: fc.Arbitrary<SettingOptions> = fc
  .constantFrom(...SETTINGS)
  .chain((setting) =>
    fc
      .record(Object.fromEntries(setting.fields.map((field) => [field.key, optionOf(field)])))
      .map((options) => ({ ...setting.start('in'), ...options }) as SettingOptions),
  );

function optionOf(field: SettingField): fc.Arbitrary<unknown> {
  if (field.type === 'switch') return fc.boolean();
  if (field.type === 'choice') return fc.constantFrom(...field.choices.map((c) => c.value));
  return field.key === 'float' ? fc.oneof(fc.constant(0), sixteenths(0, 3)) : sixteenths(2, 4);
}

const anyBorder: fc.Arbitrary<Plan['borders'][number]> = fc.record({
  id: fc.constant(''),
  sides: sixteenths(1, 8),
  ends: sixteenths(1, 8),
  corners: fc.constantFrom(...BORDER_CORNERS),
  cut: fc.constantFrom('crosswise' as const, 'lengthwise' as const),
  joins: fc.constantFrom('diagonal' as const, 'straight' as const),
  repeat: fc.constant(null),
  pieced: fc.constant(null),
  fabric: fc.constantFrom('border', 'accent'),
  cornerFabric: fc.constantFrom('border', 'accent'),
});

/** Any sound plan from 1 × 1 to 20 × 20, in inches or centimetres, any seam, up to three borders. */
export const anyPlan: fc.Arbitrary<Plan> = fc
  .record({
    unit: fc.constantFrom('in' as const, 'cm' as const),
    block: fc.record({ width: sixteenths(4, 20), height: sixteenths(4, 20), square: fc.boolean() }),
    grid: fc.record({ across: fc.integer({ min: 1, max: 20 }), down: fc.integer({ min: 1, max: 20 }) }),
    setting: settings,
    borders: fc
      .array(anyBorder, { maxLength: 3 })
      .map((stack) => stack.map((border, i) => ({ ...border, id: String(i + 1) }))),
    seam: fc.constantFrom(0.25, 0.375, 0.5),
  })
  .map(({ block, setting, ...rest }): Plan => {
    const base = startPlan(rest.unit === 'in' ? 'sashed-sampler' : 'metric-sashed');
    const square =
      block.square ||
      settingOf(setting.kind).refusals({
        unit: 'in',
        block: { width: 8, height: 9 },
        grid: { across: 1, down: 1 },
        options: setting,
        seam: 0.25,
      }).length > 0;
    return {
      ...base,
      ...rest,
      setting,
      block: { width: block.width, height: square ? block.width : block.height },
    };
  })
  // Blocks of two sizes may come out with nothing between them.
  .filter((plan) => planProblems(plan).length === 0);
