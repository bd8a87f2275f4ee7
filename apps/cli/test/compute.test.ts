import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, statSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { computeQuilt, type Fit, type FitRequest, readPlanJson } from '@lattice/core';
import { compute } from '../src/compute.ts';
import { fit, type FitFlags } from '../src/fit.ts';

const root = path.resolve(__dirname, '../../..');
const demo = path.join(root, 'demo/potting-shed.plan.json');
let folder: string;
beforeAll(() => (folder = mkdtempSync(path.join(tmpdir(), 'lattice-cli-'))));
afterAll(() => rmSync(folder, { recursive: true }));

function run(text: string, json = false) {
  const out: string[] = [];
  const complaints: string[] = [];
  writeFileSync(path.join(folder, 'plan.json'), text);
  const code = compute(
    'plan.json',
    { json },
    { base: folder, out: (l) => out.push(l), complain: (l) => complaints.push(l) },
  );
  return { code, out: out.join('\n'), complaints };
}
const plan = readFileSync(demo, 'utf8');

describe('compute', () => {
  test('prints sizes, pieces, backing, binding and shop cuts, with their working', () => {
    const { code, out } = run(plan);
    expect(code).toBe(0);
    expect(out).toContain('Finished size  70 × 81 1/2″');
    expect(out).toContain('71 Sashes: 2 × 10 1/2″');
    expect(out).toContain('Upright: 6 rows × (5 + 1) = 36');
    expect(out).toContain('2 1/2″ shorter than the target');
    expect(out).toMatch(/(\d[ \d/]*) yd +Oatmeal linen-look/);
  });
  test('layers and edge: what goes under it and round it, each with its working', () => {
    const { out } = run(plan);
    expect(out).toMatch(
      /Backing\n {2}78 × 89 1\/2″: 2 panels, upright seams, 179″ of cloth\n {6}2 panels × 42 less 1 seam × 2 × 1\/2 span 83, enough for 78\n/,
    );
    expect(out).toContain('It costs least without a stripe: 47.50, and the next 54.00.');
    expect(out).toMatch(/Batting\n {2}78 × 89 1\/2″: Package 81 × 96″/);
    expect(out).toMatch(/Flange\n {2}8 strips of 1 1\/4″: two 82″, two 70 1\/2″/);
    // Nine whole ones by themselves; the cloth gives eight, and two bits beside the cornerstones.
    expect(out).toMatch(
      /Binding\n {2}8 strips of 2 1\/2″ and 2 shorter ones, 12 and 5 1\/2″ long for 313″\n.*cut by themselves: 9\n/,
    );
    const changed = (edge: object, binding: object) => {
      const read = JSON.parse(plan) as { edge: object; binding: object };
      return run(
        JSON.stringify({
          ...read,
          edge: { ...read.edge, ...edge },
          binding: { ...read.binding, ...binding },
        }),
      ).out;
    };
    expect(changed({ finishes: ['prairie-points'] }, {})).toMatch(
      /Prairie points\n {2}82 points, 19 across and 22 down\n/,
    );
    expect(changed({ finishes: ['binding'], shape: 'rounded' }, { grain: 'bias-square' })).toMatch(
      /Bias strips of 2 1\/2″ for .*, from 30″ of cloth\n[^]*strips, .* in all, less 14 joins × 0\.707 = 341\.497/,
    );
  });
  test('--json is what the core computes', () => {
    const { out } = run(plan, true);
    const read = readPlanJson(plan);
    expect(read.ok && JSON.parse(out)).toMatchObject(
      JSON.parse(JSON.stringify(read.ok && computeQuilt(read.plan))) as object,
    );
  });
  test('each problem is one line with its place in the file', () => {
    const { code, complaints } = run(
      plan.replace('"sash": 1.5', '"sash": 11').replace('"seam": 0.25', '"seam": 0.25'),
    );
    expect(code).toBe(2);
    const line = plan.split('\n').findIndex((l) => l.includes('"sash": 1.5')) + 1;
    expect(complaints).toEqual([
      expect.stringMatching(
        new RegExp(`^plan\\.json:${line}:13: setting\\.sash: A sash of 11″ is wider than the block`),
      ),
    ]);
  });
  test('several problems, several lines', () => {
    const { complaints } = run(
      plan.replace('"across": 5', '"across": 0').replace('"seam": 0.25', '"seam": -1'),
    );
    expect(complaints).toHaveLength(2);
    expect(complaints.every((c) => /^plan\.json:\d+:\d+: (seam|grid\.across): /.test(c))).toBe(true);
  });
  test.each([
    ['cut short', '{"schemaVersion": 1,', /plan\.json:1:21: This is not JSON/],
    ['not quoted', '{title: 3}', /plan\.json:1:2: This is not JSON/],
    ['empty', '', /plan\.json:1:1: This is not JSON: a value is missing/],
    ['another JSON', '[]', /plan\.json:1:1: This is not a quilt plan/],
  ])('%s', (_, text, message) => {
    const { code, complaints } = run(text);
    expect(code).toBe(2);
    expect(complaints[0]).toMatch(message);
  });
});

