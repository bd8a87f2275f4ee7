import type { ItemKind, ItemOf, OutboxItem } from './items.ts';
import type { Keeping } from './keeping.ts';
import { inRounds } from './rounds.ts';

/** How sending one item went: done, to be tried again, or refused for good. */
export type Outcome<A> =
  | { readonly went: 'done'; readonly answer: A }
  | { readonly went: 'not-yet'; readonly message: string }
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
  | { readonly what: 'not-yet'; readonly item: OutboxItem; readonly message: string; readonly again: number }
  | { readonly what: 'changed'; readonly items: readonly OutboxItem[] };

/** What the outbox needs from outside, so that tests can hold it still. */
export interface OutboxSurroundings<Answers extends Record<ItemKind, unknown>> {
  readonly keeping: Keeping;
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

/** Pauses between tries: the first, each as long again as the last, and the longest. */
const FIRST_PAUSE_MS = 1_000;
const LONGEST_PAUSE_MS = 60_000;

/**
 * What this browser still has to send, in one queue: kept before it is sent, sent one after another, tried again
 * with growing pauses, gone only when the server has taken it. Each tab sends its own, and what closed tabs left.
 */
export class Outbox<Answers extends Record<ItemKind, unknown>> {
  private pause = FIRST_PAUSE_MS;
  private timer: ReturnType<typeof setTimeout> | null = null;

  private readonly rounds = inRounds(async () => {
    await this.sendRound();
    await this.tellItems();
  });

  constructor(private readonly outside: OutboxSurroundings<Answers>) {}

  /** Keeps an item; it goes with the next round, which `send` begins. */
  async keep(item: OutboxItem): Promise<void> {
    await this.outside.keeping.putItem(item);
    await this.tellItems();
  }

  /** Takes an item out, sent or not. */
  async drop(id: string): Promise<void> {
    await this.outside.keeping.dropItem(id);
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
    return this.outside.keeping.items();
  }

  private async sendRound(): Promise<void> {
    const { tab, openTabs } = this.outside;
    const others = new Set([...(await openTabs())].filter((open) => open !== tab));
    const sent = new Set<number>();
    for (;;) {
      const items = (await this.items()).filter((item) => !others.has(item.tab));
      // What is of a quilt the server has refused waits with it.
      const held = new Set(
        items.flatMap((item) => (item.kind === 'quilt' && item.refused ? [item.quilt] : [])),
      );
      const next = items.find(
        (item) =>
          item.refused === undefined && !held.has(item.quilt) && !sent.has(item.order) && !isLanded(item),
      );
      if (!next) return;
      sent.add(next.order);
      if (!(await this.sendOne(next))) return;
    }
  }

  /** Whether to go on with the next. */
  private async sendOne(item: OutboxItem): Promise<boolean> {
    const { keeping, senders, tell, left } = this.outside;
    tell({ what: 'sending', item });
    const send = senders[item.kind] as (item: OutboxItem) => Promise<Outcome<Answers[ItemKind]>>;
    const outcome = await send(item);
    switch (outcome.went) {
      case 'done':
        this.pause = FIRST_PAUSE_MS;
        await keeping.settleItem(item.id, (now) => left(item, now, outcome.answer));
        tell({ what: 'sent', item, answer: outcome.answer } as OutboxEvent<Answers>);
        return true;
      case 'refused': {
        const { message, code, details } = outcome;
        // What was changed meanwhile was not refused yet.
        await keeping.settleItem(item.id, (now) =>
          now.order === item.order ? { ...now, refused: message } : now,
        );
        tell({ what: 'refused', item, message, code, details });
        return true;
      }
      case 'not-yet':
        tell({ what: 'not-yet', item, message: outcome.message, again: this.pause });
        this.timer = setTimeout(() => void this.send(), this.pause);
        this.pause = Math.min(2 * this.pause, LONGEST_PAUSE_MS);
        return false;
    }
  }

  private async tellItems(): Promise<void> {
    this.outside.tell({ what: 'changed', items: await this.items() });
  }
}

/** A picture that was made and waits for its quilt to be opened needs no sending. */
const isLanded = (item: OutboxItem): boolean => item.kind === 'picture' && item.made !== undefined;
