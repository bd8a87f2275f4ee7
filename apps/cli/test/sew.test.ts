import { writeFileSync } from 'node:fs';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { startPlan, writePlanJson } from '@lattice/core';
import { sew, type SewFlags } from '../src/sew.ts';

const folder = mkdtempSync(path.join(tmpdir(), 'sew-'));
function run(plan: object | null, flags: Partial<SewFlags> = {}) {
  const [out, complaints]: [string[], string[]] = [[], []];
  const file = path.join(folder, 'quilt.json');
  if (plan) writeFileSync(file, writePlanJson(plan as Parameters<typeof writePlanJson>[0]));
  const code = sew(
    plan ? file : path.join(folder, 'none.json'),
    { json: false, ...flags },
    { base: '.', out: (line) => out.push(line), complain: (line) => complaints.push(line) },
  );
  return { code, out: out.join('\n'), complaints };
}
const sampler = startPlan('sashed-sampler');

test('the form for scripts: methods, pieces with their rows, steps of seams, crossings', () => {
  const { code, out } = run(sampler, { json: true });
  expect(code).toBe(0);
  const json = JSON.parse(out);
  expect(Object.keys(json)).toEqual([
    'methods',
    'method',
    'pieces',
    'steps',
    'crossings',
    'nested',
    'unnested',
  ]);
  expect(json.method).toBe(json.methods.find(({ best }: { best?: boolean }) => best).id);
  // 12 blocks, 31 sashes, 20 cornerstones, four border strips.
  expect(json.pieces).toHaveLength(67);
  const seams = json.steps.flatMap((step: { seams: unknown[] }) => step.seams);
  expect(seams).toHaveLength(66);
  expect(seams[0]).toEqual({
    a: expect.any(String),
    b: expect.any(String),
    line: [
      [expect.any(Number), expect.any(Number)],
      [expect.any(Number), expect.any(Number)],
    ],
    press: expect.stringMatching(/^(a|b|open)$/),
  });
  expect(json.pieces.filter(({ role }: { role: string }) => role === 'block')).toEqual(
    expect.arrayContaining([
      expect.objectContaining({ row: 1, column: 1 }),
      expect.objectContaining({ row: 4, column: 3 }),
    ]),
  );
});
test('in words: the ways, the best with its reason, the steps of the one asked for', () => {
  const { code, out } = run(sampler, { method: 'rows' });
  expect(code).toBe(0);
  expect(out).toMatch(/units +In units: 66 seams/);
  expect(out).toMatch(/the best\. About \d+ minutes less/);
  expect(out).toMatch(/In rows: .*\n +1\. Sew the rows: .* in all; then press/);
  // Six seams in every row of seven pieces, and nine rows: 6 × 8.
  expect(out).toMatch(/48 of 48 crossings nest\./);
});
test('what is not there is told in a line', () => {
  expect(run(null)).toMatchObject({ code: 2, complaints: [expect.stringMatching(/there is no such file/)] });
  expect(run(sampler, { method: 'diagonal' })).toMatchObject({
    code: 2,
    complaints: ['--method diagonal: this quilt is not sewn so; known: rows, units, columns, web.'],
  });
  const locked = {
    ...startPlan('on-point-cot'),
    grid: { across: 1, down: 6 },
    setting: {
      ...startPlan('on-point-cot').setting,
      kind: 'on-point-sashed',
      sash: 1,
      edgeStones: 'whole',
      float: 1,
      plainBetween: false,
    },
  };
  expect(run(locked)).toMatchObject({
    code: 2,
    complaints: [expect.stringMatching(/lock into one another/)],
  });
});
