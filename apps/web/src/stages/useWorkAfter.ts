import { type RefObject, useEffect, useRef } from 'react';

/**
 * When a sheet over the work is closed, the work has the keyboard again: space or a pedal goes on, and does not open the
 * sheet a second time.
 *
 * @param work what holds the button of the act to do now
 */
export function useWorkAfter(isOpen: boolean, work: RefObject<HTMLElement | null>): void {
  const wasOpen = useRef(isOpen);
  useEffect(() => {
    const closed = wasOpen.current && !isOpen;
    wasOpen.current = isOpen;
    if (!closed) return;
    // A sheet gives the keyboard back to what opened it in the frame after it is gone.
    let frame = requestAnimationFrame(() => {
      frame = requestAnimationFrame(() => work.current?.querySelector<HTMLElement>('button')?.focus());
    });
    return () => cancelAnimationFrame(frame);
  }, [isOpen, work]);
}
