import type { ChildProcess } from 'node:child_process';
import type { Taken } from '@lattice/export';
import { programOf, startBeside } from '../program.ts';
import type { Order, Tells, Told } from './binder.ts';

/** A bindery without work closes. */
const IDLE_MS = 30_000;

/** Where pictures come from; null for one that is not kept. */
type Pictures = (id: string) => Promise<Uint8Array | null>;

interface Job {
  readonly picture: Pictures;
  readonly resolve: (taken: Taken) => void;
  readonly reject: (error: unknown) => void;
}

const BINDER = programOf('parcels/binder.ts');

/**
 * Makes files of quilts in a process of its own: a booklet is a second's work, in which nobody else would be answered. It
 * has no database: pictures are given to it as it asks for them.
 */
export class Bindery {
  private readonly jobs = new Map<number, Job>();
  private binder: ChildProcess | null = null;
  private idle: NodeJS.Timeout | null = null;
  private number = 0;

  /** @throws what the process met with; or that it ended */
  make(order: Order, picture: Pictures): Promise<Taken> {
    if (this.idle) clearTimeout(this.idle);
    const number = ++this.number;
    this.binder ??= this.open();
    return new Promise((resolve, reject) => {
      this.jobs.set(number, { picture, resolve, reject });
      this.tell({ number, order });
    });
  }

  close(): void {
    this.binder?.kill('SIGKILL');
    this.binder = null;
    if (this.idle) clearTimeout(this.idle);
  }

  private tell(told: Told): void {
    this.binder?.send(told);
  }

  private open(): ChildProcess {
    const binder = startBeside(BINDER);
    binder.on('message', (said: Tells) => void this.heard(said));
    binder.on('error', (error) => this.ended(binder, error));
    binder.on('exit', () => this.ended(binder, new Error('the process that makes files ended')));
    return binder;
  }

  private async heard(said: Tells): Promise<void> {
    const { number } = said;
    const job = this.jobs.get(number);
    if (!job) return;
    if ('asksFor' in said) {
      const bytes = await job.picture(said.asksFor).catch(() => null);
      return this.tell({ number, picture: said.asksFor, bytes });
    }
    this.jobs.delete(number);
    if ('taken' in said) job.resolve(said.taken);
    // With where it happened there, which the log tells.
    else job.reject(Object.assign(new Error('a file was not made'), { stack: said.failed }));
    if (this.jobs.size === 0) this.idle = setTimeout(() => this.close(), IDLE_MS).unref();
  }

  /** The next one gets a new process. */
  private ended(binder: ChildProcess, error: unknown): void {
    if (this.binder !== binder) return;
    this.binder = null;
    for (const { reject } of this.jobs.values()) reject(error);
    this.jobs.clear();
  }
}
