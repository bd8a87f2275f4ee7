import type { LogEntry } from '../../log/entry.ts';
import type { EntryBody } from '../../log/kinds.ts';
import type { Names, Raw } from '../line.ts';

/** One entry of a kind. */
type EntryOf<K extends keyof EntryBody> = Extract<LogEntry, { readonly kind: K }>;

/** What the journal says of each of these kinds, entry by entry; null where it says nothing, or another reader tells it whole. */
export type TellsOf<Kinds extends keyof EntryBody> = {
  readonly [K in Kinds]: ((entry: EntryOf<K>, names: Names) => readonly Raw[]) | null;
};
