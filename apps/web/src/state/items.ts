import type { MadePicture } from '@lattice/contract';
import type { LogEntry, LongArmJob, Plan } from '@lattice/core';

/** What every item of the outbox says: what it is of, who put it there, and in which order. */
interface Kept {
  /** Another item of the same id takes its place. */
  readonly id: string;
  readonly quilt: string;
  /** The tab that put it there. */
  readonly tab: string;
  /** Rises with every item; they are sent in this order. */
  readonly order: number;
  /** What the server said, where it will not take it; it then waits for the quilter's word. */
  readonly refused?: string;
}

/** A quilt changed in a tab, and the revision the change was made to. The tab's draft until the server has it. */
export interface PlanItem extends Kept {
  readonly kind: 'plan';
  readonly revision: number;
  readonly plan: Plan;
  /** The plan of that revision; of drafts from before it was kept, absent. */
  readonly base?: Plan;
  /** What was sent before it and not answered, if anything was. */
  readonly unanswered?: readonly Plan[];
}

/** A new quilt, under an id made here. */
interface QuiltItem extends Kept {
  readonly kind: 'quilt';
  readonly plan: Plan;
}

/** Something that happened, for the log. */
export interface EntryItem extends Kept {
  readonly kind: 'entry';
  readonly entry: LogEntry;
}

/**
 * A picture of a block, or a photo of a note (of no block: the note names it by this item's id). What the server made of
 * a block's waits here too, until the quilt is open to take it.
 */
interface PictureItem extends Kept {
  readonly kind: 'picture';
  readonly block: string | null;
  readonly file: Blob;
  readonly made?: MadePicture;
}

/** A job to book with the long-arm service; `entry` is the id its entry of the log will have. */
interface BookingItem extends Kept {
  readonly kind: 'booking';
  readonly entry: string;
  readonly job: LongArmJob;
}

/** A booking to take back. */
interface CancelItem extends Kept {
  readonly kind: 'cancel';
  readonly entry: string;
  readonly number: string;
}

export type OutboxItem = PlanItem | QuiltItem | EntryItem | PictureItem | BookingItem | CancelItem;
export type ItemKind = OutboxItem['kind'];
export type ItemOf<K extends ItemKind> = Extract<OutboxItem, { kind: K }>;

/** The draft a tab has of a quilt: one item, however often it changes. */
export const draftId = (quilt: string, tab: string): string => `plan-${quilt}-${tab}`;

/** How each kind is counted: "1 new quilt, 2 pictures". */
export const ITEM_WORDS: Readonly<Record<ItemKind, readonly [one: string, many: string]>> = {
  plan: ['change', 'changes'],
  quilt: ['new quilt', 'new quilts'],
  entry: ['note of the log', 'notes of the log'],
  picture: ['picture', 'pictures'],
  booking: ['booking', 'bookings'],
  cancel: ['cancelled booking', 'cancelled bookings'],
};
