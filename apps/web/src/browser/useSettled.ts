import { startTransition, useEffect, useState } from 'react';

/** What is not urgent may wait so long at most. */
const MOST_MS = 400;

/** False until the page has nothing more urgent to do: what is pressed, not looked at, is put together then. */
export function useSettled(): boolean {
  const [settled, setSettled] = useState(typeof requestIdleCallback === 'undefined');
  useEffect(() => {
    if (settled) return;
    const waits = requestIdleCallback(() => startTransition(() => setSettled(true)), { timeout: MOST_MS });
    return () => cancelIdleCallback(waits);
  }, [settled]);
  return settled;
}
