import type { ItemKind, ItemOf, OutboxItem } from '../../state/items.ts';
import type { BrowserStore } from './browserStore.ts';
import { inRounds } from './rounds.ts';

/** How sending one item went: done, to be tried again, or refused for good. */
export type Outcome<A> =
  | { readonly went: 'done'; readonly answer: A }
  /** `alone`: the trouble is this item's, a fault in how it is taken; what does not depend on it goes on. */
  | { readonly went: 'not-yet'; readonly message: string; readonly alone?: true }
  | { readonly went: 'refused'; readonly message: string; readonly details: unknown; readonly code: string };

/** What the server answers to each kind, and how each is sent. */
export type Senders<Answers extends Record<ItemKind, unknown>> = {
  readonly [K in ItemKind]: (item: ItemOf<K>) => Promise<Outcome<Answers[K]>>;
};

/** What the outbox tells of: an item on its way, arrived or refused, and how things stand. */
export type OutboxEvent<Answers extends Record<ItemKind, unknown>> =
  | { readonly what: 'sending'; readonly item: OutboxItem }
  | {
      [K in ItemKind]: { readonly what: 'sent'; readonly item: ItemOf<K>; readonly answer: Answers[K] };
    }[ItemKind]
  | {
      readonly what: 'refused';
      readonly item: OutboxItem;
      readonly message: string;
      readonly code: string;
      readonly details: unknown;
    }
  | {
      readonly what: 'not-yet';
      readonly item: OutboxItem;
      readonly message: string;
      readonly again: number;
      readonly alone: boolean;
    }
  | { readonly what: 'changed'; readonly items: readonly OutboxItem[] };

/** What the outbox needs from outside, so that tests can hold it still. */
export interface OutboxSurroundings<Answers extends Record<ItemKind, unknown>> {
  readonly browser: BrowserStore;
  readonly senders: Senders<Answers>;
  /** This tab, and those that are still open. */
  readonly tab: string;
  readonly openTabs: () => Promise<ReadonlySet<string>>;
  readonly tell: (event: OutboxEvent<Answers>) => void;
  /**
   * What is left of an item once it has arrived, as it stands now; null when nothing is. A draft that was changed
   * on its way is then one made to the new revision; a picture waits for its quilt.
   */
  readonly left: (sent: OutboxItem, now: OutboxItem, answer: unknown) => OutboxItem | null;
}

/** An item that failed so often by itself will not go by itself any more: it waits for the quilter's word. */
const TRIES_ALONE = 5;
/** Said of an item that this program cannot even try to send. */
const UNKNOWN = 'This version of the app does not know what it is. Save it as a file, or reload the page.';

/** Pauses between tries: the first, each as long again as the last, and the longest. */
const FIRST_PAUSE_MS = 1_000;
const LONGEST_PAUSE_MS = 60_000;

/**
 * What this browser still has to send, in one queue: kept before it is sent, sent one after another, tried again
 * with growing pauses, gone only when the server has taken it. Each tab sends its own, and what closed tabs left.
 */
export class Outbox<Answers extends Record<ItemKind, unknown>> {
  /** How often each item failed by itself, since this tab was opened. */
  private readonly failures = new Map<string, number>();
  private pause = FIRST_PAUSE_MS;
  private timer: ReturnType<typeof setTimeout> | null = null;

  private readonly rounds = inRounds(async () => {
    await this.sendRound();
    await this.tellItems();
  });

  constructor(private readonly outside: OutboxSurroundings<Answers>) {}

  /** Keeps an item; it goes with the next round, which `send` begins. */
  async keep(item: OutboxItem): Promise<void> {
    await this.outside.browser.putItem(item);
    await this.tellItems();
  }

  /** Takes an item out, sent or not. */
  async drop(id: string): Promise<void> {
    await this.outside.browser.dropItem(id);
    await this.tellItems();
  }

  /** Sends what there is now, after whatever is on its way. */
  send(): Promise<void> {
    if (this.timer) clearTimeout(this.timer);
    this.timer = null;
    return this.rounds();
  }

  /** What waits, of this tab and of all others. */
  items(): Promise<OutboxItem[]> {
    return this.outside.browser.items();
  }