describe('fit', () => {
  const ask = (target: string, blocks?: string, json = false) => {
    const out: string[] = [];
    const complaints: string[] = [];
    const around = {
      base: root,
      out: (l: string) => out.push(l),
      complain: (l: string) => complaints.push(l),
    };
    const code = fit(demo, { target, json, ...(blocks === undefined ? {} : { blocks }) }, around);
    return { code, out, complaints };
  };
  test('ranks designs, each with its size, sash, borders and blocks', () => {
    const { code, out } = ask('72x84', '30');
    expect(code).toBe(0);
    expect(out).toHaveLength(20);
    expect(out[0]).toMatch(/^ 1 {2}[\d /]+ × [\d /]+″ .*(border|no border).*(over|missing)/);
  });
  test('--json is the request and the best', () => {
    const { request, best } = JSON.parse(ask('180 cm x 200 cm', undefined, true).out.join('')) as {
      request: { blocks: number; target: { width: number } };
      best: { score: number }[];
    };
    expect(request.blocks).toBe(null);
    expect(request.target.width).toBeCloseTo(180 / 2.54, 9);
    expect(best.map((b) => b.score)).toEqual([...best.map((b) => b.score)].sort((a, b) => a - b));
  });
  const flagged = (flags: Partial<FitFlags>) => {
    const out: string[] = [];
    const complaints: string[] = [];
    const code = fit(
      demo,
      { target: '72x84', json: true, ...flags },
      { base: root, out: (l) => out.push(l), complain: (l) => complaints.push(l) },
    );
    return {
      code,
      complaints,
      found: code === 0 ? (JSON.parse(out.join('')) as { request: FitRequest; best: Fit[] }) : null,
    };
  };
  test('a fixed sash, so many borders, the same all round', () => {
    const { found } = flagged({ sash: '2', borders: '2', even: true });
    for (const { setting, borders } of found!.best) {
      if ('sash' in setting) expect(setting.sash).toBe(2);
      expect(borders.length).toBeLessThanOrEqual(2);
      for (const { sides, ends } of borders) expect(sides).toBe(ends);
    }
  });
  test('as large as the blocks allow; only so much cloth', () => {
    expect(flagged({ target: 'largest', blocks: '30' }).found!.best.every((f) => f.over! >= 0)).toBe(true);
    expect(flagged({ have: ['sash=1 1/4 yd'] }).found!.request.inHand).toEqual([{ use: 'sash', length: 45 }]);
    expect(
      flagged({ have: ['sash=12 fat-quarters', 'cornerstone=4 square-5'] }).found!.request.inHand,
    ).toEqual([
      { use: 'sash', precut: 'fat-quarter', count: 12 },
      { use: 'cornerstone', precut: 'square-5', count: 4 },
    ]);
  });
  test.each<[Partial<FitFlags>, RegExp]>([
    [{ target: 'largest' }, /^--target largest: say how many blocks/],
    [{ sash: 'wide' }, /^--sash wide: /],
    [{ borders: '7' }, /^--borders 7: 0, 1, 2 or 3/],
    [{ have: ['ribbon=1 yd'] }, /^--have ribbon=1 yd: cloth for one of/],
    [{ have: ['sash'] }, /^--have sash: A length is missing/],
  ])('%j is refused in one line', (flags, words) => {
    expect(flagged(flags)).toMatchObject({ code: 2, complaints: [expect.stringMatching(words)] });
  });
  test.each([
    ['72', undefined, /^--target 72: write a width and a height/],
    ['0x9', undefined, /^--target/],
    ['72x84', 'many', /^--blocks many: a whole number/],
  ])('%s %s is refused in one line', (target, blocks, words) => {
    const { code, complaints } = ask(target, blocks);
    expect(code).toBe(2);
    expect(complaints).toEqual([expect.stringMatching(words)]);
  });
});

