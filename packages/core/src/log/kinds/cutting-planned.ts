import { z } from 'zod';
import { LIMITS } from '../../soundness/limits.ts';
import { line } from '../line.ts';
import { cloth, key, size, unit } from './fields.ts';
import { keyInCopy } from '../leftover-key.ts';
import { logKind, type NameOf } from './log-kind.ts';

/** Whole units of a cloth, as its plan is made in. */
const units = z.number().int().min(0).max(10_000_000);
const box = z.strictObject({ x: units, y: units, w: units, h: units, stock: key.optional() });
/** Where everything lies on a cloth: the plan that was begun to be cut. */
const sheet = z.strictObject({
  length: units,
  cuts: z.array(box.extend({ key })).max(10_000),
  runs: z
    .array(
      z.strictObject({
        width: units,
        joins: z.enum(['diagonal', 'straight']),
        pieces: z.array(z.strictObject({ key, count: z.number().int().min(0).max(10_000) })).max(1000),
        segments: z.array(box).max(10_000),
      }),
    )
    .max(1000),
  strips: z.array(units).max(10_000),
});

/** Where a box lies, with the leftover it is cut from called as it is in the copy. */
const boxInCopy = <T extends { readonly stock?: string | undefined }>(place: T, nameOf: NameOf): T =>
  place.stock === undefined ? place : { ...place, stock: keyInCopy(place.stock, nameOf) };

/**
 * The cutting of a cloth was begun, by this plan. `wants` is what the quilt then wanted of the cloth: while it wants
 * the same, this is the plan it is cut by, wherever it is looked at.
 */
export const cuttingPlanned = logKind({
  body: z.strictObject({
    cloth,
    unit,
    wants: z.string().min(2).max(LIMITS.letters),
    /** Pieces left of it that are used first. */
    stock: z.array(z.strictObject({ key, w: size, h: size, name: z.string().max(80).optional() })).max(2000),
    sheet,
  }),
  readers: ['cut record'],
  inCopy: (body, nameOf) => ({
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
  says: (entry, { cloth }) => {
    const { body } = entry;
    return [line(entry, 'cut', 'cut', `Cutting of ${cloth(body.cloth)} begun`)];
  },
});
