import { startTransition, useEffect, useState } from 'react';
import { useStore } from 'react-redux';
import { selectPlan } from '../state/selectors.ts';
import { workOutCalmly } from '../state/workedOut.ts';
import { CalmState } from '../state/calm.ts';
import type { RootState } from '../state/state.ts';

/** A hand that rests so long on a tape wants to see what its width means. */
const PAUSE_MS = 160;

/**
 * Whatever reads the store in here does so calmly while a tape is held: its figures are worked out when the hand pauses,
 * a part at a time, and drawn in slices between frames. The drawing itself reads the store as it is, and follows at once.
 */
export function DeferWhileDragging({ children }: { children: React.ReactNode }) {
  const store = useStore<RootState>();
  /** The state of a moment ago while a tape is held; null: as things are. */
  const [calm, setCalm] = useState<RootState | null>(null);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    let working = new AbortController();
    let known = store.getState();
    let calming = false;
    const settle = async ({ signal }: AbortController) => {
      const settled = store.getState();
      // What goes wrong in it goes wrong again, and is told, where it is drawn.
      await workOutCalmly(selectPlan(settled), signal).catch(() => undefined);
      if (signal.aborted) return;
      calming = settled.view.held;
      // Let go of, it is as things are again: in slices too, and nothing is drawn that was drawn before.
      startTransition(() => setCalm(calming ? settled : null));
    };
    const onChange = () => {
      const state = store.getState();
      if (state === known) return;
      known = state;
      const { held } = state.view;
      if (!held && !calming) return;
      clearTimeout(timer);
      working.abort();
      if (held && !calming) {
        calming = true;
        startTransition(() => setCalm(state));
        return;
      }
      working = new AbortController();
      timer = setTimeout(settle, held ? PAUSE_MS : 0, working);
    };
    const stop = store.subscribe(onChange);
    return () => {
      stop();
      clearTimeout(timer);
      working.abort();
    };
  }, [store]);
  return <CalmState value={calm}>{children}</CalmState>;
}
