import { computeQuilt, type LogEntry, type Plan, shoppingCsv, toBuy, workLeft } from '../src/index.ts';
import { borderOf, inchPlan } from './support/plans.ts';
import { all, QUILT, Table } from './support/table.ts';

// A 12″ block, 3 × 4, sashed 1½ all round, is 42 × 55½; its cloths by the pencil of each test (common practice).
const plan = (change: Partial<Plan> = {}) => inchPlan({ borders: [borderOf(4, 'border')], ...change });
const buying = (of: Plan, log: readonly LogEntry[], cloth: string) =>
  toBuy(of, computeQuilt(of), { id: QUILT, log }).find(({ fabric }) => fabric.id === cloth)!;
const said = ({ needed, buy, settled }: ReturnType<typeof buying>) => [needed.value, buy.text, settled];

describe('what is bought follows what happened (rule BU-3)', () => {
  const at = '2026-11-27T09:00:00.000Z';
  test('with no log it is what the quilt needs', () => {
    const of = plan();
    const quilt = computeQuilt(of);
    for (const { fabric, needed, buy, cost } of quilt.fabrics)
      expect(buying(of, [], fabric.id)).toMatchObject({ needed, buy, cost, have: null, settled: null });
  });
  test('a border widened when half of it is cut: what is still to be cut, less what is left of what was bought', () => {
    // Four sides of 4½ from 40″: sides 55½, ends 50½ with diagonal joins of 4½ are six strips, 27 and ½: ⅞ yd, 31½.
    const table = new Table(plan(), 'border');
    expect(said(buying(table.plan, [], 'border'))).toEqual([27, '7/8 yd', null]);
    for (let ticked = 0; ticked < 4; ticked++) table.tick();
    expect(table.now().taken).toBe(13.5);
    expect(said(buying(table.plan, table.log, 'border'))).toEqual([0, '0 yd', 'in the house']);
    // At 5½ the four are 216 long: 7 × 40 − 6 × 5½ = 247 gets there, 6 × 40 − 5 × 5½ = 212½ does not. Seven strips are
    // 38½; 31½ − ½ − ¼ for the second squaring − 13½ = 17¼ are left, which hold three of them, 16½.
    table.plan = { ...table.plan, borders: [{ ...table.plan.borders[0]!, sides: 5, ends: 5 }] };
    const wider = buying(table.plan, table.log, 'border');
    expect(said(wider)).toEqual([22, '5/8 yd', null]);
    expect(wider).toMatchObject({ have: 31.5, inAll: 13.5 + 38.5 + 0.5 + 0.25 });
    expect(wider.needed.working).toEqual([
      'Cut off so far: 13 1/2″',
      'Still to be cut off: 38.5',
      'Of 31 1/2″ in the house 17 1/4″ are left, which hold 16 1/2″ of it',
      '38.5 − 16.5 = 22',
    ]);
    // The three strips of 4½ serve nothing that is 5½ wide, and are said to be left over.
    expect(wider.table.stripsOver).toMatchObject([
      { count: 3, name: 'Border sides, Border top and bottom', h: 4.5 },
    ]);
    // More was brought home than the list had.
    const home = { ...table.log[0]!, id: 'entry-home1', kind: 'bought' } as const;
    const bought = { ...home, body: { cloth: 'border', unit: 'in', width: 40, length: 54 } } as LogEntry;
    expect(said(buying(table.plan, [...table.log, bought], 'border'))).toEqual([0, '0 yd', 'in the house']);
  });
  test('all cut, nothing is bought; taken back, it is bought again', () => {
    const table = new Table(plan(), 'accent');
    all(table);
    expect(said(buying(table.plan, table.log, 'accent'))).toEqual([0, '0 yd', 'cut']);
    const before = said(buying(table.plan, [], 'accent'));
    while (table.record().done.size > 0) table.undo();
    expect(said(buying(table.plan, table.log, 'accent'))).toEqual(before);
  });
  test('what the stash has set aside is not bought, and is not waited for', () => {
    const of = plan({ borders: [] });
    const put = {
      ...{ id: 'piece-0001', name: 'Fern', colour: '#336644', kind: 'yardage', unit: 'in', width: 40 },
      ...{ length: 40, count: 1, direction: 'none', alike: false, washed: true, price: null, from: '' },
    };
    const stash = (kind: string, body: unknown, n: number) =>
      ({ id: `entry-st0${n}`, quilt: 'stash', at, kind, body }) as LogEntry;
    const aside = { piece: 'piece-0001', count: 1, to: 'aside', quilt: QUILT, cloth: 'sash' };
    const log = [stash('stash-put', put, 1), stash('stash-moved', aside, 2)];
    expect(said(buying(of, log, 'sash'))).toEqual([0, '0 yd', 'set aside']);
    const rows = shoppingCsv(of, toBuy(of, computeQuilt(of), { id: QUILT, log }));
    expect(rows.split('\n').find((row) => row.startsWith('Sash'))).toMatch(/^Sash,0 yd,0,0,/);
    const shopOf = (entries: readonly LogEntry[]) =>
      workLeft(of, entries, QUILT).jobs.jobs.find(({ id }) => id === 'shop')?.name;
    const cloths = computeQuilt(of).fabrics.length;
    expect([shopOf([]), shopOf(log)]).toEqual([`Buy ${cloths} cloths`, `Buy ${cloths - 1} cloths`]);
  });
  test('a tick that was taken back buys nothing', () => {
    const table = new Table(plan({ borders: [] }), 'sash');
    table.tick();
    const shopOf = () =>
      workLeft(table.plan, table.log, QUILT).jobs.jobs.find(({ id }) => id === 'shop')?.name;
    const begun = shopOf();
    table.undo();
    expect(shopOf()).not.toBe(begun);
  });
});
