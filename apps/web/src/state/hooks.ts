import { useContext } from 'react';
import { useSelector } from 'react-redux';
import { CalmState } from './calm.ts';
import type { RootState } from './state.ts';

/** Reads the store as it is, also where all round is calm: what follows the hand. */
export const useLiveSelector = useSelector.withTypes<RootState>();

const NOTHING = () => undefined;

/** Reads the store as it is; inside what is calm, as it was a moment ago. */
export function useAppSelector<Selected>(
  selector: (state: RootState) => Selected,
  equal?: (a: Selected, b: Selected) => boolean,
): Selected {
  const calm = useContext(CalmState);
  const live = useSelector<RootState, Selected | undefined>(
    calm ? NOTHING : selector,
    equal as ((a: Selected | undefined, b: Selected | undefined) => boolean) | undefined,
  );
  return calm ? selector(calm) : (live as Selected);
}
