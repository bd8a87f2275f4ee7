import { type LogEntry, logEntrySchema, type Plan, readPlanShape } from '@lattice/core';
import { z } from 'zod';

/** A plan as it is sent: read by the plan's own reader, described by its own schema. */
export const plan = z.custom<Plan>((value) => readPlanShape(value).ok);
/** An entry of the log as it is sent. */
export const entry = z.custom<LogEntry>((value) => logEntrySchema.safeParse(value).success);

/** Shapes with a description of their own, which others point to by name. */
export const NAMED: ReadonlyMap<unknown, 'Plan' | 'Entry'> = new Map<unknown, 'Plan' | 'Entry'>([
  [plan, 'Plan'],
  [entry, 'Entry'],
]);
