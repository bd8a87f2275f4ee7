import type { z } from 'zod';
import type { LogReader } from './log-kind.ts';
import { booked } from './booked.ts';
import { bookingCancelled } from './booking-cancelled.ts';
import { cuttingPlanned } from './cutting-planned.ts';
import { stepCut } from './step-cut.ts';
import { stepUncut } from './step-uncut.ts';
import { cutLost } from './cut-lost.ts';
import { stashPut } from './stash-put.ts';
import { stashMoved } from './stash-moved.ts';
import { shopHeld } from './shop-held.ts';
import { holdReleased } from './shop-let-go.ts';
import { bought } from './bought.ts';
import { purchaseCancelled } from './bought-not.ts';
import { sewingChosen } from './sewing-chosen.ts';
import { seamsSewn } from './seams-sewn.ts';
import { seamsRipped } from './seams-ripped.ts';
import { sewingDone } from './sewing-done.ts';
import { partMeasured } from './part-measured.ts';
import { noted } from './noted.ts';
import { noteReworded } from './note-reworded.ts';
import { noteStruck } from './note-struck.ts';
import { planChanged } from './plan-changed.ts';
import { clockStarted } from './clock-started.ts';
import { clockMoved } from './clock-moved.ts';
import { clockStopped } from './clock-stopped.ts';
import { timeNoted } from './time-noted.ts';
import { sittingExcluded } from './time-struck.ts';
import { hoursSet } from './hours-said.ts';
import { dueDateSet } from './due-said.ts';
import { practised } from './practised.ts';
import { blocksAsked } from './blocks-asked.ts';
import { makerThanked } from './maker-thanked.ts';
import { recordFieldSet } from './record-said.ts';
import { quiltMeasured } from './quilt-measured.ts';

/** What can be logged. A new kind is a file beside this one and a line here. */
export const LOG_KINDS = {
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

/** What each kind of entry carries. */
export type EntryBody = { readonly [K in keyof typeof LOG_KINDS]: z.infer<(typeof LOG_KINDS)[K]['body']> };

/** Readers that make something of cloth: what was cut, bought and set aside. */
const OF_CLOTH_READERS: ReadonlySet<LogReader> = new Set(['cut record', 'stash', 'purchases']);
/** Kinds that say something of cloth. Others change nothing of what is to buy. */
export const OF_CLOTH: ReadonlySet<keyof EntryBody> = new Set(
  (Object.keys(LOG_KINDS) as (keyof EntryBody)[]).filter((kind) =>
    LOG_KINDS[kind].readers.some((reader) => OF_CLOTH_READERS.has(reader)),
  ),
);
