import fc from 'fast-check';
import {
  begin,
  computeQuilt,
  type PileLine,
  pileLineWords,
  planProblems,
  readMeasurements,
  readPlanJson,
  readPileLine,
  type SettingKind,
  settingOf,
  wallOf,
  withSaidPile,
  SETTINGS,
  writePlanJson,
} from '../src/index.ts';
import { blockSizeOf } from '../src/beginning/blocks-of.ts';
import { gridFor } from '../src/beginning/grid-for.ts';

const read = (text: string, unit: 'in' | 'cm' = 'in'): PileLine => {
  const line = readPileLine(text, unit);
  if (!line.ok) throw new Error(line.message);
  return line.value;
};
let ids = 0;
const newId = () => `begun-${++ids}`;

describe('a pile said in one line', () => {
  // How quilters say it (common practice): a cut size is the finished one and two quarter-inch seams.
  test.each([
    ['112 of these, cut 5"', '112 blocks, cut 5″, 4 1/2″ finished'],
    ['I have 112 of these, cut 5″', '112 blocks, cut 5″, 4 1/2″ finished'],
    ['30 blocks, 10 finished', '30 blocks, cut 10 1/2″, 10″ finished'],
    ['12 12', '12 blocks, cut 12 1/2″, 12″ finished'],
    ['12 of 12½', '12 blocks, cut 12 1/2″, 12″ finished'],
    ['12 1/2" blocks, 20 of them', '20 blocks, cut 12 1/2″, 12″ finished'],
    ['two 10" blocks on point', '2 blocks, cut 10 1/2″, 10″ finished'],
    ['three dozen 9in', '36 blocks, cut 9 1/2″, 9″ finished'],
    ['48 charm squares 5"', '48 blocks, cut 5″, 4 1/2″ finished'],
    ['30 12.5 unfinished', '30 blocks, cut 12 1/2″, 12″ finished'],
    ['20 of 6 x 9', '20 blocks, cut 6 1/2 × 9 1/2″, 6 × 9″ finished'],
    [
      '12 stars 8 1/2 cut and 13 chains 8 1/2 cut',
      '12 stars, cut 8 1/2″, 8″ finished; 13 chains, cut 8 1/2″, 8″ finished',
    ],
    ['16 of 8"; 4 of 12"', '16 blocks, cut 8 1/2″, 8″ finished; 4 blocks, cut 12 1/2″, 12″ finished'],
    ['24 blocks', '24 blocks, size not said'],
  ])('%s', (text, words) => {
    expect(pileLineWords(read(text), 0.25)).toBe(words);
  });
  test('centimetres are heard in an inch quilt, with the seam of centimetres', () => {
    const line = read('30 blocks 26,5 cm cut');
    expect(line.unit).toBe('cm');
    expect(pileLineWords(line, 0.75)).toBe('30 blocks, cut 26.5 cm, 25 cm finished');
  });
  test('whether cut or finished was said is told from what is likely', () => {
    expect(read('12 of 12 1/2').groups[0]).toMatchObject({ meant: 'cut', said: false });
    expect(read('12 of 12').groups[0]).toMatchObject({ meant: 'finished', said: false });
    expect(read('12 of 12 1/2 finished').groups[0]).toMatchObject({ meant: 'finished', said: true });
  });
  test.each([
    ['', 'how many and how large'],
    ['blocks', 'does not say how many'],
    ['12 12 12', 'two ways'],
    ['12 of 0.2', 'cannot be right'],
    ['9999 of 10', 'at most|1 to'],
  ])('“%s” is not taken', (text, why) => {
    const line = readPileLine(text, 'in');
    expect(line.ok ? '' : line.message).toMatch(new RegExp(why));
  });
  test('nothing that is typed makes it throw', () => {
    fc.assert(
      fc.property(
        fc.string({ maxLength: 80 }),
        fc.constantFrom('in' as const, 'cm' as const),
        (text, unit) => {
          const line = readPileLine(text, unit);
          if (line.ok) for (const { count } of line.value.groups) expect(count).toBeGreaterThan(0);
        },
      ),
      { numRuns: 2000 },
    );
  });
});

describe('the grid so many blocks come to', () => {
  const on = (count: number, kind: SettingKind) =>
    gridFor(count, { width: 10, height: 10 }, settingOf(kind).start('in'), 0.25);
  // Counted on squared paper; common practice for the proportion of a quilt.
  test.each([
    [12, 'sashed', 3, 4],
    [30, 'sashed', 5, 6],
    [56, 'framed', 7, 8],
    [2, 'on-point', 1, 2],
    [13, 'on-point', 3, 3],
    [112, 'edge-to-edge', 10, 11],
    [1, 'edge-to-edge', 1, 1],
  ] as const)('%i blocks, %s: %i × %i', (count, kind, across, down) => {
    expect(on(count, kind)).toEqual({ across, down });
  });
  test('it never takes more blocks than there are', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 400 }),
        fc.constantFrom(...SETTINGS.map(({ kind }) => kind)),
        (count, kind) => {
          const grid = on(count, kind);
          const needed = settingOf(kind).blocksNeeded(grid, settingOf(kind).start('in')).value;
          expect(needed).toBeLessThanOrEqual(count);
        },
      ),
      { numRuns: 120 },
    );
  });
});