  private async sendRound(): Promise<void> {
    const { tab, openTabs } = this.outside;
    const others = new Set([...(await openTabs())].filter((open) => open !== tab));
    const sent = new Set<number>();
    // Quilts of which something failed in this round: what comes after it is not sent before it.
    const behind = new Set<string>();
    for (;;) {
      const items = (await this.items()).filter((item) => !others.has(item.tab));
      // What is of a quilt the server has refused waits with it.
      const held = new Set(
        items.flatMap((item) => (item.kind === 'quilt' && item.refused ? [item.quilt] : [])),
      );
      const next = items.find(
        (item) =>
          item.refused === undefined &&
          !held.has(item.quilt) &&
          !behind.has(item.quilt) &&
          !sent.has(item.order) &&
          !isLanded(item),
      );
      if (!next) return;
      sent.add(next.order);
      const goes = await this.sendOne(next);
      if (goes === 'no further') return;
      if (goes === 'behind it') behind.add(next.quilt);
    }
  }

  /** What the server answers to it; whatever is wrong with the item itself is an answer too. */
  private async ask(item: OutboxItem): Promise<Outcome<Answers[ItemKind]>> {
    const send = this.outside.senders[item.kind] as
      ((item: OutboxItem) => Promise<Outcome<Answers[ItemKind]>>) | undefined;
    if (!send) return { went: 'refused', code: 'unknown-kind', message: UNKNOWN, details: null };
    try {
      return await send(item);
    } catch (error) {
      return { went: 'not-yet', message: `It could not be sent: ${(error as Error).message}.`, alone: true };
    }
  }

  /** Whether to go on with the next, with all but what comes after this one, or not at all. */
  private async sendOne(item: OutboxItem): Promise<'on' | 'behind it' | 'no further'> {
    const { browser, tell, left } = this.outside;
    tell({ what: 'sending', item });
    const outcome = this.lastTry(item, await this.ask(item));
    switch (outcome.went) {
      case 'done':
        this.failures.delete(item.id);
        this.pause = FIRST_PAUSE_MS;
        await browser.settleItem(item.id, (now) => left(item, now, outcome.answer));
        tell({ what: 'sent', item, answer: outcome.answer } as OutboxEvent<Answers>);
        return 'on';
      case 'refused': {
        const { message, code, details } = outcome;
        // What was changed meanwhile was not refused yet.
        await browser.settleItem(item.id, (now) =>
          now.order === item.order ? { ...now, refused: message } : now,
        );
        tell({ what: 'refused', item, message, code, details });
        return 'on';
      }
      case 'not-yet':
        tell({
          ...{ what: 'not-yet', item, message: outcome.message, again: this.pause },
          alone: outcome.alone ?? false,
        });
        if (this.timer) clearTimeout(this.timer);
        this.timer = setTimeout(() => void this.send(), this.pause);
        this.pause = Math.min(2 * this.pause, LONGEST_PAUSE_MS);
        return outcome.alone ? 'behind it' : 'no further';
    }
  }

  /**
   * An item that keeps failing by itself is refused in the end, and kept: whoever sits here can save it or let it go. A
   * quilt's own changes go on being tried: the quilt shows that they wait.
   */
  private lastTry<A>(item: OutboxItem, outcome: Outcome<A>): Outcome<A> {
    if (outcome.went !== 'not-yet' || !outcome.alone) return outcome;
    const failed = (this.failures.get(item.id) ?? 0) + 1;
    this.failures.set(item.id, failed);
    if (failed < TRIES_ALONE || item.kind === 'plan') return outcome;
    this.failures.delete(item.id);
    return { went: 'refused', code: 'gave-up', message: outcome.message, details: null };
  }

  /** Has an item that was refused tried again with the next round, which this begins. */
  async tryAgain(id: string): Promise<void> {
    await this.outside.browser.settleItem(id, ({ refused: _, ...item }) => item as OutboxItem);
    await this.send();
  }

  private async tellItems(): Promise<void> {
    this.outside.tell({ what: 'changed', items: await this.items() });
  }
}

/** A picture that was made and waits for its quilt to be opened needs no sending. */
const isLanded = (item: OutboxItem): boolean => item.kind === 'picture' && item.made !== undefined;
