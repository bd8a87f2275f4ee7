import type { JournalLine, Plan } from '@lattice/core';
import { STAGE_NAMES } from '../../state/stageNames.ts';

/** Where a line of the journal leads: what it is called, the address under the quilt's, and which of its parts. */
export interface LinePlace {
  readonly name: string;
  readonly to: string;
}

/** The place a line is about; null for one that is about the quilt as a whole, or about what is no longer there. */
export function placeOf(
  plan: Plan,
  { about, stage }: Pick<JournalLine, 'about' | 'stage'>,
): LinePlace | null {
  if (about.block !== undefined) {
    const block = plan.pile.find(({ id }) => id === about.block);
    return block ? { name: block.name, to: `blocks?sheet=${encodeURIComponent(`block ${block.id}`)}` } : null;
  }
  if (about.border !== undefined) {
    const at = plan.borders.findIndex(({ id }) => id === about.border);
    return at < 0 ? null : { name: `Border ${at + 1}`, to: 'borders' };
  }
  if (stage === '' || stage === 'journal') return null;
  return { name: STAGE_NAMES[stage], to: stage };
}
