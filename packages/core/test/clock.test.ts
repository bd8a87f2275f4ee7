import { randomNormal } from 'd3-random';
import fc from 'fast-check';
import {
  forgottenClock,
  hodgesLehmann,
  type LogEntry,
  pacesFrom,
  randomFrom,
  sayMinutes,
  saySteps,
  type Sitting,
  sittingsIn,
  studentT90,
  timeByStep,
} from '../src/index.ts';
import { stepsOf } from '../src/clock/by-step.ts';
import { entriesOf } from './support/entries.ts';

describe('sittings', () => {
  test('from start to stop by the clock, and as long as the maker says where it was forgotten', () => {
    const e = entriesOf();
    const log = [
      e('2026-11-26T19:00:00Z', 'clock-started', { work: 'sew' }, 'start-0001'),
      e('2026-11-26T20:30:00Z', 'clock-stopped', { start: 'start-0001', minutes: null }),
      e('2026-11-27T19:00:00Z', 'clock-started', { work: 'cut' }, 'start-0002'),
      e('2026-11-28T08:00:00Z', 'clock-stopped', { start: 'start-0002', minutes: 50 }),
    ];
    const { sittings, running } = sittingsIn(log);
    expect(sittings.map(({ work, minutes }) => [work, minutes])).toEqual([
      ['sew', 90],
      ['cut', 50],
    ]);
    expect(running).toBeNull();
  });
  test('nobody sits in two places: the next clock stops the one before', () => {
    const e = entriesOf();
    const log = [
      e('2026-11-26T19:00:00Z', 'clock-started', { work: 'sew' }),
      e('2026-11-26T19:40:00Z', 'clock-started', { work: 'press' }, 'start-0002'),
    ];
    const { sittings, running } = sittingsIn(log);
    expect(sittings).toMatchObject([{ work: 'sew', minutes: 40 }]);
    expect(running).toMatchObject({ id: 'start-0002', work: 'press' });
  });
  test('what was done in it is counted: seams, without those taken out; cuts, without those taken back', () => {
    const e = entriesOf();
    const seams = (n: number) => Array.from({ length: n }, (_, i) => ({ seam: `a | ${i}`, length: 5 }));
    const step = {
      cloth: 'c',
      unit: 'in' as const,
      plan: 'plan-0001',
      step: 's',
      takes: 1,
      uses: [],
      makes: [],
      leaves: [],
    };
    const log = [
      e('2026-11-26T19:00:00Z', 'clock-started', { work: 'sew' }, 'start-0001'),
      e('2026-11-26T19:10:00Z', 'seams-sewn', { unit: 'in', seams: seams(8) }),
      e('2026-11-26T19:20:00Z', 'seams-ripped', { seams: ['a | 7'] }),
      e('2026-11-26T19:30:00Z', 'step-cut', step, 'cut-00001'),
      e('2026-11-26T19:31:00Z', 'step-cut', { ...step, step: 't' }),
      e('2026-11-26T19:32:00Z', 'step-uncut', { entries: ['cut-00001'] }),
      e('2026-11-26T20:00:00Z', 'clock-stopped', { start: 'start-0001', minutes: null }),
      e('2026-11-26T20:10:00Z', 'seams-sewn', { unit: 'in', seams: seams(3) }),
    ];
    expect(sittingsIn(log).sittings[0]!.did).toMatchObject({ seams: 7, cuts: 1 });
  });
  test('a clock left on over night is noticed, with how long the work really went on', () => {
    const e = entriesOf();
    const log = [
      e('2026-11-26T19:00:00Z', 'clock-started', { work: 'sew' }, 'start-0001'),
      e('2026-11-26T20:32:00Z', 'seams-sewn', { unit: 'in', seams: [{ seam: 'a | b', length: 5 }] }),
    ];
    const { running } = sittingsIn(log);
    expect(forgottenClock(log, running!, '2026-11-26T21:00:00Z')).toBeNull();
    expect(forgottenClock(log, running!, '2026-11-27T08:00:00Z')).toEqual({ minutes: 780, untilLast: 92 });
  });
  test('a clock left on until the next one starts counts until the last thing done; the maker can say otherwise', () => {
    const e = entriesOf();
    const log = [
      e('2026-11-26T19:00:00Z', 'clock-started', { work: 'sew' }, 'start-0001'),
      e('2026-11-26T20:32:00Z', 'seams-sewn', { unit: 'in', seams: [{ seam: 'a | b', length: 5 }] }),
      e('2026-11-27T19:00:00Z', 'clock-started', { work: 'cut' }, 'start-0002'),
    ];
    expect(sittingsIn(log).sittings).toMatchObject([{ minutes: 92, leftOn: true }]);
    const said = e('2026-11-27T19:05:00Z', 'clock-stopped', { start: 'start-0001', minutes: 120 });
    expect(sittingsIn([...log, said]).sittings).toMatchObject([{ minutes: 120, leftOn: false }]);
  });
  test('by step: the clock goes along, a step come back to is one, and a shorter sitting ends earlier', () => {
    const e = entriesOf();
    const log = [
      e('2026-11-26T19:00:00Z', 'clock-started', { work: 'sew', step: 'First row' }, 'start-0001'),
      e('2026-11-26T19:10:00Z', 'clock-moved', { start: 'start-0001', step: 'Second row' }),
      e('2026-11-26T19:30:00Z', 'clock-moved', { start: 'start-0001', step: 'First row' }),
      e('2026-11-26T19:45:00Z', 'clock-moved', { start: 'start-0001', step: 'Third row' }),
    ];
    expect(sittingsIn(log).running).toMatchObject({ id: 'start-0001', step: 'Third row' });
    const stop = (minutes: number | null) =>
      e('2026-11-26T20:00:00Z', 'clock-stopped', { start: 'start-0001', minutes });
    const stepsIf = (minutes: number | null) =>
      sittingsIn([...log, stop(minutes)]).sittings[0]!.steps.map(({ step, minutes: m }) => [step, m]);
    expect(stepsIf(null)).toEqual([
      ['First row', 25],
      ['Second row', 20],
      ['Third row', 15],
    ]);
    // It was really 35 minutes: the third row was never come to.
    expect(stepsIf(35)).toEqual([
      ['First row', 15],
      ['Second row', 20],
    ]);
    expect(saySteps([{ step: 'First row', minutes: 25 }])).toEqual(['First row']);
    expect(saySteps(sittingsIn([...log, stop(35)]).sittings[0]!.steps)).toEqual([
      'First row 15 min, Second row 20 min',
    ]);
  });
  test('by step over all sittings: what is written down counts, what is struck does not', () => {
    const e = entriesOf();
    const log = [
      e('2026-11-26T19:00:00Z', 'time-noted', { work: 'sew', minutes: 30, amount: null, step: 'First row' }),
      e('2026-11-27T19:00:00Z', 'time-noted', { work: 'sew', minutes: 50, amount: null, step: 'Sashes' }),
      e('2026-11-28T19:00:00Z', 'time-noted', { work: 'sew', minutes: 40, amount: null, step: 'First row' }),
      e('2026-11-29T19:00:00Z', 'time-noted', { work: 'sew', minutes: 99, amount: null }),
      e(
        '2026-11-30T19:00:00Z',
        'time-noted',
        { work: 'sew', minutes: 9, amount: null, step: 'Sashes' },
        'n-struck1',
      ),
      e('2026-11-30T19:01:00Z', 'time-struck', { entry: 'n-struck1', struck: true }),
    ];
    expect(timeByStep(sittingsIn(log).sittings)).toEqual([
      { step: 'First row', minutes: 70 },
      { step: 'Sashes', minutes: 50 },
    ]);
  });
  test('whatever the marks, minutes by step never sum to more than the sitting', () => {
    const marks = fc.array(
      fc.record({ after: fc.integer({ min: 0, max: 200 }), step: fc.constantFrom('a', 'b', null) }),
    );
    fc.assert(
      fc.property(marks, fc.integer({ min: 0, max: 150 }), (some, minutes) => {
        const ordered = [...some].sort((a, b) => a.after - b.after);
        const sum = stepsOf(ordered, minutes).reduce((total, one) => total + one.minutes, 0);
        const named = ordered.some(({ step }, i) => step === null || (i === 0 && ordered[0]!.after > 0));
        expect(sum).toBeLessThanOrEqual(minutes);
        if (!named && ordered[0]?.after === 0) expect(sum).toBe(minutes);
      }),
    );
  });
  test('minutes as one says them', () => {
    expect([45, 59.6, 120, 80].map(sayMinutes)).toEqual(['45 min', '1 h', '2 h', '1 h 20']);
  });
});

