import { readFileSync } from 'node:fs';
import { readBlocksCsv, writeBlocksCsv } from '../src/index.ts';

const read = (...lines: string[]) => readBlocksCsv(lines.join('\n'), 'in');

describe('a table of blocks', () => {
  test('headings, fractions, makers, faces and colours', () => {
    const { blocks, problems } = read(
      'Name,Made by,Width,Height,Pattern,Colour 1',
      'Gate,Ines,10 1/2,10½,Star,#2e4a5f',
      'Frost,,10.375,10 5/8,unknown,blue',
    );
    expect(problems).toEqual([]);
    expect(blocks).toEqual([
      {
        id: 'b2',
        kind: 'Star',
        name: 'Gate',
        maker: 'Ines',
        width: 10.5,
        height: 10.5,
        face: 'star',
        colours: ['#2e4a5f'],
      },
      { id: 'b3', kind: 'unknown', name: 'Frost', width: 10.375, height: 10.625 },
    ]);
  });
  test('a pile written out is read in the same, marks, edges and unmeasured ones too', () => {
    const pile = [
      {
        id: 'b2',
        name: 'Gate, left',
        maker: 'Ines',
        kind: 'Star',
        face: 'star' as const,
        colours: ['#2e4a5f', '#c4532f'],
        value: 'dark' as const,
        upright: true,
        points: true,
        width: 10.5,
        height: 10.375,
        edges: { top: 10.5, bottom: 10.625, left: 10.5, right: 10.25 },
      },
      { id: 'b3', name: 'Frost', width: null, height: null },
    ];
    expect(readBlocksCsv(writeBlocksCsv(pile, 'in'), 'in').blocks).toEqual(pile);
    // Another quilt in centimetres reads the same table by the unit in its headings.
    expect(readBlocksCsv(writeBlocksCsv(pile, 'in'), 'cm').blocks[0]!.edges!.bottom).toBeCloseTo(
      10.625 * 2.54,
      9,
    );
    expect(readBlocksCsv(writeBlocksCsv(pile, 'in'), 'in').notes).toEqual([
      '1 block has no size yet: taken as still to be measured.',
    ]);
  });
  test.each([
    [
      'two columns of sizes',
      ['10 1/2\t10 3/8', '10.5\t10.5'],
      [
        ['Block 1', 10.5, 10.375],
        ['Block 2', 10.5, 10.5],
      ],
    ],
    [
      'ragged lines',
      ['10 1/8\t10 1/4', '10', '', '10.5\t10'],
      [
        ['Block 1', 10.125, 10.25],
        ['Block 4', 10.5, 10],
      ],
    ],
    ['names before them', ['Gate\t10 1/2\t10 3/8'], [['Gate', 10.5, 10.375]]],
    ['one size for both ways', ['Gate\t10 1/2'], [['Gate', 10.5, 10.5]]],
  ])('cells pasted without headings: %s', (_, lines, blocks) => {
    expect(readBlocksCsv(lines.join('\n'), 'in').blocks.map((b) => [b.name, b.width, b.height])).toEqual(
      blocks,
    );
  });
  test('semicolons with decimal commas, a byte-order mark, blank lines', () => {
    const { blocks, problems } = readBlocksCsv(
      '\uFEFFname;width;height\r\n\r\nA;26,7;26,5\r\n;;\r\n\r\nB;26,6;26,7\r\n',
      'cm',
    );
    expect(problems).toEqual([]);
    expect(blocks.map((b) => [b.name, b.width, b.height])).toEqual([
      ['A', 26.7, 26.5],
      ['B', 26.6, 26.7],
    ]);
  });
  test('mixed units are converted and counted', () => {
    const { blocks, notes } = read('name,width,height', 'A,10 1/2,10 1/2', 'B,26.67 cm,10 1/2');
    expect(blocks[1]!.width).toBeCloseTo(10.5, 9);
    expect(notes).toEqual(['1 measurement in centimetres converted to inches.']);
  });
  test('a unit in the heading holds for the column', () => {
    // However the fraction is written: a third is no figure of an inch ruler, and is one of the column all the same.
    const thirds = read('width (cm),height (cm)', '31⅓,31 1/3', '25⅔,25.4');
    expect(thirds.blocks.map(({ width, height }) => [width, height])).toEqual([
      [expect.closeTo(94 / 3 / 2.54, 9), expect.closeTo(94 / 3 / 2.54, 9)],
      [expect.closeTo(77 / 3 / 2.54, 9), 10],
    ]);
    expect(
      read('width (cm),height (cm)', '25.4,25.4', '25.4,10 in').blocks.map((b) => [b.width, b.height]),
    ).toEqual([
      [10, 10],
      [10, 10],
    ]);
  });
  test('centimetres slipped in among inches are noticed and left out', () => {
    const { blocks, problems } = read(
      'name,width,height',
      'A,10.5,10.5',
      'B,10.5,10.375',
      'Slip,26.7,26.6',
      'C,10.5,10.5',
    );
    expect(blocks).toHaveLength(3);
    expect(problems).toEqual([
      'Line 4 (Slip): 26 3/4″ looks like centimetres among inches. Write the unit beside it.',
    ]);
  });
  test.each([
    ['nothing', [''], /table is empty/],
    ['no width', ['name,height', 'A,10'], /no column headed width.*The first line reads: name, height/],
    ['no sizes at all', ['name,maker', 'A,B'], /headed width and none headed height/],
    ['only headings', ['name,width,height', ''], /no blocks under them/],
    ['a word', ['name,width,height', 'A,ten,10'], /Line 2 \(A\), width: “ten” is not a length/],
    ['a hole', ['name,width,height', 'A,,10'], /Line 2 \(A\), width: A length is missing/],
    ['a negative', ['name,width,height', 'A,-10,10'], /Line 2 \(A\), width: a block of -10″ cannot be right/],
    ['a ragged line', ['name,width,height', 'A,10'], /Line 2 \(A\), height: A length is missing/],
  ])('%s is said in words', (_, lines, message) => {
    const { blocks, problems } = read(...lines);
    expect(problems.join('\n')).toMatch(message);
    expect(blocks).toEqual([]);
  });
  test('ten thousand rows are refused whole, with the limit', () => {
    const { blocks, problems } = read('width,height', ...Array.from({ length: 10_000 }, () => '10.5,10.5'));
    expect(blocks).toEqual([]);
    expect(problems).toEqual([expect.stringContaining('lists 10,000 blocks; one quilt holds at most 2,500')]);
  });
  test('good lines are kept beside bad ones', () => {
    const { blocks, problems } = read('name,width,height', 'A,10.5,10.5', 'B,x,10', 'C,10.5,10.5');
    expect(blocks.map((b) => b.name)).toEqual(['A', 'C']);
    expect(problems).toHaveLength(1);
  });
  test('the demo pile reads clean: thirty blocks', () => {
    const { blocks, problems } = readBlocksCsv(
      readFileSync(`${__dirname}/../../../demo/potting-shed-blocks.csv`, 'utf8'),
      'in',
    );
    expect(problems).toEqual([]);
    expect(blocks).toHaveLength(30);
  });
  test('millimetres in a heading are millimetres', () => {
    expect(read('name,width (mm),height (mm)', 'A,267,266').blocks[0]).toMatchObject({
      width: 26.7 / 2.54,
      height: 26.6 / 2.54,
    });
    expect(readBlocksCsv('name,width (mm),height (cm)\nA,267,26.6', 'cm').blocks[0]).toMatchObject({
      width: 26.7,
      height: 26.6,
    });
  });
  test('a decimal comma in a comma file is asked about, never taken as two sizes', () => {
    expect(read('name,width,height', 'A,12,5,12,5')).toMatchObject({
      blocks: [],
      problems: [expect.stringMatching(/^Line 2: 5 cells under 3 headings\. A comma may be a decimal here/)],
    });
    expect(read('name,width,height', 'A,12,5')).toMatchObject({
      blocks: [],
      problems: [expect.stringContaining('12,5 can be 12 × 5 or 12.5')],
    });
    expect(read('12,5', '12,25')).toMatchObject({
      blocks: [],
      problems: [expect.stringContaining('12,5 can be'), expect.anything()],
    });
    // Said without doubt, they are taken: in quotes, with semicolons, or two sizes a block can have.
    expect(read('name,width,height', 'A,"12,5","12,5"').blocks[0]).toMatchObject({
      width: 12.5,
      height: 12.5,
    });
    expect(read('name;width;height', 'A;12,5;12,5').blocks[0]).toMatchObject({ width: 12.5, height: 12.5 });
    expect(read('name,width,height', 'A,12,10').blocks[0]).toMatchObject({ width: 12, height: 10 });
  });
  test('a first column that numbers the lines is not a width', () => {
    expect(read('1\t12.5\t12 3/8', '2\t12.5\t12.5', '3\t12 1/4\t12.5').blocks).toMatchObject([
      { name: '1', width: 12.5, height: 12.375 },
      { width: 12.5 },
      { width: 12.25 },
    ]);
    expect(read('1\t12.5', '2\t12.25').blocks).toMatchObject([
      { width: 12.5, height: 12.5 },
      { width: 12.25, height: 12.25 },
    ]);
    expect(read('1\t12\t12').blocks).toMatchObject([{ width: 12, height: 12 }]);
    // Two sizes that happen to count up are sizes.
    expect(read('12\t12.5', '13\t13.5').blocks[0]).toMatchObject({ width: 12, height: 12.5 });
    expect(read('12\t12', '13\t13').blocks[0]).toMatchObject({ width: 12, height: 12 });
  });
  test('nothing is dropped in silence', () => {
    const { blocks, notes } = read(
      'name,width,height,top,bottom,left,right,colour 1,value,shelf',
      'A,12,12,12,12,12,,navy,bright,B3',
      'B,12,12,12,12,12,12,#112233,dark,',
    );
    expect(blocks.map((b) => [b.edges !== undefined, b.colours, b.value])).toEqual([
      [false, undefined, undefined],
      [true, ['#112233'], 'dark'],
    ]);
    expect(notes).toEqual([
      'Only some of the four edges are given: left out in line 2. All four tell whether a block is crooked.',
      'Colours are written like #2e4a5f: others are left out in line 2.',
      'A value is light, medium, dark: others are left out in line 2.',
      'Nothing was made of “shelf”.',
    ]);
  });
});
