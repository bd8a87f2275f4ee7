import { z } from 'zod';
import { partMeasured, seamsRipped, seamsSewn, sewingChosen, sewingDone } from './sewing-kinds.ts';
import { bought, purchaseCancelled, shopHeld, holdReleased } from './shop-kinds.ts';
import { stashMoved, stashPut } from './stash-kinds.ts';
import { blocksAsked, makerThanked } from './group-kinds.ts';
import { noted, noteReworded, noteStruck, planChanged } from './journal-kinds.ts';
import { dueDateSet, hoursSet, practised } from './maker-kinds.ts';
import { quiltMeasured, recordFieldSet } from './record-kinds.ts';
import { clockMoved, clockStarted, clockStopped, timeNoted, sittingExcluded } from './time-kinds.ts';
import { cuttingPlanned, cutLost, stepCut, stepUncut } from './cutting-kinds.ts';

/** A side in the plan's unit as it then was. */
const side = z.number().positive().max(10_000);
const bookingNumber = z.string().trim().min(1).max(40);

/** Quilting booked with a long-arm service: at which sizes, for how much, from when until when. */
const booked = z.strictObject({
  number: bookingNumber,
  unit: z.enum(['in', 'cm']),
  width: side,
  height: side,
  price: z.number().min(0),
  starts: z.iso.date(),
  ready: z.iso.date(),
});

/** Such a booking taken back. */
const bookingCancelled = z.strictObject({ number: bookingNumber });

/** What can be logged, and what each says. A new kind is one line here; its reader is a file beside this one. */
export const ENTRY_KINDS = {
  booked,
  'booking-cancelled': bookingCancelled,
  'cutting-planned': cuttingPlanned,
  'step-cut': stepCut,
  'step-uncut': stepUncut,
  'cut-lost': cutLost,
  'stash-put': stashPut,
  'stash-moved': stashMoved,
  'shop-held': shopHeld,
  'shop-let-go': holdReleased,
  bought,
  'bought-not': purchaseCancelled,
  'sewing-chosen': sewingChosen,
  'seams-sewn': seamsSewn,
  'seams-ripped': seamsRipped,
  'sewing-done': sewingDone,
  'part-measured': partMeasured,
  noted,
  'note-reworded': noteReworded,
  'note-struck': noteStruck,
  'plan-changed': planChanged,
  'clock-started': clockStarted,
  'clock-moved': clockMoved,
  'clock-stopped': clockStopped,
  'time-noted': timeNoted,
  'time-struck': sittingExcluded,
  'hours-said': hoursSet,
  'due-said': dueDateSet,
  practised,
  'blocks-asked': blocksAsked,
  'maker-thanked': makerThanked,
  'record-said': recordFieldSet,
  'quilt-measured': quiltMeasured,
} as const;

/** Kinds that say something of cloth: what was cut, bought and set aside. Others change nothing of what is to buy. */
export const OF_CLOTH: ReadonlySet<keyof typeof ENTRY_KINDS> = new Set([
  ...(['cutting-planned', 'step-cut', 'step-uncut', 'cut-lost'] as const),
  ...(['stash-put', 'stash-moved', 'bought', 'bought-not'] as const),
] as const);

/** What each kind of entry says. */
export type EntryBody = { readonly [K in keyof typeof ENTRY_KINDS]: z.infer<(typeof ENTRY_KINDS)[K]> };
