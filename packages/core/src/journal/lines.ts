import type { Stage } from '../choice/stages.ts';
import { WORK_WORDS } from '../choice/works.ts';
import { sittingsIn } from '../clock/sittings.ts';
import { numberOf } from '../figure/figure.ts';
import { formatSize, formatWithUnit } from '../length/format.ts';
import type { LogEntry } from '../log/entry.ts';
import { mergeLogs } from '../log/merge.ts';
import { msOf, sayDay } from '../moment/moment.ts';
import { notesIn } from './notes.ts';
import { sayMinutes, saySteps } from '../clock/words.ts';

/** What a line of the journal is of. */
export const JOURNAL_KINDS = [
  'note',
  'change',
  'measure',
  'verdict',
  'cut',
  'sewn',
  'bought',
  'booked',
  'time',
  'group',
] as const;
export type JournalKind = (typeof JOURNAL_KINDS)[number];

/** Where on a quilt a line leads. */
interface About {
  readonly block?: string | undefined;
  readonly border?: string | undefined;
  readonly step?: string | undefined;
}

/** One line of the journal: what happened when, in words. */
export interface JournalLine {
  /** Of its first entry. */
  readonly id: string;
  readonly at: string;
  readonly kind: JournalKind;
  readonly stage: Stage | '';
  readonly text: string;
  readonly about: About;
  readonly pictures: readonly string[];
  /** Of a note: what it said before, the oldest first; and whether it was struck out. */
  readonly earlier: readonly string[];
  readonly struck: boolean;
}

/** What a journal calls cloths and blocks by: the names they have now. */
export interface Names {
  readonly cloth: (id: string) => string;
  readonly step: (id: string) => string;
}

/** Things alike that follow so soon are one line. */
const TOGETHER_MS = 30 * 60_000;

/** A line before neighbours are put together: `count` of what, `fold` the same for what belongs together. */
interface Raw extends Omit<JournalLine, 'text'> {
  readonly fold: string | null;
  readonly count: number;
  readonly say: (count: number) => string;
  /** Of a change: from what to what, so that several of one field tell the first and the last. */
  readonly change?: { readonly what: string; readonly from: string; readonly to: string };
}

/**
 * Everything that happened to a quilt, the oldest first. Entries in any order, and any of them more than once, give the
 * same lines; acts alike within half an hour are one, a field changed to and fro is told once, or not at all where it
 * came back to what it was.
 */
export function journalOf(log: readonly LogEntry[], quilt: string, names: Names): JournalLine[] {
  const own = mergeLogs(log.filter((entry) => entry.quilt === quilt));
  const lines = [
    ...withoutRepeats(own).flatMap((entry) => rawOf(entry, names)),
    ...noteLines(own, quilt),
    ...timeLines(own, quilt),
  ];
  lines.sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : 1));
  return together(lines).flatMap(said);
}

/**
 * Seams that two devices ticked are sewn once, and one that was not sewn is not taken out: what an entry says of seams
 * is what it changed. Entries that changed none are left out.
 */
function withoutRepeats(own: readonly LogEntry[]): LogEntry[] {
  const sewn = new Set<string>();
  return own.flatMap((entry): LogEntry[] => {
    if (entry.kind === 'seams-sewn') {
      const seams = entry.body.seams.filter(({ seam }) => !sewn.has(seam));
      for (const { seam } of seams) sewn.add(seam);
      return seams.length === 0 ? [] : [{ ...entry, body: { ...entry.body, seams } }];
    }
    if (entry.kind === 'seams-ripped') {
      const seams = entry.body.seams.filter((seam) => sewn.delete(seam));
      return seams.length === 0 ? [] : [{ ...entry, body: { seams } }];
    }
    return [entry];
  });
}

function together(lines: readonly Raw[]): Raw[] {
  const out: Raw[] = [];
  const open = new Map<string, number>();
  for (const line of lines) {
    const at = line.fold === null ? undefined : open.get(line.fold);
    const before = at === undefined ? undefined : out[at]!;
    if (before && msOf(line.at) - msOf(before.at) <= TOGETHER_MS) {
      const change = before.change && line.change && { ...before.change, to: line.change.to };
      out[at!] = { ...before, count: before.count + line.count, ...(change ? { change } : {}) };
      continue;
    }
    if (line.fold !== null) open.set(line.fold, out.length);
    out.push(line);
  }
  return out;
}

function said({ fold: _fold, count, say, change, ...line }: Raw): JournalLine[] {
  if (!change) return [{ ...line, text: say(count) }];
  const { what, from, to } = change;
  if (from === to) return [];
  return [{ ...line, text: from === '' ? `${what}: ${to}` : `${what}: ${from} → ${to}` }];
}

const line = (
  { id, at }: Pick<LogEntry, 'id' | 'at'>,
  kind: JournalKind,
  stage: Stage | '',
  say: string | ((count: number) => string),
  more: Partial<Raw> = {},
): Raw => ({
  id,
  at,
  kind,
  stage,
  about: {},
  pictures: [],
  earlier: [],
  struck: false,
  fold: null,
  count: 1,
  say: typeof say === 'string' ? () => say : say,
  ...more,
});

