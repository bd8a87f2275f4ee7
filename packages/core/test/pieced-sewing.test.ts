import fc from 'fast-check';
import {
  chosenSewing,
  computeQuilt,
  type GuideStep,
  piecedKind,
  PIECED_KINDS,
  type Plan,
} from '../src/index.ts';
import { sewingOf, pressingOf } from '../src/sewing/sewing.ts';
import { workLeft } from '../src/schedule/work-left.ts';
import { seamWords } from '../src/sewing/words.ts';
import { anyPieced, piecedAt, piecedPlan } from './support/pieced.ts';
import { borderOf } from './support/plans.ts';
import { replayFaults } from './support/sewing-replay.ts';

const pairOf = ({ x, y }: { readonly x: number; readonly y: number }) => [x, y] as const;
const guideFor = (plan: Plan) => chosenSewing(plan, computeQuilt(plan), null).guide;
const stepFor = (plan: Plan, which: string): GuideStep => {
  const { id } = plan.borders[piecedAt(plan)]!;
  return guideFor(plan).find((step) => step.id === `border-${id}-${which}`)!;
};

describe('sewing a pieced border (rule PB-5)', () => {
  test('any border, every way of sewing the centre, again with an independent library: one top, each seam whole', () => {
    fc.assert(
      fc.property(anyPieced, (plan) => {
        const { layout } = computeQuilt(plan);
        const sewing = sewingOf(plan, layout);
        expect(sewing.hindered).toBeNull();
        const way = sewing.ways[0]!;
        const pieces = layout.pieces.map(({ id, outline }) => ({ id, outline: outline.map(pairOf) }));
        const seams = way.seams.map((seam) => ({
          a: sewing.top.pieces[seam.a]!.id,
          b: sewing.top.pieces[seam.b]!.id,
          line: seam.line.map(pairOf),
          press: 'open',
          mitre: seam.mitre,
        }));
        expect(replayFaults(pieces, seams)).toEqual([]);
        if (!seams.some(({ mitre }) => mitre)) expect(seams).toHaveLength(pieces.length - 1);
      }),
      { numRuns: 12 },
    );
  });

  test('in order: units, strips of them, corners, sides, top and bottom; the next border after it', () => {
    const ids = (plan: Plan) => guideFor(plan).flatMap(({ id }) => /^border-[^-]+-(.+)$/.exec(id)?.[1] ?? []);
    const within = ['joined', 'squares', 'sides', 'ends'];
    const expected: Record<string, string[]> = {
      'half-square': ['units'],
      sawtooth: ['units'],
      'quarter-square': ['halves', 'units'],
      geese: ['wings', 'units'],
      checkers: ['units'],
      keys: [],
    };
    for (const kind of PIECED_KINDS) {
      const plan = piecedPlan(kind, [24, 36], 3);
      expect([kind, ids({ ...plan, borders: [...plan.borders, borderOf(2, 'sash')] })]).toEqual([
        kind,
        [...expected[kind]!, ...within, 'sides', 'ends'],
      ]);
    }
  });

  /** Every number of squares or strips in a text, by what it counts. */
  const counted = (text: string) =>
    [...text.matchAll(/(\d+) (?:large )?(square|strip|pair|set)s?/g)].map(([, n]) => Number(n));
  test('as many squares are taken up as are on the cutting list', () => {
    fc.assert(
      fc.property(
        anyPieced.filter((plan) => !['strips'].includes(plan.borders[piecedAt(plan)]!.pieced!.made)),
        (plan) => {
          const { kind, made } = plan.borders[piecedAt(plan)]!.pieced!;
          if (
            kind === 'checkers' ||
            kind === 'keys' ||
            (kind !== 'half-square' && kind !== 'sawtooth' && made === 'one')
          )
            return;
          const first = piecedKind(kind).seams(plan.borders[piecedAt(plan)]!.pieced!)[0]!.id;
          const line = computeQuilt(plan).pieces.find(({ parts }) =>
            parts.some((part) => part.endsWith('-first')),
          )!;
          expect([kind, made, counted(stepFor(plan, first).pick)[0]]).toEqual([
            kind,
            made,
            line.squares?.count.value ?? line.count.value,
          ]);
        },
      ),
      { numRuns: 30 },
    );
  });
  // By the pencil: 9 × 2 rows... keys 24 × 36 at 4": 40 pairs, 8 of a set, 5 sets, crosscut at 4 ½.
  test('keys and checkers: sets, the cut, and what comes of them', () => {
    expect(stepFor(piecedPlan('keys', [24, 36], 4), 'joined').does.slice(0, 3)).toEqual([
      'Sew 5 pairs of strips, Border to Accent, at 1/4″; press toward the darker. Square one end.',
      'Crosscut every 4 1/2″: 40 pairs of keys.',
      'Lay them out round the quilt in their order: 16 each to top and bottom, 24 each to the sides.',
    ]);
    expect(stepFor(piecedPlan('keys', [25.5, 36], 4), 'joined').does[1]).toBe(
      'Crosscut every 4 1/2″: 42 pairs of keys; where a side has an odd number, one key of its last pair is taken off.',
    );
    const three = piecedPlan('checkers', [24, 36], 6, { rows: 3, corner: 'unit' });
    expect(stepFor(three, 'units').does).toEqual([
      'Sew 6 sets of 3 strips, cloths in turn, at 1/4″: 3 sets with Border outside, 3 sets with Accent.',
      'Press every seam toward the darker, the whole length, without pulling. Square one end.',
      'Crosscut every 2 1/2″: 72 columns.',
    ]);
  });

  test.each([
    ['half-square', 'two', /line from corner to corner.*both sides.*two units/s],
    ['half-square', 'four', /sew all round.*both ways.*four units/s],
    ['half-square', 'eight', /both diagonals.*straight across.*eight units/s],
    ['geese', 'four', /corner that is left.*four geese/s],
    ['quarter-square', 'two', /line from corner to corner across the seam.*two units/s],
  ] as const)('%s, %s at a time, is told so, and trimmed to what it should measure', (kind, made, told) => {
    const step = stepFor(piecedPlan(kind, [24, 36], 3, { made }), 'units');
    expect(step.does.join(' ')).toMatch(told);
    const along = kind === 'geese' ? 2 : 3.5;
    const [size] = step.measures;
    expect([size!.width, size!.height]).toEqual([along, 3.5]);
    expect(step.does.join(' ')).toContain(`Trim each to ${along === 2 ? '2 × 3 1/2' : '3 1/2 × 3 1/2'}″`);
  });

  test('what units come to is told of the strip, not what it is drawn to', () => {
    // 25 and 38 inside: 24 and 36 of units, and half an inch.
    const step = stepFor(piecedPlan('half-square', [25, 38], 3), 'joined');
    expect(step.measures.map(({ what, count, width, height }) => [what, count, width, height])).toEqual([
      ['Each strip for top and bottom', 2, 24.5, 3.5],
      ['Each strip for the sides', 2, 36.5, 3.5],
    ]);
    expect(step.wrong.slice(0, 2)).toEqual([
      'At top and bottom the units come to 24″ finished, 1″ shorter than the side: a spacer inside it makes them fit, or let out a thread at every seam.',
      'At the sides the units come to 36″ finished, 2″ shorter than the side: a spacer inside it makes them fit, or let out a thread at every seam.',
    ]);
  });

  test('pressed toward a goose’s wings, the darker half of a square, and away from the patches', () => {
    const toward = (plan: Plan, step: string) => {
      const quilt = computeQuilt(plan);
      const sewing = sewingOf(plan, quilt.layout);
      const way = sewing.ways[0]!;
      const { press } = pressingOf(plan, quilt.layout, sewing, way);
      const own = way.steps.find(({ id }) => id.endsWith(`-${step}`))!;
      return [
        ...new Set(
          own.seams.map((number) => {
            const one = way.seams[number]!.beside.find(({ side }) => side === press[number])!;
            return sewing.top.pieces[one.piece]!.part.replace(/^border-[^-]+-/, '');
          }),
        ),
      ];
    };
    // The start's border is dark, its accent light.
    expect(toward(piecedPlan('geese', [24, 36], 4), 'wings')).toEqual(['second']);
    expect(toward(piecedPlan('geese', [24, 36], 4), 'units')).toEqual(['second']);
    expect(toward(piecedPlan('half-square', [24, 36], 3), 'units')).toEqual(['first']);
    expect(toward(piecedPlan('half-square', [24, 36], 3), 'squares')).toEqual(['corner']);
    expect(toward(piecedPlan('half-square', [24, 36], 3), 'sides')).toEqual(['block']);
  });

  test('every patch, unit and strip has a name of its own', () => {
    const plan = piecedPlan('quarter-square', [6, 9], 3, { corner: 'unit' });
    const quilt = computeQuilt(plan);
    const sewing = sewingOf(plan, quilt.layout);
    const way = sewing.ways[0]!;
    const words = seamWords(sewing, way);
    const said = (step: string) =>
      way.steps
        .find(({ id }) => id.endsWith(`-${step}`))!
        .seams.map((number) => words.seam(way.seams[number]!));
    expect(said('halves')[0]).toBe(
      'A patch of unit 1 of the left border strip onto a patch of unit 1 of the left border strip',
    );
    expect(said('units')[0]).toBe(
      'Part of unit 1 of the left border strip onto part of unit 1 of the left border strip',
    );
    expect(said('joined')).toContain(
      'Unit 3 of the left border strip onto units 1 to 2 of the left border strip',
    );
    expect(said('squares')[0]).toBe('The top left border corner square onto the top border strip');
    expect(said('ends')[0]).toMatch(/^The top border strip with its corner squares onto /);
  });
});

// By the pencil, as in the borders' own checks: 72 columns of three rows are six sets of three strips, twelve long seams;
// 80 keys come of five pairs of strips, and 76 joins less the 40 that the pairs have already.
test('seams that are run: of strips sewn together the long ones', () => {
  const checkers = piecedPlan('checkers', [24, 36], 6, { rows: 3, corner: 'unit' });
  expect([stepFor(checkers, 'units').run, stepFor(checkers, 'units').seams.length]).toEqual([12, 144]);
  const keys = stepFor(piecedPlan('keys', [24, 36], 4), 'joined');
  expect([keys.seams.length, keys.run]).toEqual([76, 5 + 76 - 40]);
  expect(stepFor(piecedPlan('half-square', [24, 36], 3), 'units').run).toBeUndefined();
  const left = (plan: Plan) => workLeft(plan, [], 'q').left.seams;
  const one = (plan: Plan): Plan => ({
    ...plan,
    borders: plan.borders.map((b) => ({ ...b, pieced: b.pieced && { ...b.pieced, made: 'one' as const } })),
  });
  expect(left(one(checkers)) - left(checkers)).toBe(144 - 12);
});
