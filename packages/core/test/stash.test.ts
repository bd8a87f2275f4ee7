import fc from 'fast-check';
import {
  atTable,
  computeQuilt,
  cutRecord,
  cuttingJob,
  leftoverEntries,
  type LogEntry,
  planEntry,
  readStashCsv,
  setAsideFor,
  STASH,
  stashIn,
  stepEntry,
  writeStashCsv,
} from '../src/index.ts';
import { inchPlan } from './support/plans.ts';

let clock = 0;
const entry = (kind: LogEntry['kind'], body: unknown, quilt: string = STASH): LogEntry => {
  const n = ++clock;
  const at = new Date(Date.UTC(2026, 10, 26, 9, 0, 0, n)).toISOString();
  return { id: `entry-${String(n).padStart(6, '0')}`, quilt, at, kind, body } as LogEntry;
};
const quarters = (count: number, change: object = {}) =>
  entry('stash-put', {
    id: 'quarters-of-moss',
    name: 'Moss quarters',
    colour: '#6a7f4e',
    kind: 'fat-quarter',
    unit: 'in',
    width: 21,
    length: 17.5,
    count,
    direction: 'none',
    alike: false,
    washed: true,
    price: null,
    from: 'the village hall',
    ...change,
  });
const moved = (to: 'aside' | 'back' | 'gone', count: number) =>
  entry('stash-moved', {
    piece: 'quarters-of-moss',
    count,
    to,
    quilt: to === 'gone' ? null : 'raffle',
    cloth: to === 'gone' ? null : 'sash',
  });

describe('the stash', () => {
  test('put in, set aside, given back, gone: never more than there is', () => {
    const [piece] = stashIn([quarters(6), moved('aside', 4), moved('back', 1), moved('gone', 2)], 'in');
    expect(piece).toMatchObject({ free: 1, gone: 2, aside: [{ quilt: 'raffle', cloth: 'sash', count: 3 }] });
    const [all] = stashIn([quarters(2), moved('aside', 9)], 'cm');
    expect(all).toMatchObject({ free: 0, width: 21 * 2.54, aside: [{ count: 2 }] });
    expect(stashIn([quarters(2), moved('gone', 2)], 'in')).toEqual([]);
  });
  test('in whatever order, and however often it is heard, it is the same', () => {
    const log = [
      quarters(6),
      moved('aside', 4),
      moved('gone', 1),
      moved('back', 2),
      quarters(5, { name: 'Moss' }),
    ];
    const once = JSON.stringify(stashIn(log, 'in'));
    fc.assert(
      fc.property(fc.shuffledSubarray([...log, ...log], { minLength: 10 }), (heard) => {
        expect(JSON.stringify(stashIn(heard, 'in'))).toBe(once);
      }),
      { numRuns: 30 },
    );
    expect(stashIn(log, 'in')[0]!.name).toBe('Moss');
  });

  test('what is set aside is cut before the cloth is, and is then used up', () => {
    const plan = inchPlan({});
    const log = [quarters(2), moved('aside', 2)];
    const job = cuttingJob(plan, computeQuilt(plan), 'sash');
    const record = () => cutRecord(log, 'raffle', 'sash', 'in');
    const table = (stash = setAsideFor(stashIn(log, 'in'), 'raffle', 'sash')) =>
      atTable(job, record(), { stash });
    const before = table([]).placed.needed.value;
    const first = table();
    // 31 sashes of 2 × 12 1/2": a quarter of 21 × 17 1/2" holds ten, so two hold twenty.
    expect(first.placed.needed.value).toBeLessThan(before);
    expect(first.steps[0]).toMatchObject({ kind: 'leftover', from: 'Moss quarters, from the stash' });
    const plannedAs = entry('cutting-planned', planEntry('sash', first, 'in'), 'raffle');
    log.push(plannedAs);
    for (;;) {
      const now = table();
      if (now.next === null) break;
      log.push(entry('step-cut', stepEntry('sash', now.plan.id!, now.steps[now.next]!, 'in'), 'raffle'));
    }
    expect(table().counts).toEqual([expect.objectContaining({ name: 'Sashes', cut: 31, wanted: 31 })]);
    expect(stashIn(log, 'in')).toEqual([]);
  });
});

test('what a quilt leaves over goes into the stash once, and is no longer there for that quilt', () => {
  const plan = inchPlan({});
  const job = cuttingJob(plan, computeQuilt(plan), 'sash');
  const log: LogEntry[] = [];
  const record = () => cutRecord(log, 'raffle', 'sash', 'in');
  for (let table = atTable(job, record()); table.next !== null; table = atTable(job, record())) {
    if (table.plan.id === null) log.push(entry('cutting-planned', planEntry('sash', table, 'in'), 'raffle'));
    const { id } = record().plan!;
    log.push(entry('step-cut', stepEntry('sash', id, table.steps[table.next]!, 'in'), 'raffle'));
  }
  const left = record().left;
  expect(left.length).toBeGreaterThan(0);
  const put = leftoverEntries({ id: 'raffle', title: 'Raffle quilt' }, job.fabric, record(), 'in');
  put.forEach((body, i) => log.push(entry('stash-put', { ...body, id: `left-over-${i}` })));
  expect(record().left).toEqual([]);
  const area = (pieces: readonly { w: number; h: number }[]) =>
    pieces.reduce((sum, { w, h }) => sum + w * h, 0);
  const stashed = stashIn(log, 'in').flatMap(({ width, length, count }) =>
    Array.from({ length: count }, () => ({ w: width, h: length })),
  );
  expect(area(stashed)).toBeCloseTo(area(left), 9);
  expect(stashIn(log, 'in')[0]).toMatchObject({ name: 'Sash, left over', from: 'Raffle quilt' });
});

describe('as a table', () => {
  test('written and read again it is the same, in either unit', () => {
    for (const unit of ['in', 'cm'] as const) {
      const stash = stashIn([quarters(6), moved('gone', 1)], unit);
      const read = readStashCsv(writeStashCsv(stash, unit), unit);
      expect(read.problems).toEqual([]);
      expect(read.pieces[0]).toMatchObject({
        name: 'Moss quarters',
        kind: 'fat-quarter',
        count: 5,
        washed: true,
        unit,
      });
      expect(read.pieces[0]!.width).toBeCloseTo(stash[0]!.width, 1);
    }
  });
  test('lines that cannot be read are named; a table without sizes is none', () => {
    const { pieces, problems } = readStashCsv('Name,Width,Length\nMoss,18,22\n,3,4\nFern,wide,9\n', 'in');
    expect(pieces).toMatchObject([{ name: 'Moss', width: 18, length: 22, count: 1, kind: 'piece' }]);
    expect(problems).toEqual(['Line 3: it has no name.', 'Line 4: its width or length cannot be read.']);
    expect(readStashCsv('a,b\n1,2\n', 'in').problems).toHaveLength(1);
  });
  test('a stash of a thousand lines is read, and more are said', () => {
    const lines = Array.from({ length: 1200 }, (_, i) => `Cloth ${i},18,22`);
    const { pieces, problems } = readStashCsv(['name,width,length', ...lines].join('\n'), 'in');
    expect(pieces).toHaveLength(1000);
    expect(problems[0]).toContain('the first 1000 are taken');
  });
});