/** What one entry says by itself. Notes and times are told by their readers: they have more than one entry. */
function rawOf(entry: LogEntry, { cloth, step }: Names): Raw[] {
  switch (entry.kind) {
    case 'plan-changed':
      return entry.body.changes.map(({ key, kind, stage, what, from, to, about }, i) =>
        line({ ...entry, id: `${entry.id}.${i}` }, kind, stage as Stage, '', {
          about,
          fold: `plan ${key}`,
          change: { what, from, to },
        }),
      );
    case 'cutting-planned':
      return [line(entry, 'cut', 'cut', `Cutting of ${cloth(entry.body.cloth)} begun`)];
    case 'step-cut': {
      const of = cloth(entry.body.cloth);
      return [
        line(entry, 'cut', 'cut', (count) => `${of}: ${numberOf(count, 'cut')} made`, {
          fold: `cut ${entry.body.cloth}`,
        }),
      ];
    }
    case 'step-uncut':
      return [
        line(
          entry,
          'cut',
          'cut',
          `${numberOf(entry.body.entries.length, 'cut')} taken back: not made after all`,
        ),
      ];
    case 'cut-lost':
      return [line(entry, 'cut', 'cut', lostSays(entry.body, cloth))];
    case 'sewing-chosen':
      return [line(entry, 'change', 'sew', `To be sewn ${entry.body.method}`, { fold: 'sewing-chosen' })];
    case 'seams-sewn':
      return [
        line(entry, 'sewn', 'sew', (count) => `${numberOf(count, 'seam')} sewn`, {
          fold: 'sewn',
          count: entry.body.seams.length,
        }),
      ];
    case 'seams-ripped':
      return [
        line(entry, 'sewn', 'sew', (count) => `${numberOf(count, 'seam')} taken out, or not sewn after all`, {
          fold: 'ripped',
          count: entry.body.seams.length,
        }),
      ];
    case 'sewing-done': {
      const { what, done } = entry.body;
      return [
        line(entry, 'sewn', 'sew', `${step(what)}: ${done ? 'done' : 'not done after all'}`, {
          about: { step: what },
        }),
      ];
    }
    case 'part-measured': {
      const { what, length, unit } = entry.body;
      return [
        line(entry, 'measure', 'sew', `${step(what)} measured ${formatWithUnit(length, unit)}`, {
          about: { step: what },
        }),
      ];
    }
    case 'bought': {
      const { body } = entry;
      const size = formatSize(body.width, body.length, body.unit);
      return [line(entry, 'bought', 'cut', `Bought: ${cloth(body.cloth)}, ${size} usable`)];
    }
    case 'bought-not':
      return [line(entry, 'bought', 'cut', `${cloth(entry.body.cloth)}: not bought after all`)];
    case 'shop-held': {
      const { number, total, until } = entry.body;
      return [
        line(
          entry,
          'bought',
          'cut',
          `Order ${number} laid aside in the shop until ${sayDay(until)}, ${total.toFixed(2)}`,
        ),
      ];
    }
    case 'shop-let-go':
      return [line(entry, 'bought', 'cut', `Order ${entry.body.number} let go`)];
    case 'booked': {
      const { number, starts, ready, price } = entry.body;
      return [
        line(
          entry,
          'booked',
          'layers',
          `Quilting booked, ${number}: from ${sayDay(starts)}, ready ${sayDay(ready)}, ${price.toFixed(2)}`,
        ),
      ];
    }
    case 'booking-cancelled':
      return [line(entry, 'booked', 'layers', `Booking ${entry.body.number} taken back`)];
    case 'stash-moved': {
      const { count, to, cloth: of } = entry.body;
      const did =
        to === 'aside' ? 'set aside from the stash' : to === 'back' ? 'given back to the stash' : 'gone';
      return [
        line(
          entry,
          'bought',
          'cut',
          `${numberOf(count, 'piece')} ${did}${of === null ? '' : ` for ${cloth(of)}`}`,
        ),
      ];
    }
    case 'due-said': {
      const { date } = entry.body;
      return [
        line(
          entry,
          'change',
          '',
          date === null ? 'No day to be ready by' : `To be ready by ${sayDay(date)}`,
          {
            fold: 'due',
          },
        ),
      ];
    }
    case 'blocks-asked': {
      const { who, count, by } = entry.body;
      const asked = count === 0 ? 'asked no more' : `asked for ${numberOf(count, 'block')}`;
      return [
        line(
          entry,
          'group',
          'blocks',
          `${who}: ${asked}${by === null || count === 0 ? '' : `, by ${sayDay(by)}`}`,
        ),
      ];
    }
    case 'maker-thanked':
      return [
        line(
          entry,
          'group',
          'blocks',
          `${entry.body.who}: ${entry.body.thanked ? 'thanked' : 'not thanked after all'}`,
        ),
      ];
    case 'quilt-measured': {
      const { when, unit, width, height } = entry.body;
      return [
        line(entry, 'measure', 'edge', `The quilt, ${when}, measured ${formatSize(width, height, unit)}`),
      ];
    }
    default:
      return [];
  }
}

function lostSays(
  { cloth: of, why, pieces, length, unit }: Extract<LogEntry, { kind: 'cut-lost' }>['body'],
  cloth: Names['cloth'],
): string {
  const count = pieces.reduce((sum, piece) => sum + piece.count, 0);
  if (why === 'flaw') return `${cloth(of)}: a flaw, ${formatWithUnit(length, unit)} of it cannot be used`;
  const did = why === 'miscut' ? 'miscut' : 'cut at another size';
  return `${cloth(of)}: ${numberOf(count, 'piece')} ${did}`;
}

const noteLines = (own: readonly LogEntry[], quilt: string): Raw[] =>
  notesIn(own, quilt).map(({ id, at, stage, text, about, pictures, earlier, struck }) =>
    line({ id, at }, 'note', stage, text, { about, pictures, earlier, struck }),
  );

const timeLines = (own: readonly LogEntry[], quilt: string): Raw[] =>
  sittingsIn(own, quilt).sittings.map(({ id, start, work, minutes, steps, struck }) =>
    line(
      { id, at: start },
      'time',
      '',
      [`${WORK_WORDS[work].name}, ${sayMinutes(minutes)}`, ...saySteps(steps)].join(': '),
      { struck },
    ),
  );
