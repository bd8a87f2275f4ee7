import {
  atTable,
  computeQuilt,
  cuttingJob,
  cutRecord,
  openedSays,
  partsFrom,
  type Plan,
  shortSays,
  stepDoneLast,
  stepOpened,
  nextStep,
  toBuy,
  waitingOf,
} from '../src/index.ts';
import { borderOf, inchPlan } from './support/plans.ts';

const plan = inchPlan({ borders: [borderOf(4, 'border'), borderOf(2, 'sash')] });
const quilt = computeQuilt(plan);
const tableOf = (of: Plan, cloth: string) =>
  atTable(cuttingJob(of, computeQuilt(of), cloth), cutRecord([], 'q', cloth, of.unit));
const table = tableOf(plan, 'sash');

test('the step to do is the first that is not done; none once all is cut', () => {
  expect(nextStep(table)).toBe(table.steps[0]);
  expect(stepDoneLast(table)).toBeNull();
  const steps = table.steps.map((step, i) => ({ ...step, done: i < 2 }));
  expect([nextStep({ steps, next: 2 }), stepDoneLast({ steps })]).toEqual([steps[2], steps[1]]);
  expect([nextStep({ steps, next: null }), stepOpened({ steps, next: null })]).toEqual([null, null]);
});

test('a strip is drawn with what is cut from it; while an end is squared, what comes after', () => {
  const opened = table.steps.map((_, next) => stepOpened({ steps: table.steps, next }));
  table.steps.forEach((step, i) => {
    if (step.kind === 'strip') {
      const [strip] = step.strips;
      const pieces = table.steps.find((s) => s.kind === 'pieces' && s.strips.includes(strip!));
      expect(opened[i]).toBe(pieces ?? step);
    } else if (step.kind === 'square') expect(opened[i]?.kind ?? 'nothing').not.toBe('square');
    else expect(opened[i]).toBe(step);
  });
  // Both ways were seen: a strip something is cut from, and an end that is squared.
  expect(table.steps.some(({ kind }, i) => kind === 'strip' && opened[i]!.kind === 'pieces')).toBe(true);
  expect(table.steps[0]!.kind).toBe('square');
});

test('what is opened out is said with its number and width', () => {
  const step = table.steps.find(({ kind }) => kind === 'pieces')!;
  const box = { ...step.box, h: 10.5 };
  expect(openedSays({ ...step, box, strips: [0, 1, 2] }, 'in')).toBe(
    'Strips 1 to 3 of 10 1/2″, each opened out and turned',
  );
  expect(openedSays({ ...step, box, strips: [4] }, 'in')).toBe('Strip 5 of 10 1/2″, opened out and turned');
  expect(openedSays({ ...step, box, strips: [4], kind: 'strip' }, 'in')).toBe(
    'Strip 5 of 10 1/2″, opened out: it stays whole',
  );
});

test('the parts a step’s pieces become are those of its lines, in the layout', () => {
  const { lines } = cuttingJob(plan, quilt, 'sash');
  const step = table.steps.find(({ kind, makes }) => kind === 'pieces' && makes.length > 0)!;
  const parts = partsFrom(step, lines);
  const made = new Set(step.makes.flatMap((m) => m.lines));
  expect(new Set(parts)).toEqual(
    new Set(lines.filter(({ id }) => made.has(id)).flatMap((line) => line.parts)),
  );
  expect(parts.length).toBeGreaterThan(0);
  for (const part of parts) expect(quilt.layout.parts).toHaveProperty([part]);
  expect(partsFrom(null, lines)).toEqual([]);
});

// Rule CU-5, common practice: borders once the centre is measured.
test('lines that wait for the same are told in one sentence, and none once it is measured', () => {
  const { lines } = cuttingJob(plan, quilt, 'border');
  const waiting = waitingOf(plan, lines);
  const borders = lines.filter(({ role }) => role === 'border');
  expect([...waiting.lines].sort()).toEqual(borders.map(({ id }) => id).sort());
  expect(borders.length).toBeGreaterThan(1);
  expect(waiting.says).toHaveLength(1);
  expect(waiting.says[0]).toMatch(
    /^Border 1 .*, border 1 .* wait until the centre is measured: A top seldom/,
  );
  const three = [48, 48, 48] as [number, number, number];
  const measured = { ...plan, measured: [{ borders: 0, width: three, height: three }] };
  expect(waitingOf(measured, lines)).toEqual({ lines: new Set(), says: [] });
});

test('what is short is said with what it takes, what there is and what to buy more', () => {
  const [first] = toBuy(plan, quilt, { id: 'q', log: [] });
  const of = { ...first!, have: 18, inAll: 63.5, settled: null };
  expect(shortSays(of, 'in')).toBe(
    `This takes 63 1/2″ and you have 18″. Buy ${first!.buy.text} more, or see what else could be done.`,
  );
  expect([
    shortSays({ ...of, have: null }, 'in'),
    shortSays({ ...of, settled: 'in the house' }, 'in'),
  ]).toEqual([null, null]);
});
