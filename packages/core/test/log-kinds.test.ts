import { readFileSync } from 'node:fs';
import path from 'node:path';
import { LOG_KINDS, OF_CLOTH } from '../src/log/kinds/registry.ts';
import { LOG_READERS, type LogReader } from '../src/log/kinds/log-kind.ts';
import { journalOf, type LogEntry, logEntrySchema, namesFrom, startPlan } from '../src/index.ts';

/*
 * A kind says of itself who reads it. Read off the readers’ own source: what a reader asks for by name is what the kind
 * says, and the other way about.
 */
const source = path.resolve(__dirname, '../src');
const kinds = Object.keys(LOG_KINDS) as (keyof typeof LOG_KINDS)[];
const readers = Object.entries(LOG_READERS) as [LogReader, string][];

test.each(readers)('“%s” asks for the kinds that name it, and for no other', (reader, file) => {
  const text = readFileSync(path.join(source, file), 'utf8');
  const asked = kinds.filter((kind) => text.includes(`'${kind}'`));
  const named = kinds.filter((kind) => (LOG_KINDS[kind].readers as readonly string[]).includes(reader));
  // The journal asks no kind by name that only has to say its words.
  const told = reader === 'journal' ? named.filter((kind) => LOG_KINDS[kind].says === null) : named;
  if (reader === 'journal') expect(named).toEqual(expect.arrayContaining(asked));
  else expect(asked).toEqual(named);
  expect(told.every((kind) => asked.includes(kind))).toBe(true);
  expect(named.length).toBeGreaterThan(0);
});

test('what is said of cloth, and nothing else, makes anew what is to be bought', () => {
  expect([...OF_CLOTH].sort()).toEqual([
    ...['bought', 'bought-not', 'cut-lost', 'cutting-planned'],
    ...['stash-moved', 'stash-put', 'step-cut', 'step-uncut'],
  ]);
});

/*
 * The journal by the real names of a plan, so that no id is said where a name is meant; figures in quarters and eighths,
 * which no rounding touches.
 */
const plan = startPlan('sashed-sampler');
const { id: cloth, name } = plan.fabrics[0]!;
const side = { unit: 'in' as const };
const WORDS: readonly (readonly [kind: LogEntry['kind'], body: unknown, words: string | null])[] = [
  ['bought', { cloth, ...side, width: 41.5, length: 63 }, `Bought: ${name}, 41 1/2 × 63″ usable`],
  ['bought-not', { cloth }, `${name}: not bought after all`],
  [
    'cut-lost',
    { cloth, ...side, why: 'flaw', pieces: [], instead: [], length: 3.25 },
    `${name}: a flaw, 3 1/4″ of it cannot be used`,
  ],
  [
    'cut-lost',
    {
      ...{ cloth, ...side, why: 'miscut', instead: [], length: 0 },
      pieces: [2, 3].map((count) => ({ key: 'a', name: 'A', w: 2, h: 3, count, joined: false })),
    },
    `${name}: 5 pieces miscut`,
  ],
  ['step-uncut', { entries: ['entry-0008', 'entry-0009'] }, '2 cuts taken back: not made after all'],
  [
    'sewing-chosen',
    { method: 'covered', fromRight: false, alternate: true, weights: {}, pressed: {} },
    'How the top is sewn: Covered sashing',
  ],
  ['sewing-done', { what: 'quilt', done: false }, 'Quilting: not done after all'],
  ['part-measured', { what: 'layer', ...side, length: 12.625 }, 'Layering and basting measured 12 5/8″'],
  ['due-said', { date: '2026-12-24', wash: false, postDays: 2 }, 'To be ready by 24 December 2026'],
  ['due-said', { date: null, wash: false, postDays: 0 }, 'No day to be ready by'],
  [
    'quilt-measured',
    { when: 'washed', ...side, width: 68.5, height: 80 },
    'The quilt, washed, measured 68 1/2 × 80″',
  ],
  ['blocks-asked', { who: 'Maud', count: 1, by: null }, 'Maud: asked for 1 block'],
  ['blocks-asked', { who: 'Maud', count: 0, by: '2026-12-24' }, 'Maud: asked no more'],
  ['maker-thanked', { who: 'Maud', thanked: true }, 'Maud: thanked'],
  ['booking-cancelled', { number: 'LA-101' }, 'Booking LA-101 taken back'],
  ['shop-let-go', { number: 'S-7' }, 'Order S-7 let go'],
  [
    'stash-moved',
    { piece: 'piece-0001', count: 2, to: 'aside', quilt: 'quilt-0001', cloth },
    `2 pieces set aside from the stash for ${name}`,
  ],
  ['stash-moved', { piece: 'piece-0001', count: 1, to: 'gone', quilt: null, cloth: null }, '1 piece gone'],
  ['practised', { exercise: 'grain', seed: 7, right: true }, null],
  ['hours-said', { week: Array(7).fill({ minutes: 30, from: '19:30' }), away: [] }, null],
  ['record-said', { field: 'story', text: 'For the fair.' }, null],
];
test.each(WORDS)('the journal says of %s what it is, once (%#)', (kind, body, words) => {
  const entry = logEntrySchema.parse({
    ...{ id: 'entry-0001', quilt: 'quilt-0001', at: '2026-12-02T09:30:00Z', kind, body },
  });
  const lines = journalOf([entry, entry], 'quilt-0001', namesFrom(plan)).map(({ text }) => text);
  expect(lines).toEqual(words === null ? [] : [words]);
});
