import type { BodyRead } from '@lattice/contract';
import { parseLength, type Plan, type PileBlock, proposedCut, type Unit, verdictOn } from '@lattice/core';
import { Refusal } from '../errors.ts';

const PLACES = ['top', 'bottom', 'left', 'right'] as const;

/** What a block measured: across and down in the middle, and along its sides where that was measured too. */
export type Reading = BodyRead<'readBlock'>;

/** A plan with what one of its blocks measured, and what is to be done with that one now. */
export function withReading(plan: Plan, reading: Reading) {
  const at = plan.pile.findIndex(({ id, name }) => id === reading.block || name === reading.block);
  const had = plan.pile[at];
  if (!had) throw new Refusal('no-such-block', `No block of this quilt is called “${reading.block}”.`);
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
    throw new Refusal('bad-length', `“${said}” is no length: write it like 12 1/2, or 31.8.`);
  return read.value;
}
