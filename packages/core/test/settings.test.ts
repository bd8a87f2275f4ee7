import { computeQuilt, type Plan, type Quilt } from '../src/index.ts';
import { borderOf, cutSize, inchPlan, lineFor, quiltOf, type SomeSetting } from './support/plans.ts';

const size = (figure: { width: { value: number }; height: { value: number } }) => [
  figure.width.value,
  figure.height.value,
];

describe('edge to edge', () => {
  // Rule ST-1, common practice: 112 blocks cut 5" set 10 × 11 use 110, two spare, 45 × 49 1/2.
  test('10 × 11 of 4 1/2" finished', () => {
    const pile = Array.from({ length: 112 }, (_, i) => ({
      id: `b${i}`,
      name: `Block ${i + 1}`,
      width: 5,
      height: 5,
    }));
    const quilt = quiltOf(4.5, 10, 11, { kind: 'edge-to-edge' }, { pile });
    expect(size(quilt.layout.finished)).toEqual([45, 49.5]);
    expect(quilt.pile.needed).toBe(110);
    expect(quilt.pile.spare.map((b) => b.name)).toEqual(['Block 111', 'Block 112']);
    expect(quilt.advice.map((a) => a.message).join()).toContain('2 spare: Block 111, Block 112');
  });
  test('10 × 12 needs 120: eight more', () => {
    const pile = Array.from({ length: 112 }, (_, i) => ({
      id: `b${i}`,
      name: `Block ${i + 1}`,
      width: 5,
      height: 5,
    }));
    const quilt = quiltOf(4.5, 10, 12, { kind: 'edge-to-edge' }, { pile });
    expect(quilt.pile).toMatchObject({ needed: 120, missing: 8 });
    expect(quilt.advice[0]!.message).toContain('8 more to make');
  });
});

describe('sashed', () => {
  // Common practice: 3 × 4 of 12" with 1 1/2" sash outside too.
  test('3 × 4 of 12": 31 sashes 2 × 12 1/2, 20 cornerstones 2 × 2, 42 × 55 1/2', () => {
    const quilt = quiltOf(12, 3, 4, { kind: 'sashed', sash: 1.5, outerSash: true, cornerstones: true });
    expect(size(quilt.layout.finished)).toEqual([42, 55.5]);
    expect(lineFor(quilt, 'upright').count.value).toBe(31);
    expect(lineFor(quilt, 'upright').parts).toEqual(['upright', 'level']);
    expect(cutSize(quilt, 'upright')).toEqual([2, 12.5]);
    expect(lineFor(quilt, 'cornerstone').count.value).toBe(20);
    expect(cutSize(quilt, 'cornerstone')).toEqual([2, 2]);
  });
  // Common practice: 5" cut squares with 1 1/2" sash.
  test('4 1/2" blocks: sash cut 2 × 5', () => {
    const quilt = quiltOf(4.5, 3, 3, { kind: 'sashed', sash: 1.5, outerSash: true, cornerstones: true });
    expect(cutSize(quilt, 'level')).toEqual([2, 5]);
  });
  test('without a sash outside: n f + (n − 1) s, m(n − 1) + n(m − 1) sashes, (n − 1)(m − 1) cornerstones', () => {
    const quilt = quiltOf(12, 3, 4, { kind: 'sashed', sash: 1.5, outerSash: false, cornerstones: true });
    expect(size(quilt.layout.finished)).toEqual([39, 52.5]);
    expect(lineFor(quilt, 'upright').count.value).toBe(4 * 2 + 3 * 3);
    expect(lineFor(quilt, 'cornerstone').count.value).toBe(2 * 3);
  });
  test('without cornerstones: short uprights, level sashes the whole width', () => {
    const quilt = quiltOf(12, 3, 4, { kind: 'sashed', sash: 1.5, outerSash: true, cornerstones: false });
    expect(lineFor(quilt, 'upright')).toMatchObject({ name: 'Upright sashes', count: { value: 16 } });
    expect(lineFor(quilt, 'level')).toMatchObject({ name: 'Level sashes', count: { value: 5 } });
    expect(cutSize(quilt, 'level')).toEqual([2, 42.5]);
  });
  // Common practice (columns with long strips between, short sashes between their blocks): 42 × 55½ high. Height 4 × 12
  // + 5 × 1½ = 55½; uprights 56 long, four of them; 3 × 5 levels as wide as a block.
  test('without cornerstones, long ones upright: short levels, upright sashes the whole height', () => {
    const setting = {
      kind: 'sashed',
      sash: 1.5,
      outerSash: true,
      cornerstones: false,
      long: 'upright',
    } as const;
    const quilt = quiltOf(12, 3, 4, setting);
    expect(size(quilt.layout.finished)).toEqual([42, 55.5]);
    expect(lineFor(quilt, 'upright')).toMatchObject({ name: 'Upright sashes', count: { value: 4 } });
    expect(cutSize(quilt, 'upright')).toEqual([2, 56]);
    expect(lineFor(quilt, 'level')).toMatchObject({ name: 'Level sashes', count: { value: 15 } });
    expect(cutSize(quilt, 'level')).toEqual([2, 12.5]);
    expect(lineFor(quilt, 'upright').notes.join()).toContain(
      'blocks begin 1 3/4″ from its end and every 13 1/2″',
    );
    expect(lineFor(quilt, 'level').notes).toEqual([]);
    // With cornerstones it says nothing.
    const stones = quiltOf(12, 3, 4, { ...setting, cornerstones: true });
    expect(stones.layout.pieces).toEqual(
      quiltOf(12, 3, 4, { ...setting, cornerstones: true, long: 'level' }).layout.pieces,
    );
  });
  test('a rectangular block has its uprights and levels apart', () => {
    const quilt = computeQuilt(inchPlan({ block: { width: 8, height: 12 } }));
    expect(cutSize(quilt, 'upright')).toEqual([2, 12.5]);
    expect(cutSize(quilt, 'level')).toEqual([2, 8.5]);
  });
  test('one block alone, no sash outside: nothing to cut', () => {
    const quilt = quiltOf(12, 1, 1, { kind: 'sashed', sash: 1.5, outerSash: false, cornerstones: true });
    expect(quilt.pieces).toEqual([]);
    expect(size(quilt.layout.finished)).toEqual([12, 12]);
  });
});

