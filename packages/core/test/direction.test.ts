import { computeQuilt, type Plan } from '../src/index.ts';
import { lineOf } from './support/lines.ts';
import { planStrips } from '../src/strip/strips.ts';
import { inchPlan, quiltOf, type SomeSetting, wholeSetting } from './support/plans.ts';

const base = inchPlan({});
/** The plan's fabrics, one of them with a direction. */
const directed = (
  id: string,
  direction: 'one-way' | 'stripe',
  change: Partial<Plan['fabrics'][number]> = {},
) => ({ fabrics: base.fabrics.map((f) => (f.id === id ? { ...f, direction, ...change } : f)) });
const lines = (setting: SomeSetting, across: number, down: number, change: Partial<Plan>, block = 12) =>
  quiltOf(block, across, down, setting, change).pieces.map((p) => [
    p.name,
    p.count.value,
    p.oneWay,
    p.squares?.count.value ?? null,
    p.squares?.leftOver ?? null,
  ]);

describe('a cloth with a direction', () => {
  // Rule CU-3, common practice: directional sash is counted apart, uprights and levels, so that every print stands up.
  test('uprights and levels are counted apart; uprights are cut along the selvage, levels across it', () => {
    expect(lines({ kind: 'sashed' }, 3, 4, {}).slice(0, 1)).toEqual([['Sashes', 31, null, null, null]]);
    expect(lines({ kind: 'sashed' }, 3, 4, directed('sash', 'one-way')).slice(0, 2)).toEqual([
      ['Upright sashes', 16, 'along', null, null],
      ['Level sashes', 15, 'across', null, null],
    ]);
    const [group] = quiltOf(12, 3, 4, { kind: 'sashed' }, directed('sash', 'one-way'))
      .fabrics.filter((f) => f.fabric.id === 'sash')
      .map((f) => f.strips.map((s) => [s.width, s.strips.value]));
    // Sixteen of 2" side by side on one strip as high as they are long; fifteen of 12 1/2", three to a strip of 2".
    expect(group).toEqual([
      [12.5, 1],
      [2, 5],
    ]);
  });
  test('a long upright is not joined where its print runs along it: it is cut along the selvage', () => {
    const quilt = quiltOf(
      12,
      3,
      4,
      { kind: 'edge-to-edge' },
      { ...directed('border', 'one-way'), borders: [{ ...borderOf(), cut: 'crosswise' }] },
    );
    const cut = quilt.fabrics.find((f) => f.fabric.id === 'border')!;
    const sides = cut.pieces.filter(({ name }) => name === 'Border sides');
    expect(sides).toMatchObject([
      { w: 4.5, h: 48.5 },
      { w: 4.5, h: 48.5 },
    ]);
    expect(cut.runs.flatMap((run) => run.pieces.map(({ name }) => name))).toEqual([
      'Border top and bottom',
      'Border top and bottom',
    ]);
  });
  // Rule TR-3. Geometry: a square cut along both diagonals gives one triangle facing each side; along one, two opposite corners.
  test('on point 5 × 6: as many squares as the longest side has triangles; corners from both diagonals', () => {
    const plain = lines({ kind: 'on-point' }, 5, 6, {});
    expect(plain).toEqual([
      ['Corner triangles', 4, null, 2, 0],
      ['Side triangles', 18, null, 5, 2],
    ]);
    for (const direction of ['one-way', 'stripe'] as const) {
      expect(lines({ kind: 'on-point' }, 5, 6, directed('triangle', direction))).toEqual([
        ['Corner triangles', 4, null, 2, 0],
        ['Side triangles', 18, null, 5, 2],
      ]);
      // Two across, seven down: six a side down, one at top and bottom.
      expect(lines({ kind: 'on-point' }, 2, 7, directed('triangle', direction))[1]).toEqual([
        'Side triangles',
        14,
        null,
        6,
        10,
      ]);
      expect(lines({ kind: 'on-point', float: 1 }, 2, 7, directed('triangle', direction))[1]).toEqual([
        'Side triangles',
        14,
        null,
        6,
        10,
      ]);
    }
    expect(lines({ kind: 'framed' }, 3, 3, directed('triangle', 'one-way'))).toEqual([
      ['Frame triangles', 36, null, 18, 0],
    ]);
  });
  test('a stripe may be upside down: one square fewer where sides are odd', () => {
    // 1 × 2 on point: one triangle at either side. Upright each takes a square of its own way; striped, still one each for left and right.
    expect(lines({ kind: 'on-point' }, 1, 2, directed('triangle', 'one-way'), 10)[1]).toEqual([
      'Side triangles',
      2,
      null,
      1,
      2,
    ]);
  });
  test('on point sashes slant one way: falling along the selvage, rising across it', () => {
    expect(
      lines({ kind: 'on-point-sashed' }, 3, 3, directed('sash', 'one-way')).filter(([name]) =>
        String(name).includes('sashes'),
      ),
    ).toEqual([
      ['Falling sashes', 18, 'along', null, null],
      ['Rising sashes', 18, 'across', null, null],
    ]);
  });
  test('it is said with the cloth, and so is that both sides look alike', () => {
    const notes = (change: Partial<Plan>) =>
      quiltOf(12, 3, 4, { kind: 'sashed' }, change).fabrics.flatMap((f) => f.notes);
    expect(notes({})).toEqual([]);
    expect(notes(directed('sash', 'one-way')).join()).toMatch(
      /Sash has a print that runs one way up the selvage: no piece is turned/,
    );
    expect(notes(directed('sash', 'stripe', { alike: true })).join()).toMatch(
      /striped along the selvage.*Both sides of Sash look alike: mark the right side of every piece with a pin/,
    );
  });
  test('a backing with a print that stands up has upright seams only', () => {
    const options = (direction: 'none' | 'one-way') =>
      computeQuilt({
        ...base,
        fabrics: base.fabrics.map((f) => (f.id === 'back' ? { ...f, direction } : f)),
      }).layers!.backing.options.map((o) => o.way);
    expect(options('none')).toContain('horizontal');
    expect(options('one-way')).not.toContain('horizontal');
  });
});

