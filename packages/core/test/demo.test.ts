import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import {
  CAUTIONS,
  cautionsOf,
  computeQuilt,
  logEntrySchema,
  type Plan,
  readBlocksCsv,
  readPlanJson,
} from '../src/index.ts';
import { atMachine } from '../src/sewing/machine.ts';
import { chosenSewing } from '../src/sewing/chosen.ts';
import { sewRecord } from '../src/log/sew-record.ts';
import { seamWords } from '../src/sewing/words.ts';

const DEMO = path.join(import.meta.dirname, '../../../demo');
const files = readdirSync(DEMO);
const names = files.flatMap((file) => (file.endsWith('.plan.json') ? [file.replace('.plan.json', '')] : []));

function planOf(name: string): Plan {
  const read = readPlanJson(readFileSync(path.join(DEMO, `${name}.plan.json`), 'utf8'));
  if (!read.ok) throw new Error(read.problems.map(({ message }) => message).join());
  const csv = path.join(DEMO, `${name}-blocks.csv`);
  const pile = files.includes(`${name}-blocks.csv`)
    ? readBlocksCsv(readFileSync(csv, 'utf8'), read.plan.unit).blocks
    : read.plan.pile;
  return { ...read.plan, pile: [...pile] };
}
/** The log of a demo quilt, its names for entries and days put in. */
function logOf(name: string) {
  const text = readFileSync(path.join(DEMO, `${name}.log.json`), 'utf8')
    .replace(/@day[+-]\d+/g, '2026-10-01')
    .replace(/"@([a-z-]+)"/g, '"entry-$1-00"');
  return (JSON.parse(text) as { name?: string }[]).map(({ name: own, ...entry }, i) =>
    logEntrySchema.parse({ ...entry, quilt: name, id: own ? `entry-${own}-00` : `entry-number-${i}` }),
  );
}
const guideIn = (plan: Plan) => chosenSewing(plan, computeQuilt(plan), null);

// Invented data, held to be true to itself.
describe('the demo', () => {
  test.each(names)('%s: every block has a name of its own, and they are not counted through', (name) => {
    const { pile } = planOf(name);
    const own = pile.map((block) => block.name);
    expect(new Set(own).size).toBe(pile.length);
    expect(own.filter((one) => / \d+$/.test(one)).length).toBeLessThan(2);
  });
  test('a swap has its makers, ten blocks each', () => {
    const given = new Map<string, number>();
    for (const { maker } of planOf('swap-edge-to-edge').pile) given.set(maker!, (given.get(maker!) ?? 0) + 1);
    expect([...given.values()]).toEqual(Array(8).fill(10));
  });
  const told = names.filter((name) => files.includes(`${name}.log.json`));
  test.each(told)('%s: what its log says was sewn is there to be sewn, and no more', (name) => {
    const plan = planOf(name);
    const log = logOf(name);
    const { sewing, way, guide } = guideIn(plan);
    const record = sewRecord(log, name, plan.unit);
    const { acts } = atMachine(sewing, way!, guide, record, seamWords(sewing, way!));
    const lengths = new Map(
      acts.flatMap(({ key, seam }) => (seam === null ? [] : [[key, way!.seams[seam]!.length] as const])),
    );
    const sewn = log.flatMap((entry) => (entry.kind === 'seams-sewn' ? entry.body.seams : []));
    for (const { seam, length } of sewn) expect([seam, length]).toEqual([seam, lengths.get(seam)]);
    expect(new Set(sewn.map(({ seam }) => seam)).size).toBe(sewn.length);
    // Nobody notes seams by number that are not ticked.
    const noted = log.flatMap(({ kind, body }) =>
      kind === 'time-noted' && (body as { work: string }).work === 'sew' ? [body] : [],
    );
    expect(noted).toEqual([]);
  });
  test('one is faced, of quilted blocks whose corners are square', () => {
    const { edge } = computeQuilt(planOf('tram-stop-quilted'));
    expect(edge.finished.map(({ finish }) => finish)).toEqual(['facing']);
    expect(edge.binding).toBeNull();
  });
  test('one is half sewn, one goes to a long-arm, and points speak of a baby on every paper', () => {
    const swap = sewRecord(logOf('swap-edge-to-edge'), 'swap-edge-to-edge', 'in');
    expect(swap.seams.size).toBe(75);
    expect(swap.done.has('web')).toBe(true);
    const { guide } = guideIn(planOf('harbour-metric'));
    expect(guide.find(({ id }) => id === 'quilt')!.title).toBe('Have it quilted');
    expect(guide.map(({ id }) => id)).not.toContain('layer');
    expect(cautionsOf(guideIn(planOf('cot-on-point')).guide)).toContain(CAUTIONS.baby);
  });
});
