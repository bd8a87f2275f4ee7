import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import sharp from 'sharp';
import type { Point } from '@lattice/core';
import { measure as measureHere } from '../src/measure.ts';

const root = path.resolve(__dirname, '../../..');
const folder = mkdtempSync(path.join(tmpdir(), 'lattice-photo-'));
const photo = path.join(folder, 'block.jpg');
let truth: { block: Point[]; reference: { kind: string; sides: [number, number] } };
const node = (...args: string[]) =>
  spawnSync(process.execPath, args, { cwd: root, encoding: 'utf8', maxBuffer: 1 << 26 });
const measure = (...args: string[]) => {
  const { status, stdout, stderr } = node('--import', 'tsx', 'apps/cli/src/main.ts', 'measure', ...args);
  return { status, out: stdout.trim(), err: stderr.trim() };
};

beforeAll(async () => {
  const { stdout, stderr } = node(
    '--import',
    'tsx',
    'packages/photo/test/support/save.mts',
    photo,
    'chance:3:800',
  );
  if (!stdout) throw new Error(stderr);
  truth = JSON.parse(stdout) as typeof truth;
  // Lying on its side, with a word about it, as phones write them (EXIF orientation 6).
  await sharp(photo).rotate(-90).withMetadata({ orientation: 6 }).toFile(path.join(folder, 'turned.jpg'));
  writeFileSync(path.join(folder, 'cut.jpg'), (await sharp(photo).toBuffer()).subarray(0, 900));
  writeFileSync(path.join(folder, 'phone.heic'), Buffer.from('\0\0\0\x18ftypheic\0\0\0\0mif1heic', 'latin1'));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const flags = () =>
  truth.reference.kind === 'cards'
    ? ['--reference', truth.reference.sides.join('x')]
    : ['--reference', truth.reference.sides[0] === 6.5 ? 'letter' : 'a4'];
interface Answer {
  width: Record<'top' | 'middle' | 'bottom', number>;
  height: Record<'left' | 'middle' | 'right', number>;
  corners: [number, number][];
  reference: [number, number][];
  uncertainty: number;
  warnings: string[];
}
/** Sides of the block in order round, wherever one begins: sorted, they are the same. */
const sides = (p: readonly Point[]) =>
  p.map((a, k) => Math.hypot(p[(k + 1) % 4]!.x - a.x, p[(k + 1) % 4]!.y - a.y)).sort((a, b) => a - b);
let answer: Answer;
const edges = ({ width, height }: Answer) =>
  [width.top, width.bottom, height.left, height.right].sort((a, b) => a - b);

test('measures a photo as data, in inches; turned by its camera, in centimetres all the same', () => {
  const { status, out, err } = measure(photo, ...flags(), '--json');
  expect(err).toBe('');
  expect(status).toBe(0);
  answer = JSON.parse(out) as Answer;
  edges(answer).forEach((v, i) => expect(Math.abs(v - sides(truth.block)[i]!)).toBeLessThan(1 / 32));
  expect(answer.corners).toHaveLength(4);
  expect(answer.reference).toHaveLength(4);
  expect(answer.uncertainty).toBeGreaterThan(0);
  const cm =
    truth.reference.kind === 'cards'
      ? ['--reference', truth.reference.sides.map((v) => v * 2.54).join('x')]
      : flags();
  const turned = JSON.parse(
    measure(path.join(folder, 'turned.jpg'), ...cm, '--unit', 'cm', '--json').out,
  ) as Answer;
  edges(turned).forEach((v, i) => expect(Math.abs(v / 2.54 - edges(answer)[i]!)).toBeLessThan(1 / 64));
  turned.corners.forEach((p, k) =>
    expect(Math.hypot(p[0] - answer.corners[k]![0], p[1] - answer.corners[k]![1])).toBeLessThan(1.5),
  );
});

test('measures between corners that are given, begun anywhere, in words', () => {
  const first = answer;
  const written = (list: [number, number][]) => list.map((p) => p.join(',')).join(' ');
  const moved = [...first.corners.slice(2), ...first.corners.slice(0, 2)];
  const { out } = measure(
    photo,
    ...flags(),
    '--reference-corners',
    written(first.reference),
    '--block-corners',
    written(moved),
  );
  const words = out.split('\n');
  expect(words[3]).toMatch(/^Each is right to 0\.\d+ in/);
  // In words, to the nearest thirty-second.
  const said = [/top (.*?)″/, /bottom (.*?)″/, /left (.*?)″/, /right (.*?)″/].map((one, i) => {
    const [whole, fraction = '0'] = one.exec(words[i < 2 ? 0 : 1]!)![1]!.split(' ');
    const [over, under = '1'] = fraction.split('/');
    return Number(whole) + Number(over) / Number(under);
  });
  said
    .sort((a, b) => a - b)
    .forEach((v, i) => expect(Math.abs(v - edges(first)[i]!)).toBeLessThan(1 / 64 + 1 / 64));
});

test.each([
  ['package.json', {}, /not a photo/],
  ['nowhere.jpg', {}, /no such file/],
  ['phone.heic', {}, /HEIC.*JPEG/],
  ['cut.jpg', {}, /damaged/],
  ['block.jpg', { reference: 'a3' }, /letter, a4 or WIDTHxHEIGHT/],
  ['block.jpg', { unit: 'ell' }, /in or cm/],
  ['block.jpg', { blockCorners: '1,2 3,4' }, /four corners/],
  ['block.jpg', { referenceCorners: '1,2 3,4 5,6 7,x' }, /four corners/],
])('%s %j: says in a line why it cannot, and ends with 2', async (file, asked, says) => {
  const out: string[] = [];
  const wrong: string[] = [];
  const base = file === 'package.json' ? root : folder;
  const code = await measureHere(file, asked, {
    base,
    out: (line) => void out.push(line),
    complain: (line) => void wrong.push(line),
  });
  expect([code, out]).toEqual([2, []]);
  expect(wrong).toHaveLength(1);
  expect(wrong[0]).toMatch(says);
});
