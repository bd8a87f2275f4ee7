import { useEffect } from 'react';

/** What takes the space bar for itself. */
const HAS_SPACE =
  'button, input, textarea, select, [role=tab], [role=radio], [role=dialog], [contenteditable]';

/** The space bar does what the great button does, unless something else has the keyboard. */
export function useSpaceBar(act: (() => unknown) | null): void {
  useEffect(() => {
    if (!act) return;
    const pressed = (event: KeyboardEvent) => {
      const on = event.target as HTMLElement;
      if (event.code !== 'Space' || event.repeat || on.closest(HAS_SPACE)) return;
      event.preventDefault();
      act();
    };
    document.addEventListener('keydown', pressed);
    return () => document.removeEventListener('keydown', pressed);
  });
}
