import type { Stage } from '../choice/stages.ts';

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
  /** A way of sewing. */
  readonly way: (id: string) => string;
}

/** A line before neighbours are put together: `count` of what, `fold` the same for what belongs together. */
export interface Raw extends Omit<JournalLine, 'text'> {
  readonly fold: string | null;
  readonly count: number;
  readonly say: (count: number) => string;
  /** Of a change: from what to what, so that several of one field tell the first and the last. */
  readonly change?: { readonly what: string; readonly from: string; readonly to: string };
}

/** A line of one entry, whatever is not said as it is for most. */
export const line = (
  { id, at }: { readonly id: string; readonly at: string },
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