describe('a quilt begins with what there is', () => {
  test('blocks: the pile, its size, the setting and the borders, sound and drawn', () => {
    const pile = read('12 stars 12 finished');
    const plan = begin({ unit: 'in', have: 'blocks', pile, setting: 'sashed', borders: [2.5] }, newId);
    expect(planProblems(plan)).toEqual([]);
    expect(plan.pile).toHaveLength(12);
    expect(plan.pile[0]).toMatchObject({ name: 'Stars 1', kind: 'Stars', width: null });
    // 3 × 12 and 4 sashes of 1 1/2 is 42, and two borders of 2 1/2 is 47; 4 × 12 + 5 × 1 1/2 + 5 is 60 1/2.
    const { finished } = computeQuilt(plan);
    expect([finished.width.value, finished.height.value]).toEqual([47, 60.5]);
  });
  test('blocks of another size than most are measured as they were said', () => {
    const pile = read('16 of 8" finished; 4 of 12" finished');
    const plan = begin({ unit: 'in', have: 'blocks', pile, setting: 'edge-to-edge', borders: [] }, newId);
    expect(plan.block).toEqual({ width: 8, height: 8 });
    expect(plan.pile.slice(16).map(({ width }) => width)).toEqual([12.5, 12.5, 12.5, 12.5]);
    expect(blockSizeOf(pile, 0.25)).toEqual({ width: 8, height: 8 });
  });
  test.each([
    ['quilt', false],
    ['top', true],
  ] as const)('a %s that is there: its measured size is enough, layers: %s', (have, layered) => {
    const plan = begin({ unit: 'in', have, width: 65, height: 78 }, newId);
    expect(planProblems(plan)).toEqual([]);
    const quilt = computeQuilt(plan);
    // A top is measured raw edge to raw edge, a quilt at its trimmed edge (rule BO-5).
    const seams = layered ? 0.5 : 0;
    expect([quilt.finished.width.value, quilt.finished.height.value]).toEqual([65 - seams, 78 - seams]);
    expect(quilt.layers !== null).toBe(layered);
    // Round it and ten more, 296 (common practice); strips of 40: eight with their joins.
    expect(quilt.edge.binding!.length.value).toBe(296 - 4 * seams);
    expect(quilt.pieces).toEqual([]);
    expect(quilt.pile.needed).toBe(0);
  });
  test('every beginning is a sound plan that reads back as it was', () => {
    const sizes = fc.integer({ min: 20, max: 160 });
    const beginnings = fc.oneof(
      fc.record({
        unit: fc.constantFrom('in' as const, 'cm' as const),
        have: fc.constantFrom('top' as const, 'quilt' as const),
        width: sizes,
        height: sizes,
      }),
      fc.record({
        unit: fc.constant('in' as const),
        have: fc.constant('blocks' as const),
        pile: fc.integer({ min: 1, max: 120 }).map((count) => read(`${count} of 9`)),
        setting: fc.constantFrom(...SETTINGS.filter((s) => !('otherBlocks' in s)).map(({ kind }) => kind)),
        borders: fc.constantFrom([], [2.5], [2, 4]),
      }),
    );
    fc.assert(
      fc.property(beginnings, (beginning) => {
        const plan = begin(beginning, newId);
        expect(planProblems(plan)).toEqual([]);
        expect(readPlanJson(writePlanJson(plan))).toEqual({ ok: true, plan });
      }),
      { numRuns: 60 },
    );
  });
});

describe('blocks put to a pile that is there', () => {
  const plan = begin(
    { unit: 'in', have: 'blocks', pile: read('12 9'), setting: 'sashed', borders: [] },
    newId,
  );
  test('the first set the size and the grid; more are numbered on', () => {
    const first = withSaidPile({ ...plan, pile: [] }, read('20 of 6" finished'), newId);
    expect(first).toMatchObject({ block: { width: 6, height: 6 }, grid: { across: 4, down: 5 } });
    const more = withSaidPile(first, read('2 stars 6" finished'), newId);
    expect(more.grid).toEqual(first.grid);
    expect(more.pile.at(-1)).toMatchObject({ name: 'Stars 22', kind: 'Stars', width: null });
  });
  test('a block kept for the label fills no place and is not spare', () => {
    const [first, ...rest] = plan.pile;
    const labelled = { ...plan, pile: [{ ...first!, label: true }, ...rest] };
    const { pile } = computeQuilt(labelled);
    expect(pile.missing).toBe(1);
    expect(wallOf(labelled, 12).places.map(({ block }) => block?.id)).not.toContain(first!.id);
    expect(wallOf(labelled, 12).spare).toEqual([]);
  });
});

describe('one side measured in several places', () => {
  // Common practice: three places each way, and their average.
  test.each([
    ['65', 65],
    ['64 7/8, 65, 65 1/8', 65],
    ['59; 60; 61', 60],
    ['100 cm, 102 cm', 101 / 2.54],
  ])('%s', (text, length) => {
    const places = readMeasurements(text, 'in');
    expect(places.ok && places.value.length).toBeCloseTo(length, 9);
  });
  test('what is no length is said', () => {
    expect(readMeasurements('about 60', 'in').ok).toBe(false);
    expect(readMeasurements('1, 2, 3, 4, 5, 6', 'in').ok).toBe(false);
  });
});
