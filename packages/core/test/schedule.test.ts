import fc from 'fast-check';
import {
  dateOf,
  dayOf,
  duesIn,
  forecast,
  type ForecastTask,
  type Hours,
  hoursIn,
  latest,
  lookBack,
  MAKER,
  pacesFrom,
  type QuiltJobs,
  randomFrom,
  startPlan,
  triangular,
  walk,
  weekdayOf,
  workLeft,
} from '../src/index.ts';
import { LIKELY, withMore } from '../src/schedule/enough.ts';
import type { Job } from '../src/schedule/jobs.ts';
import { entriesOf } from './support/entries.ts';

const hours = (...minutes: number[]): Hours => ({
  week: Array.from({ length: 7 }, (_, i) => ({ minutes: minutes[i] ?? 0, from: '19:30' })),
  away: [],
});
const work = (id: string, amount: number, after: string[] = []): Job => ({
  id,
  name: id,
  what: 'work',
  work: 'sew',
  amount,
  after,
});
const wait = (id: string, days: number, after: string[] = []): Job => ({
  id,
  name: id,
  what: 'wait',
  days: [days, days, days],
  until: null,
  after,
});
const quiltOf = (jobs: Job[], due: string | null = null, quilt = 'q1'): QuiltJobs => ({
  quilt,
  title: quilt,
  due,
  jobs,
});
/** Everything as long as it says: an amount is its minutes. */
const exact = (quilts: readonly QuiltJobs[]) =>
  new Map(
    quilts.flatMap(({ quilt, jobs }) =>
      jobs.map((job): [string, number] => [
        `${quilt}/${job.id}`,
        job.what === 'work' ? job.amount : job.what === 'wait' ? job.days[1] : 0,
      ]),
    ),
  );
const doneOn = (quilts: QuiltJobs[], of: Hours, from: string, key: string) =>
  dateOf(walk(quilts, of, dayOf(from), exact(quilts)).done.get(key)!);

/** No uncertainty left: a pace that many sittings agreed on. */
const sure = () => {
  const usual = pacesFrom([], () => null);
  const one = { ...usual.sew, middle: 0, minutes: 1, spread: 1e-9, freedom: 1000, weight: 1e9 };
  return Object.fromEntries(Object.keys(usual).map((key) => [key, one])) as unknown as ForecastTask['paces'];
};

describe('days', () => {
  test('weekdays of known dates (from a calendar)', () => {
    // 1 January 2000 was a Saturday, 29 February 2024 a Thursday, 26 November 2026 a Thursday.
    expect(['2000-01-01', '2024-02-29', '2026-11-26'].map((d) => weekdayOf(dayOf(d)))).toEqual([5, 3, 3]);
    expect(dateOf(dayOf('2026-12-31') + 1)).toBe('2027-01-01');
  });
});