describe('alternate', () => {
  // Rule ST-10.
  test.each([
    [3, 3, 5, 4],
    [4, 5, 10, 10],
    [1, 1, 1, 0],
  ])('%p × %p: %p blocks, %p plain', (across, down, blocks, plain) => {
    const quilt = quiltOf(9, across, down, { kind: 'alternate' });
    expect(quilt.pile.needed).toBe(blocks);
    expect(quilt.layout.parts['plain']?.count.value ?? 0).toBe(plain);
  });
});

describe('blocks quilted already, joined by covered sashing', () => {
  // Rule ST-8, common practice: 12 1/4" blocks (cut), 3 in a row, 2" sash: front strips 4", batting 1 7/8", back 2 1/2", row strip 39 3/4".
  let quilt: Quilt;
  beforeAll(() => {
    quilt = quiltOf(11.75, 3, 4, { kind: 'quilted', sash: 2 });
  });
  const line = (name: string) => quilt.pieces.find((p) => p.name === name)!;
  test('a sash is three strips', () => {
    expect(line('Upright sashes, front').cut).toMatchObject({
      width: { value: 4 },
      length: { value: 12.25 },
    });
    expect(line('Upright sashes, batting').cut).toMatchObject({
      width: { value: 1.875 },
      length: { value: 12.25 },
    });
    expect(line('Upright sashes, back').cut).toMatchObject({
      width: { value: 2.5 },
      length: { value: 12.25 },
    });
    expect(line('Upright sashes, front').count.value).toBe(8);
  });
  test('row strips are as long as the joined row: n c − 2a(n − 1) + (n − 1)s', () => {
    expect(line('Row strips, front').cut).toMatchObject({ length: { value: 39.75 } });
    expect(3 * 12.25 - 0.5 * 2 + 2 * 2).toBe(39.75);
    expect(line('Row strips, front').count.value).toBe(3);
  });
  test('marked where uprights cross, and with a quilting grid: 12 1/4 less 1/8 at each end is six 2" squares', () => {
    expect(line('Row strips, front').notes.join(' ')).toContain('12 to 14, 25 3/4 to 27 3/4');
    expect(line('Row strips, front').notes.join(' ')).toContain('Join the rows in pairs, then the pairs');
    expect(line('Upright sashes, front').notes.join(' ')).toContain(
      '12 1/4 less 1/8 at each end = 12, 6 squares of 2″',
    );
  });
  test('no backing goes under the whole; each layer has its own cloth; borders have their layers too', () => {
    expect(quilt.layers).toBeNull();
    expect(line('Upright sashes, batting').fabric).toBe('batting');
    const bordered = quiltOf(11.75, 2, 2, { kind: 'quilted', sash: 2 }, { borders: [borderOf(3, 'border')] });
    expect(bordered.pieces.map((p) => p.name)).toEqual(
      expect.arrayContaining(['Border sides, front', 'Border sides, batting', 'Border sides, back']),
    );
  });
  test('one block alone has nothing to join', () =>
    expect(quiltOf(11.75, 1, 1, { kind: 'quilted', sash: 2 }).pieces).toEqual([]));
});

