import { WORK_WORDS } from '../choice/works.ts';
import { sittingsIn } from '../clock/sittings.ts';
import type { LogEntry } from '../log/entry.ts';
import { mergeLogs } from '../log/merge.ts';
import { msOf } from '../moment/moment.ts';
import { type JournalLine, line, type Names, type Raw } from '../log/line.ts';
import { LOG_KINDS } from '../log/kinds/registry.ts';
import { notesIn } from './notes.ts';
import { sayMinutes, saySteps } from '../clock/words.ts';

/** Things alike that follow so soon are one line. */
const TOGETHER_MS = 30 * 60_000;

/**
 * Everything that happened to a quilt, the oldest first. Entries in any order, and any of them more than once, give the
 * same lines; acts alike within half an hour are one, a field changed to and fro is told once, or not at all where it
 * came back to what it was.
 */
export function journalOf(log: readonly LogEntry[], quilt: string, names: Names): JournalLine[] {
  const own = mergeLogs(log.filter((entry) => entry.quilt === quilt));
  const lines = [
    ...withoutRepeats(own).flatMap((entry) => tellsOf(entry, names)),
    ...noteLines(own, quilt),
    ...timeLines(own, quilt),
  ];
  lines.sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : 1));
  return together(lines).flatMap(said);
}

/** What one entry says by itself, in the words of its kind. */
function tellsOf({ kind, ...entry }: LogEntry, names: Names): readonly Raw[] {
  const says = LOG_KINDS[kind].says as ((of: typeof entry, names: Names) => readonly Raw[]) | null;
  return says?.(entry, names) ?? [];
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
