import { type Plan, progressOf, STAGES } from '../src/index.ts';
import { inchPlan } from './support/plans.ts';

const block = (i: number, change: Partial<Plan['pile'][number]> = {}): Plan['pile'][number] => ({
  id: `b${i}`,
  name: `Block ${i}`,
  width: 12.5,
  height: 12.5,
  ...change,
});
const base = inchPlan({ block: { width: 12, height: 12 }, grid: { across: 2, down: 2 } });
const pile = [1, 2, 3, 4].map((i) => block(i));
const wall = pile.map(({ id }) => ({ block: id, turn: 0 as const, locked: false }));
const three: [number, number, number] = [27, 27, 27];
const of = (change: Partial<Plan>, booked = false) => {
  const { settled, at } = progressOf({ ...base, ...change }, { booked });
  return { settled: STAGES.filter((s) => settled.has(s)), at };
};
const border = {
  id: '1',
  sides: 3,
  ends: 3,
  corners: 'sides-first',
  cut: 'crosswise',
  joins: 'diagonal',
  repeat: null,
  fabric: 'border',
  cornerFabric: 'border',
} as Plan['borders'][number];

describe('how far a quilt has come', () => {
  // Rule WK-1.
  test('nothing entered: it is being designed', () => expect(of({})).toEqual({ settled: [], at: 'setting' }));
  test('blocks are settled when each was measured and what their verdicts ask for is done', () => {
    expect(of({ pile: [...pile.slice(1), block(1, { width: null, height: null })] })).toEqual({
      settled: [],
      at: 'blocks',
    });
    expect(of({ pile: [...pile.slice(1), block(1, { width: 13 })] }).at).toBe('blocks');
    expect(of({ pile: [...pile.slice(1), block(1, { width: 13, settled: true })] })).toEqual({
      settled: ['blocks'],
      at: 'setting',
    });
    expect(of({ pile })).toEqual({ settled: ['blocks'], at: 'setting' });
  });
  test('laid out on the wall, place by place, the setting is settled; the wall itself not until it is sewn', () => {
    expect(of({ pile, wall })).toEqual({ settled: ['blocks', 'setting'], at: 'wall' });
    expect(of({ wall }).at).toBe('wall');
    expect(of({ pile, wall: [...wall.slice(1), { block: null, turn: 0, locked: false }] }).at).toBe(
      'setting',
    );
  });
  test('a measured centre was sewn, whether or not a block was ever measured; borders are settled when all are on', () => {
    expect(of({ borders: [border], measured: [{ borders: 0, width: three, height: three }] })).toEqual({
      settled: ['setting', 'wall'],
      at: 'borders',
    });
    expect(
      of({
        borders: [border],
        measured: [
          { borders: 0, width: three, height: three },
          { borders: 1, width: three, height: three },
        ],
      }).at,
    ).toBe('layers');
    expect(of({ measured: [{ borders: 0, width: three, height: three }] }).at).toBe('layers');
  });
  test('a backing as it was made, or a booking, leaves the edge to do', () => {
    expect(
      of({ backing: { ...base.backing, made: { width: 40, height: 40, diagonals: [56, 56] } } }).at,
    ).toBe('edge');
    expect(of({}, true).at).toBe('edge');
  });
});
