import fc from 'fast-check';
import {
  computeQuilt,
  giversOf,
  type LogEntry,
  type PileBlock,
  type Plan,
  recordCard,
  recordSaidIn,
  rowsByTable,
  startPlan,
} from '../src/index.ts';
import { giversSaid } from '../src/record/card.ts';
import { entriesOf } from './support/entries.ts';

const block = (id: string, maker: string, width = 12.5): PileBlock => ({
  ...{ id, name: `Block ${id}`, maker, width, height: 12.5 },
});
const plan: Plan = {
  ...startPlan('sashed-sampler'),
  pile: [
    block('a', 'Ines'),
    block('b', ' ines '),
    block('c', 'Marcus', 12.25),
    { ...block('d', ''), maker: undefined },
  ] as Plan['pile'],
};

describe('the group', () => {
  const e = entriesOf();
  const log: LogEntry[] = [
    e('2026-10-01T09:00:00Z', 'blocks-asked', { who: 'Ines', count: 3, by: '2026-11-01' }),
    e('2026-10-01T09:01:00Z', 'blocks-asked', { who: 'Maud', count: 1, by: null }),
    e('2026-10-02T09:01:00Z', 'maker-thanked', { who: 'MARCUS', thanked: true }),
  ];
  test('who gave what, what is still to come, who is thanked; a name is one however it is written', () => {
    const givers = giversOf(plan, log, 'q1');
    expect(
      givers.map(({ who, asked, came, missing, thanked }) => [who, asked, came.length, missing, thanked]),
    ).toEqual([
      ['Ines', 3, 2, 1, false],
      ['Marcus', 0, 1, 0, true],
      ['Maud', 1, 0, 1, false],
    ]);
    expect(givers[1]!.came[0]!.verdict.kind).toBe('small');
  });
  test('asked no more; another quilt’s asking is its own; any order gives one list', () => {
    const later = e('2026-10-05T09:00:00Z', 'blocks-asked', { who: 'Maud', count: 0, by: null });
    expect(giversOf(plan, [later, ...log], 'q1').map(({ who }) => who)).toEqual(['Ines', 'Marcus']);
    expect(giversOf({ ...plan, pile: [] }, log, 'q2')).toEqual([]);
    expect(giversOf(plan, [...log, ...log].reverse(), 'q1')).toEqual(giversOf(plan, log, 'q1'));
  });
  test('rows among tables: every row once, in order, none with more than one row more', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 1, max: 30 }), (rows, tables) => {
        const shared = rowsByTable(rows, tables);
        expect(shared.flat()).toEqual(Array.from({ length: rows }, (_, i) => i));
        const sizes = shared.map((own) => own.length);
        expect(Math.max(...sizes) - Math.min(...sizes)).toBeLessThanOrEqual(1);
      }),
    );
  });
});

describe('the record card', () => {
  const e = entriesOf();
  const log: LogEntry[] = [
    e('2026-10-01T09:00:00Z', 'record-said', { field: 'maker', text: 'The society' }),
    e('2026-10-03T09:00:00Z', 'record-said', { field: 'maker', text: 'The allotment society' }),
    e('2026-10-04T09:00:00Z', 'time-noted', { work: 'sew', minutes: 90, amount: null }, 'time-00001'),
    e('2026-10-05T09:00:00Z', 'time-noted', { work: 'cut', minutes: 30, amount: null }),
    e('2026-10-06T09:00:00Z', 'time-struck', { entry: 'time-00001', struck: true }),
  ];
  const priced: Plan = { ...plan, fabrics: plan.fabrics.map((f) => ({ ...f, price: 12 })) };
  test('the last word, the time that counts, what the cloths came to', () => {
    const quilt = computeQuilt(priced);
    const card = recordCard(priced, quilt, log, 'q1');
    expect(card.lines).toEqual(expect.arrayContaining([{ what: 'Made by', says: 'The allotment society' }]));
    expect(card.minutes).toBe(30);
    // By another way: every cloth as it is bought, at twelve a yard.
    const yards = quilt.fabrics.reduce((sum, { buy }) => sum + buy.length.value / 36, 0);
    expect(card.cost).toBeCloseTo(12 * yards, 1);
    expect(card.made).toEqual({ from: '2026-10-01', to: '2026-10-06' });
    expect(recordSaidIn([...log].reverse(), 'q1')).toEqual(card.said);
    expect(recordCard(plan, computeQuilt(plan), [], 'q1').made).toBeNull();
  });
  test('givers on a label: named while they fit, counted where they do not', () => {
    const givers = (n: number) => Array.from({ length: n }, (_, i) => ({ who: `N${i}`, blocks: ['x'] }));
    expect(giversSaid(givers(0))).toBe('');
    expect(giversSaid(givers(1))).toBe('blocks by N0');
    expect(giversSaid(givers(3))).toBe('blocks by N0, N1 and N2');
    expect(giversSaid(givers(30))).toBe('blocks by 30 makers');
  });
});
