import type { Asked } from '@lattice/contract';
import type { LogEntry, ShopAnswer, ShopList, ShopOrder } from '@lattice/core';
import { Refusal } from '../errors.ts';
import type { LogRepository } from '../log/repository.ts';
import type { Shop } from './shop.ts';

type Held = Extract<LogEntry, { kind: 'shop-held' }>;
type LetGo = Extract<LogEntry, { kind: 'shop-let-go' }>;

/** The shop's held orders, kept in the log: asked twice with one entry, an order is held once. */
export class ShopHolds {
  constructor(
    private readonly shop: Shop,
    private readonly log: LogRepository,
    private readonly now: () => Date,
  ) {}

  /** What it has for a list. */
  async ask(list: ShopList): Promise<ShopAnswer> {
    return this.shop.answer(list, (await this.holds()).standing);
  }

  /** Holds an order; the entry it left in the log. @throws Refusal where it cannot */
  async hold(order: ShopOrder, { quilt, entry: id }: Asked): Promise<LogEntry> {
    const there = await this.log.find(id);
    if (there) return there;
    const { standing, ever } = await this.holds();
    const body = this.shop.hold(order, standing, ever);
    const entry: Held = { id, quilt, at: this.now().toISOString(), kind: 'shop-held', body };
    await this.log.add([entry]);
    return entry;
  }

  /** Lets an order go; the entry that says so. @throws Refusal where there is none of this number */
  async letGo(number: string, { quilt, entry: id }: Asked): Promise<LogEntry> {
    const { gone, numbers } = await this.holds();
    const before = gone.find((entry) => entry.body.number === number);
    if (before) return before;
    if (!numbers.has(number)) throw new Refusal('no-such-order', 'The shop holds no order of this number.');
    const entry: LetGo = { id, quilt, at: this.now().toISOString(), kind: 'shop-let-go', body: { number } };
    await this.log.add([entry]);
    return entry;
  }

  private async holds() {
    const entries = await this.log.ofKinds('shop-held', 'shop-let-go');
    const held = entries.filter((entry): entry is Held => entry.kind === 'shop-held');
    const gone = entries.filter((entry): entry is LetGo => entry.kind === 'shop-let-go');
    const back = new Set(gone.map((entry) => entry.body.number));
    return {
      ever: held.length,
      gone,
      standing: held.map((entry) => entry.body).filter(({ number }) => !back.has(number)),
      numbers: new Set(held.map((entry) => entry.body.number)),
    };
  }
}
