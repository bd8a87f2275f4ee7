/** What can be gone to by Tab. */
const FOCUSABLE =
  'a[href], button:not([disabled]), input:not([disabled]), select:not([disabled]), textarea:not([disabled]), [tabindex]:not([tabindex="-1"])';

/** Where the focus last was: the element, what it lay in from the inside out, and which of the focusable ones in each it was. */
interface Place {
  readonly element: Element;
  readonly around: readonly { readonly inside: Element; readonly index: number }[];
}

const focusablesIn = (inside: Element): HTMLElement[] =>
  [...inside.querySelectorAll<HTMLElement>(FOCUSABLE)].filter(
    (element) => element.checkVisibility?.() !== false && element.closest('[inert], [hidden]') === null,
  );

function placeOf(element: Element): Place {
  const around: { inside: Element; index: number }[] = [];
  // Where the page itself gave way to another there is no place to keep: what holds every page is left out.
  for (
    let inside = element.parentElement;
    inside && inside.parentElement && inside.parentElement !== document.body;
    inside = inside.parentElement
  )
    around.push({ inside, index: -1 });
  return { element, around };
}

/** A place with the order of its neighbours, looked up before anything is taken away. */
const withOrder = ({ element, around }: Place): Place => ({
  element,
  around: around.map(({ inside }) => ({
    inside,
    index: focusablesIn(inside).indexOf(element as HTMLElement),
  })),
});

/**
 * The focus never falls to the page: where what had it is removed or switched off, it goes to what stands in its place,
 * or next to it. Answers what stops it.
 */
export function keepFocus(root: Document = document): () => void {
  let place: Place | null = null;
  const onFocus = (event: FocusEvent) => {
    place = event.target instanceof Element ? withOrder(placeOf(event.target)) : null;
  };
  // A press may take away what is pressed: its neighbours are looked up afresh just before.
  const onAct = () => {
    const { activeElement } = root;
    if (activeElement && activeElement !== root.body) place = withOrder(placeOf(activeElement));
  };
  const mend = () => {
    if (!place || (root.activeElement !== root.body && root.activeElement !== null)) return;
    const gone = !place.element.isConnected || place.element.matches(':disabled');
    if (!gone) return;
    for (const { inside, index } of place.around) {
      if (!inside.isConnected) continue;
      const there = focusablesIn(inside);
      const next = there[Math.min(Math.max(0, index), there.length - 1)];
      if (next) {
        next.focus({ preventScroll: true });
        return;
      }
    }
  };
  const watch = new MutationObserver(() => requestAnimationFrame(mend));
  watch.observe(root.body, {
    childList: true,
    subtree: true,
    attributes: true,
    attributeFilter: ['disabled'],
  });
  root.addEventListener('focusin', onFocus);
  root.addEventListener('keydown', onAct, true);
  root.addEventListener('pointerdown', onAct, true);
  return () => {
    watch.disconnect();
    root.removeEventListener('focusin', onFocus);
    root.removeEventListener('keydown', onAct, true);
    root.removeEventListener('pointerdown', onAct, true);
  };
}