describe('a maker’s pace', () => {
  const sewn = (minutes: number, seams: number, i = 0): Sitting => ({
    ...{
      id: `s-${i}`,
      quilt: 'q1',
      work: 'sew',
      start: '2026-11-26T19:00:00Z',
      minutes,
      steps: [],
      typed: false,
      leftOn: false,
      struck: false,
    },
    did: { cuts: 0, seams, presses: 0, blocks: 0, said: null },
  });
  const none = () => null;
  test('with none of one’s own it is what is usual, wide, and says so', () => {
    const { sew } = pacesFrom([], none);
    expect(sew.says).toMatch(/^A usual pace/);
    // Two makers in three between ÷ and × 1.7: four in five reach at least twice as far either way.
    expect(sew.high / sew.low).toBeGreaterThan(4);
  });
  test('Student’s nine-tenths points, by the table (Abramowitz and Stegun, table 26.10)', () => {
    for (const [freedom, point] of [
      [3, 1.638],
      [5, 1.476],
      [10, 1.372],
      [30, 1.31],
      [120, 1.289],
    ] as const)
      expect(Math.abs(studentT90(freedom) - point)).toBeLessThan(0.006);
  });
  test('the middle by Hodges and Lehmann: a worked example with a pencil, and one odd evening does not move it', () => {
    // Means of pairs of 1, 2, 9: 1, 1.5, 2, 5, 5.5, 9; their middle is 3.5.
    expect(hodgesLehmann([1, 2, 9])).toBeCloseTo(3.5);
    const steady = [10, 11, 9, 10, 12, 8, 10, 11, 9];
    const mean = (list: number[]) => list.reduce((a, b) => a + b, 0) / list.length;
    const odd = [...steady, 100];
    expect(Math.abs(hodgesLehmann(odd) - hodgesLehmann(steady))).toBeLessThan(1);
    expect(Math.abs(mean(odd) - mean(steady))).toBeGreaterThan(8);
  });
  test('it comes to a pace that was planted, nearer and surer with every sitting', () => {
    const random = randomFrom(7);
    const noise = randomNormal.source(random)(0, 0.2);
    const planted = 0.5;
    const sittings = Array.from({ length: 80 }, (_, i) => sewn(40 * planted * Math.exp(noise()), 40, i));
    const after = (n: number) => pacesFrom(sittings.slice(0, n), none).sew;
    const off = (n: number) => Math.abs(Math.log(after(n).minutes / planted));
    expect(off(80)).toBeLessThan(0.06);
    expect(off(80)).toBeLessThan(off(3));
    // Log-normal with 0.2: four in five within × e^(1.28 · 0.2) = 1.29 either way.
    expect(after(80).high / after(80).minutes).toBeGreaterThan(1.2);
    expect(after(80).high / after(80).minutes).toBeLessThan(1.45);
    expect(after(3).high / after(3).low).toBeGreaterThan(after(80).high / after(80).low);
  });
  test('one evening with the telephone does not spoil thirty', () => {
    const thirty = Array.from({ length: 30 }, (_, i) => sewn(40, 40, i));
    const pace = pacesFrom([...thirty, sewn(900, 10, 99)], none).sew;
    expect(pace.minutes).toBeGreaterThan(0.9);
    expect(pace.minutes).toBeLessThan(1.15);
  });
  test('struck time does not count; a quilt’s quilting counts once it is done, as one', () => {
    const struck = { ...sewn(500, 10), struck: true };
    expect(pacesFrom([struck], none).sew.sittings).toBe(0);
    const evening = (i: number): Sitting => ({ ...sewn(60, 0, i), work: 'quilt' });
    const evenings = [evening(1), evening(2), evening(3)];
    expect(pacesFrom(evenings, none).quilt.sittings).toBe(0);
    const done = pacesFrom(evenings, () => 30).quilt;
    expect(done.sittings).toBe(1);
    expect(done.working.join(' ')).toContain('is 6 min');
  });
  // The inch is 2.54 cm by definition: a square metre is 10.764 square feet, a metre 3.281 feet; 12 × 10.764 = 129.2.
  test('told by the metre to whoever measures in centimetres, the same pace', () => {
    const evening: Sitting = { ...sewn(300, 0, 1), work: 'bind' };
    const [feet, metres] = [pacesFrom([], none), pacesFrom([], none, 'cm')];
    expect([feet.quilt.rate, metres.quilt.rate]).toEqual([
      '12 min a square foot',
      '2 h 09 min a square metre',
    ]);
    expect([feet.bind.rate, metres.bind.rate]).toEqual(['9 min a foot of edge', '30 min a metre of edge']);
    expect(metres.sew.rate).toBe(feet.sew.rate);
    expect(metres.quilt.minutes).toBe(feet.quilt.minutes);
    const own = pacesFrom([evening], () => 20, 'cm').bind;
    expect(own.working.join(' ')).toContain('the middle of 1 sitting is 49 min');
    expect(own.minutes).toBe(pacesFrom([evening], () => 20).bind.minutes);
  });
  test('two makers’ clocks of one log in any order give one pace', () => {
    const e = entriesOf();
    const log: LogEntry[] = [
      e('2026-11-26T19:00:00Z', 'time-noted', { work: 'bind', minutes: 100, amount: 20 }),
      e('2026-11-27T19:00:00Z', 'time-noted', { work: 'bind', minutes: 50, amount: 10 }),
    ];
    const of = (some: readonly LogEntry[]) => pacesFrom(sittingsIn(some).sittings, none).bind.minutes;
    expect(of([...log].reverse())).toBe(of(log));
  });
});
