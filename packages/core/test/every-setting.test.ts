import { layOut, SETTINGS, type SettingField, settingOf, type SettingOptions } from '../src/index.ts';
import { areaOf } from '../src/geometry/outline.ts';
import { inchPlan, quiltOf } from './support/plans.ts';

/** Every value of a choice; a length at its start, a float also at none. */
function valuesOf(field: SettingField, start: Record<string, unknown>): unknown[] {
  if (field.type === 'switch') return [true, false];
  if (field.type === 'choice') return field.choices.map((c) => c.value);
  return field.key === 'float' ? [0, 1] : [start[field.key]];
}

/** A setting with every combination of its choices. */
function everyWay(setting: (typeof SETTINGS)[number]): SettingOptions[] {
  const start = setting.start('in') as SettingOptions & Record<string, unknown>;
  return setting.fields.reduce<SettingOptions[]>(
    (ways, field) =>
      ways.flatMap((way) =>
        valuesOf(field, start).map((value) => ({ ...way, [field.key]: value }) as SettingOptions),
      ),
    [start],
  );
}

const GRIDS = [
  [1, 1],
  [1, 3],
  [2, 3],
  [3, 2],
  [4, 4],
] as const;

/** Each setting, each of its choices, several grids: what is said bare, what is counted and what is drawn are one. */
describe.each(SETTINGS.map((s): [string, (typeof SETTINGS)[number]] => [s.kind, s]))(
  '%s, every way there is',
  (kind, setting) => {
    const ways = everyWay(setting);
    const block = { width: 10, height: 10 };
    test.each(GRIDS)('%p × %p: extents, counts, area and tapes', (across, down) => {
      for (const options of ways) {
        const grid = { across, down };
        const plan = inchPlan({ block, grid, setting: options });
        const {
          finished: { width, height },
          pieces,
          parts,
          bands,
        } = layOut(plan);
        const bare = settingOf(options.kind);
        expect(bare.extent('across', across, block.width, options, plan.seam)).toBeCloseTo(width.value, 9);
        expect(bare.extent('down', down, block.height, options, plan.seam)).toBeCloseTo(height.value, 9);
        expect(bare.pieceCount(grid, options)).toBe(pieces.length);
        expect(bare.blocksNeeded(grid, options).value).toBe(
          pieces.filter((p) => p.place !== undefined).length,
        );
        for (const part of Object.values(parts))
          expect([part.key, part.count.value]).toEqual([
            part.key,
            pieces.filter((p) => p.part === part.key).length,
          ]);
        // Neither gaps nor overlaps, nor anything beyond the edge: all pieces lie inside it, and together are as large.
        expect(pieces.reduce((sum, p) => sum + areaOf(p.outline), 0)).toBeCloseTo(
          width.value * height.value,
          6,
        );
        for (const { x, y } of pieces.flatMap((p) => p.outline))
          expect(Math.min(x, y, width.value - x, height.value - y)).toBeGreaterThan(-1e-9);
        for (const [tape, end] of [
          [bands.across, width.value],
          [bands.down, height.value],
        ] as const) {
          expect(tape[0]!.from).toBeCloseTo(0, 9);
          expect(tape.at(-1)!.to).toBeCloseTo(end, 9);
          tape.slice(1).forEach((band, i) => expect(band.from).toBeCloseTo(tape[i]!.to, 9));
          // A sash is changed by pulling its edge on the tape.
          for (const band of tape)
            if (band.role === 'sash')
              expect(band.moves).toEqual({ what: 'setting', key: band.part === 'short' ? 'short' : 'sash' });
        }
      }
    });
    test('what it starts with is a plan it takes, in inches and in centimetres', () => {
      for (const unit of ['in', 'cm'] as const)
        expect(setting.options.safeParse(setting.start(unit)).success).toBe(true);
      expect(setting.options.safeParse({ ...setting.start('in'), unknown: 1 }).success).toBe(false);
      for (const field of setting.fields) {
        expect(field.label).not.toBe('');
        if (field.type === 'choice') {
          for (const { value, label } of field.choices) {
            expect(label).not.toBe('');
            expect(setting.options.safeParse({ ...setting.start('in'), [field.key]: value }).success).toBe(
              true,
            );
          }
          expect(setting.options.safeParse({ ...setting.start('in'), [field.key]: 'no such' }).success).toBe(
            false,
          );
        }
      }
      expect(kind).toBe(setting.start('in').kind);
    });
  },
);

test('a kind nobody knows is no setting', () =>
  expect(() => settingOf('round' as never)).toThrow('No setting is called round'));

// Round figures of the trade: 8" blocks among 12", 20 cm among 30.
test('smaller blocks start at a usual size', () =>
  expect(
    (['in', 'cm'] as const).map((unit) => SETTINGS.find((s) => s.kind === 'coped')!.start(unit).small),
  ).toEqual([8, 20]));

// Rule ST-8. Arithmetic: three blocks of 10 and sashes of 2 from a quarter-inch seam in: they cross from 10 1/4 to 12 1/4, then from 22 1/4.
test('row strips are marked where the upright sashes cross, and pairs of rows are told where there are more than two', () => {
  const notes = (down: number) =>
    quiltOf(10, 3, down, { kind: 'quilted', sash: 2 }, { borders: [] }).pieces.find(
      (p) => p.parts.includes('level') && !p.under,
    )!.notes;
  expect(notes(2)).toEqual([
    'Mark each row strip from one end where the upright sashes cross: 10 1/4 to 12 1/4, 22 1/4 to 24 1/4. They must line up.',
  ]);
  expect(notes(3)).toEqual([
    expect.stringContaining('Mark each row strip'),
    'Join the rows in pairs, then the pairs.',
  ]);
  expect(
    quiltOf(10, 1, 2, { kind: 'quilted', sash: 2 }).pieces.find((p) => p.parts.includes('level') && !p.under)!
      .notes,
  ).toEqual([]);
});

test('a float stands in the working where there is one', () => {
  const working = (float: number) =>
    quiltOf(10, 2, 2, { kind: 'on-point-sashed', sash: 2, float }).layout.centre.width.working;
  expect(working(0)).toEqual(['(2 blocks × 10 + 3 sashes × 2) × √2 = 36.77']);
  expect(working(1)).toEqual(['(2 blocks × 10 + 3 sashes × 2) × √2 = 36.77', '+ 2 × 1 float = 38.77']);
});