describe('the days walked', () => {
  // Thursday 26 November 2026.
  const from = '2026-11-26';
  test('ten hours at two on Mondays and Wednesdays: the fifth sitting, worked with a calendar', () => {
    // Mon 30, Wed 2, Mon 7, Wed 9, Mon 14 December.
    expect(doneOn([quiltOf([work('sew', 600)])], hours(120, 0, 120), from, 'q1/sew')).toBe('2026-12-14');
  });
  test('a wait passes whether anybody sews or not; work after it begins when it is over', () => {
    const jobs = [work('cut', 60), wait('post', 5, ['cut']), work('bind', 60, ['post'])];
    // Thursday cut; five days: Tuesday 1 December; and there is an hour every day.
    expect(doneOn([quiltOf(jobs)], hours(60, 60, 60, 60, 60, 60, 60), from, 'q1/bind')).toBe('2026-12-01');
  });
  test('a place that is kept is used; one that is missed costs another', () => {
    const slot: Job = {
      id: 'arm',
      name: 'arm',
      what: 'slot',
      starts: '2026-11-30',
      ready: '2026-12-04',
      again: [20, 20, 20],
      after: ['top'],
    };
    const lengths = (minutes: number) =>
      new Map([
        ['q1/top', minutes],
        ['q1/arm', 20],
      ]);
    const ready = (minutes: number) =>
      dateOf(
        walk(
          [quiltOf([work('top', minutes), slot])],
          hours(60, 60, 60, 60, 60, 60, 60),
          dayOf(from),
          lengths(minutes),
        ).done.get('q1/arm')!,
      );
    // Five evenings from Thursday: Monday the 30th, in time. Six: Tuesday, and twenty days on.
    expect(ready(300)).toBe('2026-12-04');
    expect(ready(360)).toBe('2026-12-21');
  });
  test('two quilts share one maker: the one that is due first goes first, the other takes what it cannot use', () => {
    const first = quiltOf([work('a', 60), wait('w', 3, ['a']), work('b', 60, ['w'])], '2026-12-05', 'first');
    const second = quiltOf([work('c', 120)], '2026-12-24', 'second');
    const daily = hours(60, 60, 60, 60, 60, 60, 60);
    const { done } = walk([first, second], daily, dayOf(from), exact([first, second]));
    expect(['first/a', 'first/b', 'second/c'].map((key) => dateOf(done.get(key)!))).toEqual([
      '2026-11-26',
      '2026-11-29',
      '2026-11-28',
    ]);
  });
  test('days away have no minutes; no minute is spent twice, and none that is not there', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 200 }), { minLength: 7, maxLength: 7 }),
        fc.array(fc.integer({ min: 1, max: 900 }), { minLength: 1, maxLength: 5 }),
        (week, amounts) => {
          const of: Hours = { ...hours(...week), away: [{ from: '2026-12-01', to: '2026-12-06' }] };
          const quilts = amounts.map((amount, i) => quiltOf([work('x', amount)], null, `q${i}`));
          const { spent, done } = walk(quilts, of, dayOf(from), exact(quilts));
          const perDay = new Map<number, number>();
          for (const { day, minutes } of spent) perDay.set(day, (perDay.get(day) ?? 0) + minutes);
          for (const [day, minutes] of perDay) {
            expect(minutes).toBeLessThanOrEqual(week[weekdayOf(day)]! + 1e-6);
            expect(day < dayOf('2026-12-01') || day > dayOf('2026-12-06')).toBe(true);
          }
          amounts.forEach((amount, i) => {
            if (!done.has(`q${i}/x`)) return;
            const own = spent
              .filter(({ quilt }) => quilt === `q${i}`)
              .reduce((sum, { minutes }) => sum + minutes, 0);
            expect(own).toBeCloseTo(amount);
          });
        },
      ),
    );
  });
  test('backwards and forwards agree: begun no later than it must, it is ready in time; a day later it is not', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 30, max: 600 }), { minLength: 1, maxLength: 4 }), (amounts) => {
        const jobs = amounts.map((amount, i) => work(`j${i}`, amount, i === 0 ? [] : [`j${i - 1}`]));
        const quilt = quiltOf(jobs, '2027-03-31');
        const daily = hours(60, 60, 60, 60, 60, 60, 60);
        const lengths = exact([quilt]);
        const by = latest(quilt, daily, lengths, new Map());
        const total = amounts.reduce((a, b) => a + b, 0);
        const begin = dayOf('2027-03-31') - Math.ceil(total / 60) + 1;
        const end = (start: number) =>
          walk([quilt], daily, start, lengths).done.get(`q1/j${amounts.length - 1}`)!;
        expect(end(begin)).toBeLessThanOrEqual(dayOf('2027-03-31'));
        expect(end(begin + 1)).toBeGreaterThan(dayOf('2027-03-31'));
        // Begun on that day, no job is later than it may be.
        const { done } = walk([quilt], daily, begin, lengths);
        for (const { id } of jobs) expect(done.get(`q1/${id}`)!).toBeLessThanOrEqual(by.get(id)!);
      }),
    );
  });
});

