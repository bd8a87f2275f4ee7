import type { LogEntry, Plan } from '@lattice/core';
import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { OutboxItem } from '../../state/items.ts';

/** Undo and redo of a quilt, nearest step last in the past and first in the future. */
interface KeptHistory {
  readonly quilt: string;
  readonly past: readonly Plan[];
  readonly present: Plan;
  readonly future: readonly Plan[];
}

/** What this browser keeps besides the server: the outbox, undo, and the log as far as it has been heard. */
export interface BrowserStore {
  /** False where the browser keeps nothing and all of it goes with the tab. */
  lasts(): Promise<boolean>;
  items(): Promise<OutboxItem[]>;
  putItem(item: OutboxItem): Promise<void>;
  /** Settles an item that was sent, in one step: what is left of it as it stands now; null takes it out. */
  settleItem(id: string, left: (now: OutboxItem) => OutboxItem | null): Promise<void>;
  dropItem(id: string): Promise<void>;
  history(quilt: string): Promise<KeptHistory | null>;
  keepHistory(history: KeptHistory): Promise<void>;
  log(): Promise<{ readonly entries: LogEntry[]; readonly heardTo: number }>;
  addToLog(entries: readonly LogEntry[], heardTo?: number): Promise<void>;
}

interface LatticeDb extends DBSchema {
  outbox: { key: string; value: OutboxItem };
  history: { key: string; value: KeptHistory };
  log: { key: string; value: LogEntry };
  heard: { key: 'to'; value: number };
}

const NAME = 'lattice';

/** Opens what this browser keeps; where it keeps nothing (a private window, no room), memory in its place. */
export async function openBrowserStore(): Promise<BrowserStore> {
  try {
    const db = await openDB<LatticeDb>(NAME, 1, {
      upgrade(fresh) {
        fresh.createObjectStore('outbox', { keyPath: 'id' });
        fresh.createObjectStore('history', { keyPath: 'quilt' });
        fresh.createObjectStore('log', { keyPath: 'id' });
        fresh.createObjectStore('heard');
      },
    });
    return inDatabase(db);
  } catch {
    return inMemory();
  }
}

/** One that is still being opened: whatever is asked of it waits for that. */
export function whenOpen(opening: Promise<BrowserStore>): BrowserStore {
  return {
    lasts: async () => (await opening).lasts(),
    items: async () => (await opening).items(),
    putItem: async (item) => (await opening).putItem(item),
    settleItem: async (id, left) => (await opening).settleItem(id, left),
    dropItem: async (id) => (await opening).dropItem(id),
    history: async (quilt) => (await opening).history(quilt),
    keepHistory: async (history) => (await opening).keepHistory(history),
    log: async () => (await opening).log(),
    addToLog: async (entries, heardTo) => (await opening).addToLog(entries, heardTo),
  };
}

const byOrder = (items: OutboxItem[]) => items.sort((a, b) => a.order - b.order);

function inDatabase(db: IDBPDatabase<LatticeDb>): BrowserStore {
  return {
    lasts: async () => true,
    items: async () => byOrder(await db.getAll('outbox')),
    putItem: async (item) => void (await db.put('outbox', item)),
    dropItem: async (id) => db.delete('outbox', id),
    async settleItem(id, left) {
      const step = db.transaction('outbox', 'readwrite');
      const now = await step.store.get(id);
      const rest = now && left(now);
      if (now) await (rest ? step.store.put(rest) : step.store.delete(id));
      await step.done;
    },
    history: async (quilt) => (await db.get('history', quilt)) ?? null,
    keepHistory: async (history) => void (await db.put('history', history)),
    async log() {
      const step = db.transaction(['log', 'heard']);
      const entries = await step.objectStore('log').getAll();
      return { entries, heardTo: (await step.objectStore('heard').get('to')) ?? 0 };
    },
    async addToLog(entries, heardTo) {
      const step = db.transaction(['log', 'heard'], 'readwrite');
      for (const entry of entries) await step.objectStore('log').put(entry);
      if (heardTo !== undefined) await step.objectStore('heard').put(heardTo, 'to');
      await step.done;
    },
  };
}

/** The same for as long as the tab is open. */
export function inMemory(): BrowserStore {
  const items = new Map<string, OutboxItem>();
  const histories = new Map<string, KeptHistory>();
  const entries = new Map<string, LogEntry>();
  let heard = 0;
  return {
    lasts: async () => false,
    items: async () => byOrder([...items.values()]),
    putItem: async (item) => void items.set(item.id, item),
    dropItem: async (id) => void items.delete(id),
    async settleItem(id, left) {
      const now = items.get(id);
      const rest = now && left(now);
      if (rest) items.set(id, rest);
      else items.delete(id);
    },
    history: async (quilt) => histories.get(quilt) ?? null,
    keepHistory: async (history) => void histories.set(history.quilt, history),
    log: async () => ({ entries: [...entries.values()], heardTo: heard }),
    async addToLog(more, heardTo) {
      for (const entry of more) entries.set(entry.id, entry);
      heard = heardTo ?? heard;
    },
  };
}
