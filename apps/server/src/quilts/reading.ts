import { parseLength, type Plan, type PileBlock, proposedCut, type Unit, verdictOn } from '@lattice/core';
import { z } from 'zod';
import { Refusal } from '../errors.ts';

/** A length as it is written, "12 1/2", or a number in the plan's unit. */
const length = z.union([z.number().positive().max(1000), z.string().trim().min(1).max(40)]);
const PLACES = ['top', 'bottom', 'left', 'right'] as const;

/** What a block measured: across and down in the middle, and along its sides where that was measured too. */
export const readingBody = z.strictObject({
  /** Its id, or the name it has. */
  block: z.string().min(1).max(80),
  width: length,
  height: length,
  edges: z.strictObject({ top: length, bottom: length, left: length, right: length }).optional(),
  by: z.string().trim().max(60).default(''),
});
export type Reading = z.infer<typeof readingBody>;

/** A plan with what one of its blocks measured, and what is to be done with that one now. */
export function withReading(plan: Plan, reading: Reading) {
  const at = plan.pile.findIndex(({ id, name }) => id === reading.block || name === reading.block);
  const had = plan.pile[at];
  if (!had) throw new Refusal(404, 'no-such-block', `No block of this quilt is called “${reading.block}”.`);
  const read = (said: number | string) => lengthIn(said, plan.unit);
  const block: PileBlock = {
    ...had,
    width: read(reading.width),
    height: read(reading.height),
    edges:
      reading.edges &&
      (Object.fromEntries(PLACES.map((place) => [place, read(reading.edges![place])])) as PileBlock['edges']),
  };
  const changed: Plan = { ...plan, pile: plan.pile.map((one, i) => (i === at ? block : one)) };
  const { kind, text } = verdictOn(block, proposedCut(changed), plan.unit, plan.seam);
  return { plan: changed, verdict: { block: block.id, name: block.name, kind, text } };
}

function lengthIn(said: number | string, unit: Unit): number {
  if (typeof said === 'number') return said;
  const read = parseLength(said, unit);
  if (!read.ok || read.value <= 0)
    throw new Refusal(400, 'bad-length', `“${said}” is no length: write it like 12 1/2, or 31.8.`);
  return read.value;
}
