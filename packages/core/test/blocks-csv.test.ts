import { readFileSync } from 'node:fs';
import { readBlocksCsv } from '../src/index.ts';

const read = (...lines: string[]) => readBlocksCsv(lines.join('\n'), 'in');

describe('a table of blocks', () => {
  test('headings, fractions, makers, faces and colours', () => {
    const { blocks, problems } = read('Name,Made by,Width,Height,Pattern,Colour 1', 'Gate,Ines,10 1/2,10½,Star,#2e4a5f', 'Frost,,10.375,10 5/8,unknown,blue');
    expect(problems).toEqual([]);
    expect(blocks).toEqual([
      { name: 'Gate', maker: 'Ines', width: 10.5, height: 10.5, face: 'star', colours: ['#2e4a5f'] },
      { name: 'Frost', width: 10.375, height: 10.625 },
    ]);
  });
  test('semicolons with decimal commas, a byte-order mark, blank lines', () => {
    const { blocks, problems } = readBlocksCsv('\uFEFFname;width;height\r\n\r\nA;26,7;26,5\r\n;;\r\n\r\nB;26,6;26,7\r\n', 'cm');
    expect(problems).toEqual([]);
    expect(blocks.map((b) => [b.name, b.width, b.height])).toEqual([['A', 26.7, 26.5], ['B', 26.6, 26.7]]);
  });
  test('mixed units are converted and counted', () => {
    const { blocks, notes } = read('name,width,height', 'A,10 1/2,10 1/2', 'B,26.67 cm,10 1/2');
    expect(blocks[1]!.width).toBeCloseTo(10.5, 9);
    expect(notes).toEqual(['1 measurement in centimetres converted to inches.']);
  });
  test('a unit in the heading holds for the column', () => {
    expect(read('width (cm),height (cm)', '25.4,25.4', '25.4,10 in').blocks.map((b) => [b.width, b.height])).toEqual([[10, 10], [10, 10]]);
  });
  test('centimetres slipped in among inches are noticed and left out', () => {
    const { blocks, problems } = read('name,width,height', 'A,10.5,10.5', 'B,10.5,10.375', 'Slip,26.7,26.6', 'C,10.5,10.5');
    expect(blocks).toHaveLength(3);
    expect(problems).toEqual(['Line 4 (Slip): 26 3/4″ looks like centimetres among inches. Write the unit beside it.']);
  });
  test.each([
    ['nothing', [''], /table is empty/],
    ['no width', ['name,height', 'A,10'], /no column headed width.*The first line reads: name, height/],
    ['no sizes at all', ['name,maker', 'A,B'], /headed width and none headed height/],
    ['only headings', ['name,width,height', ''], /no blocks under them/],
    ['a word', ['name,width,height', 'A,ten,10'], /Line 2 \(A\), width: “ten” is not a length/],
    ['a hole', ['name,width,height', 'A,,10'], /Line 2 \(A\), width: A length is missing/],
    ['a negative', ['name,width,height', 'A,-10,10'], /Line 2 \(A\), width: a block of -10″ cannot be right/],
    ['a ragged line', ['name,width,height', 'A'], /Line 2 \(A\), width: A length is missing/],
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
    const { blocks, problems } = readBlocksCsv(readFileSync(`${__dirname}/../../../demo/potting-shed-blocks.csv`, 'utf8'), 'in');
    expect(problems).toEqual([]);
    expect(blocks).toHaveLength(30);
  });
});
