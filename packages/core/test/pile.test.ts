import { computeQuilt, type PileBlock, type Plan } from '../src/index.ts';
import { pileAdvice, sizeAdvice } from '../src/pile/pile.ts';
import { inchPlan } from './support/plans.ts';

const blocks = (count: number, width = 12.5, height = width): PileBlock[] =>
  Array.from({ length: count }, (_, i) => ({ id: `${width}-${i}`, name: `Block ${i + 1}`, width, height }));
/** 12" blocks two across and two down: four places. */
const plan = (pile: PileBlock[], change: Partial<Plan> = {}) =>
  inchPlan({ block: { width: 12, height: 12 }, grid: { across: 2, down: 2 }, pile, ...change });
const pileOf = (pile: PileBlock[], change: Partial<Plan> = {}) => computeQuilt(plan(pile, change)).pile;

// Cut size: finished and two seams, both ways (rule BL-1, common practice: a 12" block is cut 12 1/2").
test('blocks are meant to be their finished size and two seams, each way', () => {
  expect(pileOf([], { block: { width: 8, height: 11 } }).meant).toEqual({ width: 8.5, height: 11.5 });
  expect(pileOf([], { block: { width: 8, height: 11 }, seam: 0.375 }).meant).toEqual({
    width: 8.75,
    height: 11.75,
  });
});

describe('the count in words', () => {
  test('none entered, or as many as places: nothing to say', () => {
    expect(pileOf([]).missing).toBe(0);
    expect(pileAdvice(pileOf([]))).toBeNull();
    expect(pileAdvice(pileOf(blocks(4)))).toBeNull();
  });
  test('one too few', () => {
    expect(pileOf(blocks(3)).missing).toBe(1);
    expect(pileAdvice(pileOf(blocks(3)))).toBe(
      'This grid takes 4 blocks and the pile has 3: 1 more to make, or choose a smaller grid.',
    );
  });
  test('some spare: the first three by name', () => {
    expect(pileOf(blocks(5)).missing).toBe(0);
    expect(pileAdvice(pileOf(blocks(5)))).toBe('1 spare: Block 5. It does not fit this grid.');
    expect(pileAdvice(pileOf(blocks(7)))).toBe(
      '3 spare: Block 5, Block 6, Block 7. They do not fit this grid.',
    );
    expect(pileAdvice(pileOf(blocks(9)))).toBe(
      '5 spare: Block 5, Block 6, Block 7 and 2 more. They do not fit this grid.',
    );
  });
});

describe('the sizes in words', () => {
  const said = (pile: PileBlock[]) => sizeAdvice(pileOf(pile), 'in');
  test('all right: nothing to say', () => expect(said(blocks(4))).toBeNull());
  test('too large, the first three by name', () => {
    expect(said([...blocks(3), ...blocks(1, 12.75)])).toBe(
      '1 too large to ease in: Block 1 (12 3/4″ × 12 3/4″). Trim equally off opposite sides.',
    );
    expect(said([...blocks(9), ...blocks(4, 12.75)])).toMatch(
      /^4 too large to ease in: Block 1 \([^()]*\), Block 2 \([^()]*\), Block 3 \([^()]*\) and 1 more\. Trim/,
    );
  });
  test('one too small among many', () =>
    expect(said([...blocks(12), ...blocks(1, 12.25)])).toBe(
      '1 too small: Block 1 (12 1/4″ × 12 1/4″). Remake, or build it up with coping strips.',
    ));
  test('all of another size than the quilt is laid out for', () => {
    expect(said(blocks(4, 12.25))).toBe(
      'As measured, the blocks are best cut to 12 1/4 × 12 1/4″, and the quilt is laid out for 12 1/2 × 12 1/2″: choose in Blocks.',
    );
    expect(said(blocks(4, 12.5, 12.25))).toContain('best cut to 12 1/2 × 12 1/4″');
    expect(said(blocks(4, 12.25, 12.5))).toContain('best cut to 12 1/4 × 12 1/2″');
  });
});
