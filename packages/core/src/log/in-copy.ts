import { keyInCopy, stepInCopy } from './cut-record.ts';
import type { LogEntry } from './entry.ts';
import type { EntryBody } from './kinds.ts';

/** The id an entry of the quilt has in its copy; one that is not the quilt's keeps its own. */
type NameOf = (entry: string) => string;

/** What a copy of a quilt says where the quilt said this; null where it says nothing. */
type InCopy = {
  readonly [K in keyof EntryBody]: (body: EntryBody[K], nameOf: NameOf) => EntryBody[K] | null;
};

/** Says the same of the copy as of the quilt. */
const same = <T>(body: T): T => body;
/** There is one of it, and it stays with the quilt that has it. */
const stays = (): null => null;

type Box = EntryBody['cutting-planned']['sheet']['cuts'][number];
const boxInCopy = <T extends Pick<Box, 'stock'>>(box: T, nameOf: NameOf): T =>
  box.stock === undefined ? box : { ...box, stock: keyInCopy(box.stock, nameOf) };

/**
 * By kind: where a body holds ids of other entries, and what belongs to one quilt alone. Bookings and orders have one
 * number at their service; hours were worked once, and counted twice they would spoil a maker's pace; the stash is
 * everybody's.
 */
const IN_COPY: InCopy = {
  booked: stays,
  'booking-cancelled': stays,
  'cutting-planned': (body, nameOf) => ({
    ...body,
    stock: body.stock.map((piece) => ({ ...piece, key: keyInCopy(piece.key, nameOf) })),
    sheet: {
      ...body.sheet,
      cuts: body.sheet.cuts.map((box) => boxInCopy(box, nameOf)),
      runs: body.sheet.runs.map((run) => ({
        ...run,
        segments: run.segments.map((box) => boxInCopy(box, nameOf)),
      })),
    },
  }),
  'step-cut': (body, nameOf) => ({
    ...body,
    plan: nameOf(body.plan),
    step: stepInCopy(body.step, nameOf),
    uses: body.uses.map((key) => keyInCopy(key, nameOf)),
  }),
  'step-uncut': ({ entries }, nameOf) => ({ entries: entries.map(nameOf) }),
  'cut-lost': same,
  'stash-put': stays,
  'stash-moved': stays,
  'shop-held': stays,
  'shop-let-go': stays,
  bought: same,
  'bought-not': same,
  'sewing-chosen': same,
  'seams-sewn': same,
  'seams-ripped': same,
  'sewing-done': same,
  'part-measured': same,
  noted: same,
  'note-reworded': (body, nameOf) => ({ ...body, note: nameOf(body.note) }),
  'note-struck': (body, nameOf) => ({ ...body, note: nameOf(body.note) }),
  'plan-changed': same,
  'clock-started': stays,
  'clock-moved': stays,
  'clock-stopped': stays,
  'time-noted': stays,
  'time-struck': stays,
  'hours-said': stays,
  'due-said': same,
  practised: stays,
  'blocks-asked': same,
  'maker-thanked': same,
  'record-said': same,
  'quilt-measured': same,
};

/**
 * The log of a copy of a quilt: its entries under ids of their own, naming one another by those. Ids are known by the
 * field that holds them, never by what a text happens to say.
 *
 * @param log the quilt's own entries
 */
export function logInCopy(
  log: readonly LogEntry[],
  { quilt, newId }: { readonly quilt: string; readonly newId: () => string },
): LogEntry[] {
  const names = new Map(log.map(({ id }) => [id, newId()]));
  const nameOf: NameOf = (entry) => names.get(entry) ?? entry;
  return log.flatMap((entry): LogEntry[] => {
    const inCopy = IN_COPY[entry.kind] as (body: LogEntry['body'], of: NameOf) => LogEntry['body'] | null;
    const body = inCopy(entry.body, nameOf);
    return body === null ? [] : [{ ...entry, id: nameOf(entry.id), quilt, body } as LogEntry];
  });
}
