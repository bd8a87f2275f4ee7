import type { AnswerOf, Asked } from '@lattice/contract';
import type { LogEntry, LongArmAnswer, LongArmJob } from '@lattice/core';
import { Refusal } from '../errors.ts';
import type { LogRepository } from '../log/repository.ts';
import type { LongArm } from './long-arm.ts';

type Booked = Extract<LogEntry, { kind: 'booked' }>;
type Cancelled = Extract<LogEntry, { kind: 'booking-cancelled' }>;

/** The long-arm service's bookings, kept in the log: asked twice with one entry, a job is booked once. */
export class LongArmBookings {
  constructor(
    private readonly service: LongArm,
    private readonly log: LogRepository,
    private readonly now: () => Date,
  ) {}

  /** What it says of a job, without booking it. */
  async quote(job: LongArmJob): Promise<LongArmAnswer> {
    return this.service.quote(job, (await this.bookings()).standing);
  }

  /** Books a job; the entry it left in the log, or the reasons against it. */
  async book(job: LongArmJob, { quilt, entry: id }: Asked): Promise<AnswerOf<'bookLongArm'>> {
    const there = await this.log.find(id);
    if (there) return { entry: there, answer: null };
    const { standing, ever } = await this.bookings();
    const answer = this.service.quote(job, standing);
    if (!answer.accepted) return { entry: null, answer };
    const { price, starts, ready } = answer;
    const entry: Booked = {
      id,
      quilt,
      at: this.now().toISOString(),
      kind: 'booked',
      body: { number: `LA-${100 + ever + 1}`, unit: job.unit, ...job.top, price, starts, ready },
    };
    await this.log.add([entry]);
    return { entry, answer };
  }

  /** Takes a booking back; the entry that says so. @throws Refusal where there is none of this number. */
  async cancel(number: string, { quilt, entry: id }: Asked): Promise<LogEntry> {
    const { numbers, cancelled } = await this.bookings();
    const before = cancelled.find((entry) => entry.body.number === number);
    if (before) return before;
    if (!numbers.has(number))
      throw new Refusal('no-such-booking', 'The long-arm service has no booking of this number.');
    const at = this.now().toISOString();
    const entry: Cancelled = { id, quilt, at, kind: 'booking-cancelled', body: { number } };
    await this.log.add([entry]);
    return entry;
  }

  /** What was ever booked, what of it was taken back, and what stands. */
  private async bookings() {
    const entries = await this.log.ofKinds('booked', 'booking-cancelled');
    const booked = entries.filter((entry): entry is Booked => entry.kind === 'booked');
    const cancelled = entries.filter((entry): entry is Cancelled => entry.kind === 'booking-cancelled');
    const back = new Set(cancelled.map((entry) => entry.body.number));
    const standing = booked.map((entry) => entry.body).filter(({ number }) => !back.has(number));
    return { ever: booked.length, cancelled, standing, numbers: new Set(booked.map((b) => b.body.number)) };
  }
}
