/** Some letters and digits that nobody else has: for what is made in this browser. */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  return Array.from(bytes, (byte) => byte.toString(16).padStart(2, '0')).join('');
}

const LOCK = 'lattice-tab-';

/** This tab for as long as it is open, known to the others by a lock it holds. */
export function openTab(): { readonly tab: string; readonly openTabs: () => Promise<ReadonlySet<string>> } {
  const tab = newId();
  const locks = globalThis.navigator?.locks;
  // Where a browser has no locks, every tab is on its own and takes up what others left when it is opened.
  if (!locks) return { tab, openTabs: async () => new Set([tab]) };
  void locks.request(`${LOCK}${tab}`, () => new Promise<void>(() => undefined));
  return {
    tab,
    async openTabs() {
      const { held = [] } = await locks.query();
      const names = held.flatMap(({ name }) => (name?.startsWith(LOCK) ? [name.slice(LOCK.length)] : []));
      return new Set([...names, tab]);
    },
  };
}

let last = 0;

/** A number that rises with every item, whichever tab makes it: by the clock, and within a moment one by one. */
export function nextOrder(): number {
  last = Math.max(Date.now() * 1000, last + 1);
  return last;
}
