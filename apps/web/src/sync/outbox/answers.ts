import type { AnswerOf, MadePicture, Saved, StoredQuilt } from '@lattice/contract';
import type { LogEntry } from '@lattice/core';
import type { ItemKind } from '../../state/items.ts';

/** What the server answers to each kind of item. */
export interface Answers extends Record<ItemKind, unknown> {
  readonly plan: Saved;
  readonly quilt: StoredQuilt;
  readonly entry: null;
  readonly picture: MadePicture;
  readonly booking: AnswerOf<'bookLongArm'>;
  /** Null where the service knew of no such booking: it is as good as taken back. */
  readonly cancel: LogEntry | null;
}
