import type { Numbers } from '@lattice/contract';
import { createHistogram } from 'node:perf_hooks';
import type { RequestHandler } from 'express';
import type { Tell } from './request-log.ts';

/** How many requests there were, how they went, and how long they took; since the server started. */
type Counted = Omit<Numbers, 'databaseBytes' | 'lastBackup' | 'unreadable'>;

/** Counts requests as they are answered. */
export class Counter {
  private requests = 0;
  private refused = 0;
  private failed = 0;
  private readonly took = createHistogram();

  /** @param tell hears of each as well; absent keeps quiet */
  constructor(
    private readonly since: Date,
    private readonly tell: Tell = () => undefined,
  ) {}

  readonly count: RequestHandler = (request, response, next) => {
    const began = performance.now();
    response.once('close', () => {
      this.requests++;
      if (response.statusCode >= 500) this.failed++;
      else if (response.statusCode >= 400) this.refused++;
      const ms = performance.now() - began;
      this.took.record(Math.max(1, Math.round(1e6 * ms)));
      this.tell(request, response, ms);
    });
    next();
  };

  numbers(): Counted {
    const ms = (percentile: number) =>
      this.took.count === 0 ? 0 : Math.round(this.took.percentile(percentile) / 1e4) / 100;
    const { requests, refused, failed } = this;
    return { since: this.since.toISOString(), requests, refused, failed, half: ms(50), most: ms(99) };
  }
}