describe('./lattice', () => {
  const lattice = (...args: string[]) =>
    spawnSync(path.join(root, 'lattice'), args, { cwd: root, encoding: 'utf8' });
  test('compute works out a plan file named from where one stands', () => {
    expect(
      execFileSync(path.join(root, 'lattice'), ['compute', 'potting-shed.plan.json'], {
        cwd: path.join(root, 'demo'),
        encoding: 'utf8',
      }),
    ).toContain('Potting-shed raffle quilt');
  });
  test('a missing file, a wrong flag, no file: exit 2 and one line', () => {
    for (const args of [['fit', demo], ['compute', 'none.json'], ['compute', demo, '--yaml'], ['compute']]) {
      const { status, stderr } = lattice(...args);
      expect(status).toBe(2);
      expect(stderr.trim().split('\n')).toHaveLength(1);
    }
  });
  test('ask: the contract as data, in words with the working, and exit 2 with one line', () => {
    const { status, stdout } = lattice(
      'ask',
      'setting',
      '--kind',
      'sashed',
      '--block',
      '12',
      '--across',
      '3',
      '--down',
      '4',
      '--outer-sash',
      'no',
      '--json',
    );
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toMatchObject({ centre: { width: 39, height: 52.5 }, sashes: 17 });
    expect(lattice('ask', 'triangles', '--block', '10').stdout).toContain(
      '7.071 short side + 7/8 = 7.946, next 1/8 up: 8″',
    );
    for (const [args, words] of [
      [['triangles', '--blok', '10'], /'--blok'; known: --block, --sash, --seam, --unit, --json\.$/],
      [['triangles'], /^--block: .* is missing; a length like/],
      [['triangles', '--block', 'x'], /^--block x: /],
      [['triangles', '--block', '10', '--unit', 'ell'], /^--unit ell: in or cm/],
      [['socks'], /'socks'; known: triangles, setting, binding, .*quilted-blocks\.$/],
    ] as const) {
      const wrong = lattice('ask', ...args);
      expect(wrong.status).toBe(2);
      expect(wrong.stderr.trim()).toMatch(words);
      expect(wrong.stderr.trim().split('\n')).toHaveLength(1);
    }
  });
  test('what is missing is named, and all that would be right: the file first', () => {
    expect(lattice('compute').stderr).toBe(
      "lattice: missing required argument 'plan'; known: <plan>, --json.\n",
    );
    expect(lattice('fit', demo).stderr).toMatch(
      /^lattice: required option '--target <size>' not specified; known: <plan>, --target, --blocks, --sash, --borders, --even, --have, --json\.\n$/,
    );
  });
  test('the built command is built anew when a source is newer, and not otherwise', () => {
    const built = path.join(root, 'node_modules/.lattice/cli/lattice.mjs');
    const ask = () => lattice('ask', 'binding', '--width', '36', '--height', '36').stdout;
    expect(ask()).toContain('4 strips, 1/3 yd');
    const fresh = statSync(built).mtimeMs;
    ask();
    expect(statSync(built).mtimeMs).toBe(fresh);
    utimesSync(built, new Date(0), new Date(0));
    expect(ask()).toContain('4 strips, 1/3 yd');
    expect(statSync(built).mtimeMs).toBeGreaterThan(fresh - 1);
  });
  test('an unknown command is said to be one', () => {
    expect(lattice('knit')).toMatchObject({
      status: 2,
      stderr: './lattice knit: there is no such command.\n',
    });
  });
});
