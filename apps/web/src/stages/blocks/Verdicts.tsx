import { type CutTo, formatWithUnit, type Unit, VERDICT_NAMES } from '@lattice/core';
import { Lengths } from '../../design/Lengths.tsx';
import type { Judged } from './sizes.ts';

/** How the pile stands at the size all are cut to, and how much of the work is done. */
export function Verdicts({ judged, cut, unit }: { judged: Judged; cut: CutTo; unit: Unit }) {
  const { kinds, toWork, worked } = judged;
  const counted = kinds.map(({ kind, count }) => `${count} ${VERDICT_NAMES[kind].toLowerCase()}`);
  return (
    <p className="counts" data-testid="verdicts">
      At{' '}
      <b>
        <Lengths text={formatWithUnit(cut.width, unit)} />
      </b>
      : {counted.join(', ') || 'nothing measured'}.
      {toWork > 0 && (
        <>
          {' '}
          {worked} of {toWork} worked off.
        </>
      )}
    </p>
  );
}