describe('blocks of two sizes', () => {
  test('12" and 9" in turn: coping strips finishing 1 1/2" bring the small ones up', () => {
    const quilt = quiltOf(12, 3, 4, { kind: 'coped', small: 9 });
    expect(size(quilt.layout.finished)).toEqual([36, 48]);
    expect(quilt.pile.needed).toBe(12);
    expect(quilt.layout.parts['small-block']!.count.value).toBe(6);
    expect(cutSize(quilt, 'coping-side')).toEqual([2, 9.5]);
    expect(cutSize(quilt, 'coping-end')).toEqual([2, 12.5]);
    expect(lineFor(quilt, 'coping-side').count.value).toBe(12);
  });
  test.each([
    ['odd', 6],
    ['rows', 6],
    ['columns', 4],
  ] as const)('small ones in every other %s', (places, small) => {
    expect(
      quiltOf(12, 3, 4, { kind: 'coped', small: 9, places }).layout.parts['small-block']!.count.value,
    ).toBe(small);
  });
  test('generous strips are cut 1/2" more each way and trimmed', () => {
    const quilt = quiltOf(12, 3, 4, { kind: 'coped', small: 9, coping: 'generous' });
    expect(cutSize(quilt, 'coping-side')).toEqual([2.5, 10]);
    expect(lineFor(quilt, 'coping-side').notes.join()).toContain(
      'trim every small block back to 12 × 12″ finished',
    );
  });
  test('a difference too small for a strip is refused', () => {
    expect(() => quiltOf(12, 3, 4, { kind: 'coped', small: 11.75 })).toThrow(/too narrow to sew/);
  });
});

describe('strips between columns or rows', () => {
  test('columns: long upright strips, height of the blocks alone', () => {
    const quilt = quiltOf(12, 3, 4, { kind: 'strip-set', direction: 'columns', sash: 2, outerSash: false });
    expect(size(quilt.layout.finished)).toEqual([40, 48]);
    expect(lineFor(quilt, 'strip').count.value).toBe(2);
    expect(cutSize(quilt, 'strip')).toEqual([2.5, 48.5]);
  });
  test('rows, with strips outside', () => {
    const quilt = quiltOf(12, 3, 4, { kind: 'strip-set', direction: 'rows', sash: 2, outerSash: true });
    expect(size(quilt.layout.finished)).toEqual([36, 58]);
    expect(lineFor(quilt, 'strip').count.value).toBe(5);
  });
});

