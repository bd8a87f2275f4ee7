import type { Binding } from '@lattice/core';
import { useAppSelector } from '../../state/hooks.ts';
import { FigureLine } from '../../rooms/figures/Line.tsx';
import { selectPlan } from '../../state/selectors.ts';
import { StockList } from '../../rooms/stash/StockList.tsx';

/** Leftover strips of any width to use up in a binding of many cloths, and what is still wanting. */
export function LeftoverStrips({ binding: { leftovers, cutWidth } }: { binding: Binding }) {
  const { unit } = useAppSelector(selectPlan);
  return (
    <>
      <StockList
        job="binding"
        // A whole length of cloth is cut from, not used up.
        fits={({ kind, width, length }) =>
          kind !== 'batting' && kind !== 'yardage' && Math.min(width, length) >= cutWidth
        }
        usual={{ width: unit === 'in' ? 20 : 50, length: cutWidth }}
      />
      {leftovers && (
        <ul data-testid="leftovers">
          <FigureLine name="The leftovers reach" figure={leftovers.reach} unit={unit} />
          <FigureLine name="Still wanting" figure={leftovers.wanting} unit={unit} />
        </ul>
      )}
    </>
  );
}