const borderOf = (): Plan['borders'][number] => ({
  id: '1',
  sides: 4,
  ends: 4,
  corners: 'sides-first',
  cut: 'crosswise',
  joins: 'diagonal',
  repeat: null,
  pieced: null,
  fabric: 'border',
  cornerFabric: 'border',
});

describe('what is never joined', () => {
  // Rule CU-2, common practice: a plain block is one piece of cloth.
  test('a plain block longer than the cloth is wide is cut along the selvage; wider both ways it is refused', () => {
    const cloth = { usable: 40, seam: 0.25, unit: 'in' as const };
    const need = {
      name: 'Plain blocks',
      width: 30.5,
      length: 45.5,
      count: 3,
      joins: 'never' as const,
    };
    expect(planStrips([lineOf(need)], cloth)).toMatchObject({
      groups: [],
      lengthwise: { length: { value: 3 * 45.5 } },
      tooWide: [],
    });
    expect(planStrips([lineOf({ ...need, width: 41 })], cloth)).toMatchObject({
      groups: [],
      lengthwise: null,
      tooWide: [{ measure: 'width' }],
    });
    expect(planStrips([lineOf({ ...need, oneWay: 'across' })], cloth)).toMatchObject({
      tooWide: [{ measure: 'length' }],
    });
    const quilt = computeQuilt({
      ...base,
      block: { width: 30, height: 45 },
      grid: { across: 2, down: 2 },
      setting: wholeSetting({ kind: 'alternate' }),
    });
    expect(quilt.fabrics.find((f) => f.fabric.id === 'sash')).toMatchObject({
      strips: [{ width: 45.5, along: true, yields: [{ name: 'Plain blocks', count: 2 }] }],
    });
  });
});