describe('strips with a short sash between the blocks', () => {
  // By the pencil: 3 columns of 4 of 12 with 1 between: 4 × 12 + 3 × 1 = 51 high; strips of 2: 3 × 12 + 2 × 2 = 40 wide.
  test('columns: nine short ones as wide as a block, two long ones as high as the column', () => {
    const setting = { kind: 'strip-set', direction: 'columns', sash: 2, shortSash: true, short: 1 } as const;
    const quilt = quiltOf(12, 3, 4, setting);
    expect(size(quilt.layout.finished)).toEqual([40, 51]);
    expect(lineFor(quilt, 'short')).toMatchObject({ name: 'Short sashes', count: { value: 9 } });
    expect(cutSize(quilt, 'short')).toEqual([1.5, 12.5]);
    expect(cutSize(quilt, 'strip')).toEqual([2.5, 51.5]);
    expect(lineFor(quilt, 'strip').notes.join()).toContain(
      'blocks begin 1/4″ from its end and every 13″ after, each 12″ long',
    );
  });
  test('rows, oblong blocks, strips outside: the short ones stand upright', () => {
    const quilt = quiltOf(
      12,
      3,
      4,
      { kind: 'strip-set', direction: 'rows', sash: 2, outerSash: true, shortSash: true, short: 1 },
      { block: { width: 12, height: 9 } },
    );
    expect(size(quilt.layout.finished)).toEqual([3 * 12 + 2, 4 * 9 + 5 * 2]);
    expect(lineFor(quilt, 'short').count.value).toBe(8);
    expect(cutSize(quilt, 'short')).toEqual([1.5, 9.5]);
    expect(cutSize(quilt, 'strip')).toEqual([2.5, 38.5]);
  });
  test('a short sash too narrow to sew is refused beside its own field', () => {
    expect(() => quiltOf(12, 3, 4, { kind: 'strip-set', shortSash: true, short: 0.125 })).toThrow(
      /cannot be sewn/,
    );
    expect(() => quiltOf(12, 3, 4, { kind: 'strip-set', shortSash: false, short: 0.125 })).not.toThrow();
  });
});

describe('sash pieced of strips', () => {
  test.each([
    [
      '2',
      [
        [16, 'upright'],
        [16, 'upright-middle'],
      ],
    ],
    [
      '3',
      [
        [32, 'upright'],
        [16, 'upright-middle'],
      ],
    ],
  ] as const)('of %p', (strips, counts) => {
    const quilt = quiltOf(12, 3, 4, {
      kind: 'sashed',
      sash: 3,
      outerSash: true,
      cornerstones: false,
      strips,
    });
    for (const [count, part] of counts) expect(lineFor(quilt, part).count.value).toBe(count);
    expect(cutSize(quilt, 'upright')).toEqual([3 / Number(strips) + 0.5, 12.5]);
    expect(lineFor(quilt, 'upright-middle').fabric).toBe('accent');
  });
  test('strips too thin to sew are refused', () => {
    expect(() => quiltOf(12, 3, 4, { kind: 'sashed', sash: 0.5, strips: '3' })).toThrow(
      /sash of 3 strips of 1\/2″ cannot be sewn: make it 3\/4″ or more/,
    );
  });
});

describe('half drop', () => {
  // Rule ST-13, counted on paper: three full columns of four and two dropped ones of three.
  test('5 columns of 12\" blocks, 4 down: 18 blocks and four plain halves, cut 6 1/2 × 12 1/2', () => {
    const quilt = quiltOf(12, 5, 4, { kind: 'half-drop' });
    expect([quilt.finished.width.value, quilt.finished.height.value]).toEqual([60, 48]);
    expect(quilt.layout.pieces.filter((p) => p.place !== undefined)).toHaveLength(18);
    expect(lineFor(quilt, 'half')).toMatchObject({ name: 'Plain halves', count: { value: 4 } });
    expect(cutSize(quilt, 'half')).toEqual([6.5, 12.5]);
  });
  test('a dropped block begins at the middle of its neighbour', () => {
    const { pieces } = quiltOf(12, 2, 2, { kind: 'half-drop' }).layout;
    const tops = (x: number) =>
      pieces
        .filter((p) => p.outline[0]!.x === x)
        .map((p) => p.outline[0]!.y)
        .sort((a, b) => a - b);
    expect([tops(0), tops(12)]).toEqual([
      [0, 12],
      [0, 6, 18],
    ]);
  });
});

