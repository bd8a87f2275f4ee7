import { type ChildProcess, spawn } from 'node:child_process';
import path from 'node:path';
import { Refusal } from '../errors.ts';
import type { MadePicture } from './make-picture.ts';
import type { Delivery, Order } from './maker.ts';

/** What making one picture may take: kilobytes of memory, and time. */
const MOST_MEMORY_KB = 1_500_000;
const MOST_MS = 20_000;
/** Pictures that may wait; who comes after them is asked to come again. */
const MOST_WAITING = 12;
/** A workshop without work closes. */
const IDLE_MS = 30_000;

interface Job {
  readonly file: Buffer;
  readonly resolve: (made: MadePicture) => void;
  readonly reject: (refusal: Refusal) => void;
}

/** The process that makes pictures: built beside this one, or loaded from its source as this one is. */
const MAKER = import.meta.filename.endsWith('.ts')
  ? [
      '--import',
      path.resolve(import.meta.dirname, '../../../../node_modules/tsx/dist/loader.mjs'),
      path.join(import.meta.dirname, 'maker.ts'),
    ]
  : [path.join(import.meta.dirname, 'maker.mjs')];

/**
 * Pictures are decoded one at a time, in a process of their own with a limit to its memory and its time: a picture
 * made to choke whoever opens it chokes that process, and the next one gets a new one.
 */
export class Workshop {
  private readonly waiting: Job[] = [];
  private at: Job | null = null;
  private maker: ChildProcess | null = null;
  private limit: NodeJS.Timeout | null = null;
  private idle: NodeJS.Timeout | null = null;
  private number = 0;

  /** @throws Refusal: no picture, too large, too long at it, or too many wait */
  make(file: Buffer): Promise<MadePicture> {
    if (this.waiting.length >= MOST_WAITING)
      throw new Refusal(
        503,
        'busy',
        'Many pictures are being made ready at the moment. The app will try again.',
      );
    return new Promise((resolve, reject) => {
      this.waiting.push({ file, resolve, reject });
      this.next();
    });
  }

  close(): void {
    this.maker?.kill('SIGKILL');
    this.maker = null;
    for (const timer of [this.limit, this.idle]) if (timer) clearTimeout(timer);
  }

  private next(): void {
    if (this.at) return;
    const job = this.waiting.shift();
    if (this.idle) clearTimeout(this.idle);
    if (!job) {
      this.idle = setTimeout(() => this.close(), IDLE_MS).unref();
      return;
    }
    this.at = job;
    this.maker ??= this.open();
    this.limit = setTimeout(() => this.maker?.kill('SIGKILL'), MOST_MS);
    const order: Order = { number: ++this.number, file: job.file };
    this.maker.send(order, (error) => error && this.failed());
  }

  private open(): ChildProcess {
    const run = [process.execPath, ...MAKER];
    // The limit is the system's own, of what is written to and not of what is only reserved; where there is no shell to set it, time and pixels are what is left.
    const limited =
      process.platform === 'win32'
        ? run
        : ['sh', '-c', `ulimit -d ${MOST_MEMORY_KB}; exec "$@"`, 'maker', ...run];
    const maker = spawn(limited[0]!, limited.slice(1), {
      stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
      serialization: 'advanced',
      env: { ...process.env, NODE_OPTIONS: '' },
    });
    maker.on('message', (delivery: Delivery) => this.delivered(delivery));
    maker.on('error', () => this.failed());
    maker.on('exit', () => {
      if (this.maker !== maker) return;
      this.maker = null;
      this.failed();
    });
    // It is no reason to stay for a server that is done.
    maker.unref();
    maker.channel?.unref();
    return maker;
  }

  private delivered(delivery: Delivery): void {
    const job = this.done(delivery.number);
    if (!job) return;
    if ('made' in delivery) job.resolve({ ...delivery.made, bytes: Buffer.from(delivery.made.bytes) });
    else job.reject(new Refusal(delivery.refusal.status, delivery.refusal.code, delivery.refusal.message));
    this.next();
  }

  private failed(): void {
    const job = this.done(this.number);
    job?.reject(
      new Refusal(
        413,
        'picture-too-large',
        'This picture takes more memory or time to open than any photo, so it was not opened. Save it smaller, as JPEG, and try again.',
      ),
    );
    this.next();
  }

  private done(number: number): Job | null {
    if (number !== this.number || !this.at) return null;
    if (this.limit) clearTimeout(this.limit);
    const job = this.at;
    this.at = null;
    return job;
  }
}
