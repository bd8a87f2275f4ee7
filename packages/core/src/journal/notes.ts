import { type Stage, stageOf } from '../choice/stages.ts';
import type { LogEntry } from '../log/entry.ts';
import type { EntryBody } from '../log/kinds/registry.ts';
import { mergeLogs } from '../log/merge.ts';

/** A note as it stands now, with what it said before. */
export interface Note {
  readonly id: string;
  readonly at: string;
  readonly stage: Stage | '';
  readonly text: string;
  readonly about: EntryBody['noted']['about'];
  readonly pictures: readonly string[];
  readonly earlier: readonly string[];
  readonly struck: boolean;
}

/** The notes of a quilt by its log. A correction is a later entry: the last word counts, and none is lost. */
export function notesIn(log: readonly LogEntry[], quilt: string): Note[] {
  const notes = new Map<string, Note>();
  const own = mergeLogs(log.filter((entry) => entry.quilt === quilt));
  for (const entry of own)
    if (entry.kind === 'noted') {
      const { id, at, body } = entry;
      notes.set(id, { id, at, ...body, stage: stageOf(body.stage), earlier: [], struck: false });
    }
  // A correction may be dated before its note where two clocks differ.
  for (const entry of own) {
    const of = entry.kind === 'note-reworded' || entry.kind === 'note-struck' ? entry.body.note : null;
    const note = of === null ? undefined : notes.get(of);
    if (!note) continue;
    if (entry.kind === 'note-reworded' && entry.body.text !== note.text)
      notes.set(note.id, { ...note, text: entry.body.text, earlier: [...note.earlier, note.text] });
    if (entry.kind === 'note-struck') notes.set(note.id, { ...note, struck: entry.body.struck });
  }
  return [...notes.values()];
}
