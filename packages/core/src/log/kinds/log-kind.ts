import type { z } from 'zod';
import type { Names, Raw } from '../line.ts';

/** Everything that reads the log, by what it makes of it; and in which file it stands. */
export const LOG_READERS = {
  bookings: 'log/booking.ts',
  'cut record': 'log/cut-record.ts',
  stash: 'log/stash.ts',
  holds: 'log/shop-holds.ts',
  purchases: 'log/bought.ts',
  'sewing record': 'log/sew-record.ts',
  notes: 'journal/notes.ts',
  journal: 'journal/lines.ts',
  sittings: 'clock/sittings.ts',
  'look back': 'schedule/look-back.ts',
  hours: 'schedule/hours.ts',
  practice: 'practice/spaced.ts',
  group: 'group/group.ts',
  'record card': 'record/card.ts',
  'measured after': 'record/measured-after.ts',
} as const;
export type LogReader = keyof typeof LOG_READERS;

/** One entry as its own words are made from it. */
interface Said<Body> {
  readonly id: string;
  readonly at: string;
  readonly body: Body;
}

/** The id an entry of the quilt has in its copy; one that is not the quilt's keeps its own. */
export type NameOf = (entry: string) => string;

/** Something that can be logged. */
export interface LogKind<Body extends z.ZodType> {
  /** What an entry of it carries. */
  readonly body: Body;
  /** Who makes something of it; what nobody reads need not be written. */
  readonly readers: readonly [LogReader, ...LogReader[]];
  /**
   * What a copy of the quilt says where the quilt said this: the same; nothing, for what there is one of stays with the
   * quilt that has it (a booking has one number at its service, hours were worked once, the stash is everybody's); or
   * with the entries it names called as they are in the copy.
   */
  readonly inCopy: 'same' | 'stays' | ((body: z.infer<Body>, nameOf: NameOf) => z.infer<Body>);
  /** What the journal says of one, entry by entry; null where it says nothing, or another reader tells it whole. */
  readonly says: ((entry: Said<z.infer<Body>>, names: Names) => readonly Raw[]) | null;
}

/** A kind as it stands in its file. */
export const logKind = <Body extends z.ZodType>(kind: LogKind<Body>): LogKind<Body> => kind;
