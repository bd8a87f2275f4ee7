import type { LogEntry } from '../../log/entry.ts';
import type { EntryBody } from '../../log/kinds.ts';
import type { Names, Raw } from '../line.ts';
import { cuttingTells } from './cutting.ts';
import { groupTells } from './group.ts';
import { planTells } from './plan.ts';
import { sewingTells } from './sewing.ts';
import { shopTells } from './shop.ts';
import type { TellsOf } from './tell.ts';

/** Every kind there is: one that is left out is refused by the compiler, and none is passed over in silence. */
const TELLS: TellsOf<keyof EntryBody> = {
  ...planTells,
  ...cuttingTells,
  ...sewingTells,
  ...shopTells,
  ...groupTells,
  // Told by the readers of notes and sittings, for a note or a sitting has more than one entry.
  noted: null,
  'note-reworded': null,
  'note-struck': null,
  'clock-started': null,
  'clock-moved': null,
  'clock-stopped': null,
  'time-noted': null,
  'time-struck': null,
  // Of the maker, not of a quilt; or told on the record card.
  'hours-said': null,
  practised: null,
  'record-said': null,
};

/** What one entry says by itself. */
export function tellsOf(entry: LogEntry, names: Names): readonly Raw[] {
  const tell = TELLS[entry.kind] as ((entry: LogEntry, names: Names) => readonly Raw[]) | null;
  return tell?.(entry, names) ?? [];
}
