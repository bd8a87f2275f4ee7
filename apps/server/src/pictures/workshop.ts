import type { ChildProcess } from 'node:child_process';
import { Refusal } from '../errors.ts';
import { programOf, startBeside } from '../program.ts';
import type { MadePicture } from './make-picture.ts';
import type { PictureResult, PictureJob } from './maker.ts';

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

const MAKER = programOf('pictures/maker.ts');

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

  /** @param mostMs how long one picture may take */
  constructor(private readonly mostMs = MOST_MS) {}

  /** @throws Refusal: no picture, too large, too long at it, or too many wait */
  make(file: Buffer): Promise<MadePicture> {
    if (this.waiting.length >= MOST_WAITING)
      throw new Refusal('busy', 'Many pictures are being made ready at the moment. The app will try again.');
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
    this.limit = setTimeout(() => this.maker?.kill('SIGKILL'), this.mostMs);
    const order: PictureJob = { number: ++this.number, file: job.file };
    this.maker.send(order, (error) => error && this.failed());
  }

  private open(): ChildProcess {
    // The limit is the system's own, of what is written to and not of what is only reserved; where there is no shell to set it, time and pixels are what is left.
    const limited =
      process.platform === 'win32'
        ? MAKER
        : ['sh', '-c', `ulimit -d ${MOST_MEMORY_KB}; exec "$@"`, 'maker', ...MAKER];
    const maker = startBeside(limited);
    maker.on('message', (delivery: PictureResult) => this.delivered(delivery));
    maker.on('error', () => this.failed());
    maker.on('exit', () => {
      if (this.maker !== maker) return;
      this.maker = null;
      this.failed();
    });
    return maker;
  }

  private delivered(delivery: PictureResult): void {
    const job = this.done(delivery.number);
    if (!job) return;
    if ('made' in delivery) job.resolve({ ...delivery.made, bytes: Buffer.from(delivery.made.bytes) });
    else job.reject(new Refusal(delivery.refusal.code, delivery.refusal.message));
    this.next();
  }

  private failed(): void {
    const job = this.done(this.number);
    job?.reject(
      new Refusal(
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