describe('a sash pieced of strips', () => {
  // Rule ST-9. Arithmetic: finished strips side by side are the sash, to the last bit; outer ones lie on the ruler.
  test.each([
    [1.5, 2],
    [1.75, 2],
    [1.75, 3],
    [1.5, 3],
    [2, 3],
    [2.25, 3],
    [1.875, 2],
    [1.8125, 3],
  ])('a sash of %p in %p strips is cut to come to it', (sash, strips) => {
    const quilt = quiltOf(10, 2, 2, { kind: 'sashed', sash, strips: String(strips) });
    const cutOf = (part: string) => quilt.pieces.find((p) => p.parts.includes(part))!.cut;
    const width = (part: string) => {
      const cut = cutOf(part);
      return cut.shape === 'rectangle' ? cut.width.value - 0.5 : NaN;
    };
    const outer = strips === 3 ? 2 * width('upright') : width('upright');
    expect(outer + width('upright-middle')).toBe(sash);
    expect(width('upright') * 8).toBe(Math.round(width('upright') * 8));
  });
  // 5 × 6 of 14" with six sashes of 2 3/8" in three strips each: each rounded up would make it 86 5/8.
  test('the quilt is as wide as it says, cornerstones meet', () => {
    const quilt = quiltOf(14, 5, 6, { kind: 'sashed', sash: 2.375, strips: '3' });
    const [outer, middle] = ['upright', 'upright-middle'].map((part) => cutSize(quilt, part)[0]! - 0.5);
    expect(5 * 14 + 6 * (2 * outer! + middle!)).toBe(quilt.layout.finished.width.value);
  });
});

describe('what is said of a piece where it is cut', () => {
  const notesFor = (setting: SomeSetting, part: string, change: Partial<Plan> = {}) =>
    lineFor(quiltOf(12, 3, 4, setting, change), part).notes.join(' ');
  // Rule TR-1, common practice: the straight grain on the quilt's edge, the bias inside.
  test('why a square is cut twice, or once', () => {
    expect(notesFor({ kind: 'on-point' }, 'side-triangle')).toMatch(
      /Cut twice.*straight grain lies on the long side, along the quilt’s edge/,
    );
    expect(notesFor({ kind: 'on-point' }, 'corner-triangle')).toMatch(/Cut once.*both short sides/);
    expect(notesFor({ kind: 'framed' }, 'frame')).toMatch(/Cut once/);
  });
  // Rule ST-4.
  test('long sashes are marked where blocks meet them', () => {
    expect(notesFor({ kind: 'sashed', cornerstones: false }, 'level')).toContain(
      'blocks begin 1 3/4″ from its end and every 13 1/2″ after, each 12″ long',
    );
    expect(notesFor({ kind: 'strip-set' }, 'strip')).toContain(
      'blocks begin 1/4″ from its end and every 12″ after',
    );
    expect(notesFor({ kind: 'sashed' }, 'level')).toBe('');
    // Two inches over-long, centred: one at either end.
    const over = { overLong: { sashes: 2, borders: 0 } };
    expect(notesFor({ kind: 'sashed', cornerstones: false }, 'level', over)).toMatch(
      /centred, 1″ over at either end, .* blocks begin 2 3\/4″ from its end and every 13 1\/2″ after/,
    );
    expect(notesFor({ kind: 'sashed', cornerstones: false }, 'upright', over)).toBe('');
  });
  // Geometry: a mitre runs from the inner corner to the outer: 3 along for 4 up is 53°.
  test('a mitre between strips of two widths is not at 45°, and that is said', () => {
    const mitred = (sides: number, ends: number) =>
      notesFor({ kind: 'edge-to-edge' }, 'border-0-side', {
        borders: [{ ...borderOf(sides, 'border'), ends, corners: 'mitred' }],
      });
    expect(mitred(3, 4)).toContain(
      'its mitre is not at 45°: it runs from corner to corner, 53° up from the top strip',
    );
    expect(mitred(4, 4)).toBe('');
  });
  // Rule ST-11. Handed from side strips to end strips: generous side strips make the block an inch wider, and the end strips as much longer.
  test('generous coping strips reach across one another', () => {
    const quilt = quiltOf(12, 3, 3, { kind: 'coped', small: 10, coping: 'generous' });
    const [sides, ends] = [cutSize(quilt, 'coping-side'), cutSize(quilt, 'coping-end')];
    // 10" blocks cut 10 1/2; strips of 2" cut add 1 1/2 a side.
    expect(sides).toEqual([2, 11]);
    expect(ends[1]).toBe(10.5 + 2 * (sides[0]! - 0.5));
  });
});