describe('a forecast', () => {
  const today = '2026-11-26';
  const task = (jobs: Job[], due: string | null, more: Partial<ForecastTask> = {}): ForecastTask => ({
    quilts: [quiltOf(jobs, due)],
    quilt: 'q1',
    hours: hours(60, 60, 60, 60, 60, 60, 60),
    paces: pacesFrom([], () => null),
    today,
    runs: 600,
    ...more,
  });
  test('with nothing uncertain it is certain: in time, or not', () => {
    const jobs = [work('sew', 600)];
    const paces = sure();
    const { chance, ready, minutes } = forecast(task(jobs, '2026-12-09', { paces }), randomFrom(1));
    // Ten evenings from the 26th on, give or take an evening for what differs from stretch to stretch.
    expect(chance).toBeGreaterThan(0.99);
    expect(ready[1]! >= '2026-12-04' && ready[1]! <= '2026-12-07').toBe(true);
    expect(minutes[1]).toBeGreaterThan(560);
    expect(minutes[1]).toBeLessThan(640);
    expect(forecast(task(jobs, '2026-11-30', { paces }), randomFrom(1)).chance).toBe(0);
  });
  test('against an independent telling: a normal law of the logarithm, counted by itself', () => {
    const jobs = [work('sew', 500)];
    const paces = sure();
    const own = { ...paces, sew: { ...paces.sew, spread: 0.4, weight: 1, freedom: 100_000 } };
    const said = forecast(task(jobs, '2026-12-05', { paces: own, runs: 4000 }), randomFrom(11));
    // Ten evenings of an hour, up to the 5th: 600 minutes. ln(600 / 500) over √(0.4² + 0.12²), by the normal curve.
    const z = Math.log(600 / 500) / Math.hypot(0.4, 0.12);
    const erf = (x: number) => {
      // Abramowitz and Stegun 7.1.26.
      const t = 1 / (1 + 0.3275911 * x);
      return (
        1 -
        ((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592) *
          t *
          Math.exp(-x * x)
      );
    };
    expect(said.chance!).toBeCloseTo(0.5 * (1 + erf(z / Math.SQRT2)), 1);
    expect(Math.abs(said.chance! - 0.5 * (1 + erf(z / Math.SQRT2)))).toBeLessThan(0.03);
  });
  test('more hours, a later day, less work: never less likely', () => {
    const chance = (amount: number, due: string, minutes: number) =>
      forecast(
        task([work('sew', amount)], due, { hours: hours(...Array<number>(7).fill(minutes)) }),
        randomFrom(5),
      ).chance!;
    expect(chance(300, '2026-12-10', 60)).toBeGreaterThan(chance(600, '2026-12-10', 60));
    expect(chance(600, '2026-12-24', 60)).toBeGreaterThan(chance(600, '2026-12-10', 60));
    expect(chance(600, '2026-12-10', 90)).toBeGreaterThan(chance(600, '2026-12-10', 60));
  });
  test('a week that falls out costs; what must be done by when lies in order; a wait is what to see to first', () => {
    const jobs = [wait('shop', 6), work('cut', 40), work('sew', 300, ['shop', 'cut'])];
    const said = forecast(
      task(jobs, '2026-12-17', { hours: hours(45, 45, 45, 45, 45, 45, 45) }),
      randomFrom(3),
    );
    for (const { chance } of said.weeks) expect(chance).toBeLessThanOrEqual(said.chance! + 0.05);
    expect(Math.min(...said.weeks.map(({ chance }) => chance))).toBeLessThan(said.chance!);
    const by = Object.fromEntries(said.milestones.map(({ job, by: day }) => [job, day!]));
    expect(by['cut']! <= by['sew']! && by['shop']! <= by['sew']!).toBe(true);
    expect(by['sew']).toBe('2026-12-17');
    expect(said.first[0]!.job).toBe('shop');
    expect(said.burn[0]!.left[1]).toBeCloseTo(said.minutes[1], 5);
    expect(said.burn.at(-1)!.left[2]).toBeLessThanOrEqual(said.burn[0]!.left[2]);
  });
  test('what would make a late quilt ready: the quarter of an hour that is enough, and one less is not', () => {
    // Nothing uncertain: four weeks of Mondays, ten hours of work; 150 min each are just enough (600 ÷ 4).
    const sure = Object.fromEntries(
      Object.entries(pacesFrom([], () => null)).map(([work, pace]) => [
        work,
        { ...pace, middle: 0, spread: 0, minutes: 1, weight: 1e9 },
      ]),
    ) as unknown as ForecastTask['paces'];
    const late = (due: string | null, minutes: number, jobs = [work('sew', 560)]): ForecastTask => ({
      quilts: [quiltOf(jobs, due)],
      ...{ quilt: 'q1', hours: hours(minutes), paces: sure, today: '2026-11-30', runs: 300 },
    });
    const { enough, chance } = forecast(late('2026-12-27', 60), randomFrom(3));
    expect(chance).toBeLessThan(0.05);
    // The work differs by an eighth from telling to telling: four in five take up to 560 × e^(0.84 × 0.12) = 619 min.
    expect(enough!.minutes + 60).toBeGreaterThanOrEqual(150);
    expect(enough!.minutes + 60).toBeLessThanOrEqual(165);
    expect(enough!.chance).toBeGreaterThanOrEqual(LIKELY);
    const less = forecast(late('2026-12-27', 60 + enough!.minutes - 15), randomFrom(3));
    expect(less.chance).toBeLessThan(LIKELY + 0.05);
    expect(forecast(late('2026-12-27', 240), randomFrom(3)).enough).toBeNull();
    expect(forecast(late(null, 60), randomFrom(3)).enough).toBeNull();
    // A wait that is longer than there is: no minute helps.
    const waits = late('2026-12-27', 240, [wait('quilting', 40)]);
    expect(forecast(waits, randomFrom(3))).toMatchObject({ chance: 0, enough: null });
  });
  test('more minutes a week go to the days one sews; to all where there is none', () => {
    expect(withMore(hours(60, 0, 120), 30).week.map((day) => day.minutes)).toEqual([75, 0, 135, 0, 0, 0, 0]);
    expect(withMore(hours(), 70).week.map((day) => day.minutes)).toEqual([10, 10, 10, 10, 10, 10, 10]);
  });
  test('no day to be ready by: no chance is told, and the days still are', () => {
    const said = forecast(task([work('sew', 300)], null), randomFrom(2));
    expect(said.chance).toBeNull();
    expect(said.weeks).toEqual([]);
    expect(said.ready[0]! <= said.ready[2]!).toBe(true);
  });
  test('no hours at all: past every horizon, and said so', () => {
    expect(
      forecast(task([work('sew', 30)], '2026-12-24', { hours: hours(), runs: 5 }), randomFrom(2)),
    ).toMatchObject({ chance: 0, ready: [null, null, null] });
  });
  test('the triangular law: its mean is a third of the three (Johnson, 1997)', () => {
    const random = randomFrom(9);
    const draws = Array.from({ length: 20_000 }, () => triangular([1, 4, 9], random()));
    expect(draws.reduce((a, b) => a + b, 0) / draws.length).toBeCloseTo((1 + 4 + 9) / 3, 1);
    expect(Math.min(...draws)).toBeGreaterThanOrEqual(1);
    expect(Math.max(...draws)).toBeLessThanOrEqual(9);
  });
});

describe('what is left of a quilt', () => {
  const plan = startPlan('sashed-sampler');
  const e = entriesOf();
  test('all of it to begin with; sewn seams and finished steps are not done again', () => {
    const fresh = workLeft(plan, [], 'q1');
    const ids = fresh.jobs.jobs.map(({ id }) => id);
    expect(ids).toEqual(expect.arrayContaining(['shop', 'cut', 'sew', 'press', 'baste', 'quilt', 'bind']));
    expect(fresh.left.seams).toBeGreaterThan(10);
    // Feet round the quilt: twice width and height.
    expect(fresh.round).toBeGreaterThan(5);
    const log = [
      e('2026-11-26T09:00:00Z', 'sewing-done', { what: 'layer', done: true }),
      e('2026-11-26T09:01:00Z', 'sewing-done', { what: 'quilt', done: true }),
    ];
    const later = workLeft(plan, log, 'q1').jobs.jobs.map(({ id }) => id);
    expect(later).not.toContain('baste');
    expect(later).not.toContain('quilt');
    expect(later).toContain('bind');
  });
  test('each job comes after one that is there', () => {
    const { jobs } = workLeft(plan, [], 'q1').jobs;
    jobs.forEach(({ after }, i) => {
      for (const id of after) expect(jobs.slice(0, i).map((job) => job.id)).toContain(id);
    });
  });
  test('a gift is washed and posted; a long-arm that is booked has its place', () => {
    const log = [
      e('2026-11-26T09:00:00Z', 'due-said', { date: '2026-12-24', wash: true, postDays: 3 }),
      e('2026-11-26T09:01:00Z', 'booked', {
        number: 'LA-1',
        unit: 'in',
        width: 60,
        height: 70,
        price: 90,
        starts: '2026-12-01',
        ready: '2026-12-08',
      }),
    ];
    const { jobs } = workLeft({ ...plan, quilting: { ...plan.quilting, by: 'long-arm' } }, log, 'q1');
    expect(jobs.due).toBe('2026-12-24');
    expect(jobs.jobs.map(({ id, what }) => `${id} ${what}`)).toEqual(
      expect.arrayContaining(['long-arm slot', 'wash wait', 'post wait']),
    );
    expect(duesIn(log).get('q1')).toMatchObject({ date: '2026-12-24' });
  });
  test('looking back: work goes down as it is done, and up where it is undone', () => {
    const paces = pacesFrom([], () => null);
    const left = workLeft(plan, [], 'q1');
    const seams = [1, 2, 3].map((i) => ({ seam: `a | ${i}`, length: 5 }));
    const log = [
      e('2026-11-20T20:00:00Z', 'seams-sewn', { unit: 'in', seams }),
      e('2026-11-21T20:00:00Z', 'seams-ripped', { seams: [seams[0]!.seam] }),
    ];
    const days = lookBack(log, 'q1', left, paces, (at) => at.slice(0, 10));
    // Told where it is an hour before midnight, the evening's seams are the evening's.
    const west = lookBack(log, 'q1', left, paces, (at) => dateOf(dayOf(at.slice(0, 10)) - 1));
    expect(west.map(({ date }) => dayOf(date) + 1)).toEqual(days.map(({ date }) => dayOf(date)));
    expect(days.map(({ date }) => date)).toEqual(['2026-11-19', '2026-11-20', '2026-11-21']);
    const [before, sewn, ripped] = days.map(({ minutes }) => minutes) as [number, number, number];
    expect(before - sewn).toBeCloseTo(3 * paces.sew.minutes);
    expect(ripped - sewn).toBeCloseTo(paces.sew.minutes);
  });
  test('hours are what the maker said last', () => {
    const m = entriesOf(MAKER);
    const log = [
      m('2026-11-20T20:00:00Z', 'hours-said', hours(30)),
      m('2026-11-21T20:00:00Z', 'hours-said', hours(45)),
    ];
    expect(hoursIn([...log].reverse()).week[0]!.minutes).toBe(45);
    expect(hoursIn([]).week).toHaveLength(7);
  });
});
