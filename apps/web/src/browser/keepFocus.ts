/** What can be gone to by Tab. */
const FOCUSABLE =
  'a[href], button:not([disabled]), input:not([disabled]), select:not([disabled]), textarea:not([disabled]), [tabindex]:not([tabindex="-1"])';

const canBeSeen = (element: HTMLElement): boolean =>
  element.checkVisibility?.() !== false && element.closest('[inert], [hidden]') === null;

/** A place between two nodes of a parent, where something was. */
interface Gap {
  readonly parent: Node;
  readonly next: Node | null;
}

/** What can be gone to at a place: what comes after it in its parent, or else the last before it; further out where there is nothing. */
function nearest({ parent, next }: Gap): HTMLElement | null {
  // Where the page itself gave way to another there is no place to keep: what holds every page is left out.
  if (!(parent instanceof Element) || parent === document.body || parent.parentElement === document.body)
    return null;
  const there = [...parent.querySelectorAll<HTMLElement>(FOCUSABLE)].filter(canBeSeen);
  const isAfter = (element: Element) =>
    next !== null &&
    (next.contains(element) ||
      (next.compareDocumentPosition(element) & Node.DOCUMENT_POSITION_FOLLOWING) !== 0);
  return (
    there.find(isAfter) ??
    there.at(-1) ??
    (parent.parentElement ? nearest({ parent: parent.parentElement, next: parent.nextSibling }) : null)
  );
}

/**
 * The focus never falls to the page: where what had it is removed or switched off, it goes to what stands in its place,
 * or next to it. Answers what stops it.
 */
export function keepFocus(root: Document = document): () => void {
  let last: Element | null = null;
  let gap: Gap | null = null;
  const onFocus = (event: FocusEvent) => {
    last = event.target instanceof Element ? event.target : null;
    gap = null;
  };
  const mend = () => {
    const { activeElement } = root;
    if (!gap || !(activeElement === null || activeElement === root.body)) return;
    const { parent, next } = gap;
    gap = null;
    const there: Gap = { parent, next: next?.isConnected ? next : null };
    if (parent.isConnected) nearest(there)?.focus({ preventScroll: true });
  };
  const watch = new MutationObserver((records) => {
    if (!last) return;
    for (const { type, target, removedNodes, nextSibling } of records) {
      if (type === 'attributes') {
        if (target === last && last.matches(':disabled'))
          gap = { parent: last.parentNode!, next: last.nextSibling };
        continue;
      }
      // Of several things taken away one inside the other, the outermost is where there is still a place.
      if (
        [...removedNodes].some((node) => node.contains(last) || (gap !== null && node.contains(gap.parent)))
      )
        gap = { parent: target, next: nextSibling };
    }
    if (gap) requestAnimationFrame(mend);
  });
  watch.observe(root.body, {
    childList: true,
    subtree: true,
    attributes: true,
    attributeFilter: ['disabled'],
  });
  root.addEventListener('focusin', onFocus);
  return () => {
    watch.disconnect();
    root.removeEventListener('focusin', onFocus);
  };
}
