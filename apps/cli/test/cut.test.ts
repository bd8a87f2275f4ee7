import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { cut, type CutFlags } from '../src/cut.ts';

const root = path.resolve(__dirname, '../../..');
const demo = path.join(root, 'demo/potting-shed.plan.json');
let folder: string;
beforeAll(() => (folder = mkdtempSync(path.join(tmpdir(), 'lattice-cut-'))));
afterAll(() => rmSync(folder, { recursive: true }));

function run(file: string | undefined, flags: Partial<CutFlags> = {}) {
  const out: string[] = [];
  const complaints: string[] = [];
  const around = {
    base: folder,
    out: (l: string) => out.push(l),
    complain: (l: string) => complaints.push(l),
  };
  const code = cut(file, { json: false, ...flags }, around);
  return { code, out: out.join('\n'), complaints };
}

describe('cut', () => {
  test('tells each cloth step by step, with what nothing goes below', () => {
    const { code, out } = run(demo);
    expect(code).toBe(0);
    expect(out).toContain('Oatmeal linen-look');
    expect(out).toContain('1. Square the end.');
    expect(out).toMatch(/nothing takes less than .+″; \d+ settings? of the ruler, \d+ cuts/);
  });
  test('one cloth as data: every piece has its place', () => {
    const { out } = run(demo, { json: true, fabric: 'linen' });
    const known = run(demo, { json: true });
    const all = JSON.parse(known.out) as {
      cloths: { fabric: string; length: number; bound: number; pieces: unknown[] }[];
    };
    const first = all.cloths[0]!;
    expect(first.length).toBeGreaterThanOrEqual(first.bound);
    expect(first.pieces.length).toBeGreaterThan(0);
    const one = JSON.parse(run(demo, { json: true, fabric: first.fabric }).out) as typeof all;
    expect(one.cloths).toEqual([first]);
    expect(out).toBe('');
  });
  test('simple takes no fewer inches; a longer search no more', () => {
    const length = (flags: Partial<CutFlags>) =>
      (JSON.parse(run(demo, { json: true, ...flags }).out) as { cloths: { length: number }[] }).cloths.map(
        (c) => c.length,
      );
    const now = length({});
    length({ simple: true }).forEach((simple, i) => expect(simple).toBeGreaterThanOrEqual(now[i]! - 1e-6));
    length({ longer: '0.05' }).forEach((longer, i) => expect(longer).toBeLessThanOrEqual(now[i]! + 1e-6));
  });
  test('problems of the open format are answered in it', () => {
    const problems = {
      instances: [{ id: 'a', usable: 640, seam: 4, needs: [{ key: 'n', width: 32, length: 200, count: 7 }] }],
    };
    writeFileSync(path.join(folder, 'problems.json'), JSON.stringify(problems));
    const { code, out } = run(undefined, { problems: 'problems.json', longer: '0.01' });
    expect(code).toBe(0);
    expect(JSON.parse(out)).toMatchObject({ plans: [{ id: 'a', length: 96, runs: [] }] });
  });
  test.each<[string, string | undefined, Partial<CutFlags>, string]>([
    ['no plan', undefined, {}, 'a plan file is missing'],
    ['an unknown cloth', demo, { fabric: 'velvet' }, 'nothing is cut from it; known: '],
    ['no time', demo, { longer: '-1' }, 'more than 0'],
    ['two manners', demo, { simple: true, thrifty: true }, 'one or the other'],
    ['no problems', undefined, { problems: 'none.json' }, 'there is no such file'],
    ['bad problems', undefined, { problems: demo }, 'instances'],
  ])('%s: exit 2 and a line', (_, file, flags, says) => {
    const { code, complaints, out } = run(file, flags);
    expect([code, out]).toEqual([2, '']);
    expect(complaints).toHaveLength(1);
    expect(complaints[0]).toContain(says);
  });
  test('a piece wider than its cloth is named', () => {
    const needs = [{ key: 'n', width: 700, length: 800, count: 1, lengthwise: true }];
    writeFileSync(
      path.join(folder, 'wide.json'),
      JSON.stringify({ instances: [{ id: 'a', usable: 640, seam: 4, needs }] }),
    );
    const { code, complaints, out } = run(undefined, { problems: 'wide.json' });
    expect([code, complaints[0], JSON.parse(out)]).toEqual([
      2,
      expect.stringContaining('a: n is wider than the cloth'),
      { plans: [] },
    ]);
  });
});
