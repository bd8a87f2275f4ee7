import type { BandHandle, Plan } from '@lattice/core';
import { withBorderWidth } from './borderEdits.ts';
import { useEdit } from './useEdit.ts';

/** The plan with the length behind a tape's handle at `width`. */
function moved(plan: Plan, handle: BandHandle, width: number): Plan {
  if (handle.what === 'border') return withBorderWidth(plan, handle.index, handle.side, width);
  if (handle.what === 'overhang') return { ...plan, backing: { ...plan.backing, overhang: width } };
  return { ...plan, setting: { ...plan.setting, [handle.key]: width } as Plan['setting'] };
}

/** Moves what a tape's handle moves; answers what is wrong with the width, or null. */
export function useMoveBand() {
  const edit = useEdit();
  return (handle: BandHandle, width: number, gesture: string) =>
    edit((plan) => moved(plan, handle, width), gesture);
}
