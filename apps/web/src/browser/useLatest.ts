import { useCallback, useEffect, useRef } from 'react';

/** A function that stays the same while what it does is always the latest. */
export function useLatest<A extends unknown[]>(act: (...args: A) => void): (...args: A) => void {
  const latest = useRef(act);
  useEffect(() => {
    latest.current = act;
  });
  return useCallback((...args: A) => latest.current(...args), []);
}
