import {
  computeQuilt,
  excessIn,
  type LogEntry,
  LOG_BATCH,
  logEntrySchema,
  type Problem,
  readPlan,
  STASH,
} from '@lattice/core';
import {
  fileName,
  quiltFiles,
  type TakeJob,
  takeaway,
  take,
  type Taken,
  textBytes,
  type ZipFile,
  zipOf,
} from '@lattice/export';
import { ON_NODE } from '@lattice/export/node';
import { z } from 'zod';
import { Refusal } from '../errors.ts';
import type { LogRepository } from '../log/repository.ts';
import { ID } from '../made-elsewhere.ts';
import type { PictureRepository } from '../pictures/repository.ts';
import type { Workshop } from '../pictures/workshop.ts';
import type { QuiltService, Surroundings } from '../quilts/service.ts';
import { asNew, type Unpacked } from './as-new.ts';
import { openParcel, type Packed } from './open.ts';

/** What a parcel says of itself. */
const aboutSchema = z.object({ id: ID.optional(), version: z.literal(1) });
/** The most quilts that are written into one file. */
const MOST_QUILTS = 500;
/** A shelf larger than this is carried as a backup. */
const MOST_BYTES = 500_000_000;

/** What came out of a parcel. */
export interface Arrived {
  readonly quilts: readonly { readonly id: string; readonly title: string; readonly copy: boolean }[];
  readonly entries: number;
  readonly pictures: number;
}

interface Rooms {
  readonly quilts: QuiltService;
  readonly log: LogRepository;
  readonly pictures: PictureRepository;
  readonly workshop: Workshop;
  readonly outside: Surroundings;
}

/** Quilts as files that are carried away and come back: all of one, all of the shelf, and whatever is made of a plan. */
export class ParcelService {
  constructor(private readonly rooms: Rooms) {}

  /** Something made of a quilt, like its cutting list as a table. */
  async make(
    id: string,
    to: string,
    what: string | undefined,
    wish: Pick<TakeJob, 'paper' | 'comma'>,
  ): Promise<Taken> {
    const one = takeaway(to, what);
    if (!one) throw new Refusal(404, 'no-such-file', 'Nothing of a quilt is written so.');
    return take(one, await this.job(id, wish));
  }

  /** All quilts of the shelf in one zip, a folder each, with a page that lists them. */
  async shelf(): Promise<Taken> {
    const files: ZipFile[] = [];
    const lines: string[] = [];
    let bytes = 0;
    let after: { by: string; id: string } | null = null;
    for (let number = 1; number <= MOST_QUILTS;) {
      const page = JSON.parse(
        await this.rooms.quilts.list({
          after,
          count: 48,
          sort: 'name',
          narrow: { stage: '', tag: '', words: '' },
        }),
      ) as { quilts: { id: string; card: { title: string; unreadable?: true } }[]; next: string | null };
      for (const { id, card } of page.quilts) {
        if (card.unreadable) continue;
        const folder = `${String(number).padStart(3, '0')} ${fileName(card.title)}/`;
        const own = await quiltFiles(await this.job(id, { paper: 'a4', comma: false }), folder, false);
        bytes += own.reduce((sum, file) => sum + file.bytes.length, 0);
        if (bytes > MOST_BYTES)
          throw new Refusal(
            413,
            'too-large',
            'The shelf is too large for one file: take a backup along instead.',
          );
        files.push(...own);
        lines.push(`${folder.slice(0, -1)}`);
        number += 1;
      }
      if (page.next === null) break;
      const at = page.next.lastIndexOf(' ');
      after = { by: page.next.slice(0, at), id: page.next.slice(at + 1) };
    }
    const made = this.rooms.outside.now().toISOString();
    files.unshift({ path: 'index.txt', bytes: textBytes(`${lines.join('\n')}\n`) });
    return { name: `shelf ${made.slice(0, 10)}.zip`, type: 'application/zip', bytes: zipOf(files, made) };
  }

  /**
   * Puts what a parcel holds on the shelf. All of it is read, and its pictures made anew, before anything is written: a
   * parcel that cannot be read leaves everything as it was. A quilt that is there already arrives as one of its own.
   */
  async arrive(bytes: Buffer): Promise<Arrived> {
    const { quilts, log, pictures, outside } = this.rooms;
    const packed = await openParcel(bytes);
    const read = packed.map(unpacked);
    const made = new Map<string, Buffer>();
    for (const { pictures: own } of packed)
      for (const [id, picture] of own)
        if (!made.has(id) && !(await pictures.find(id)))
          made.set(id, (await this.rooms.workshop.make(picture)).bytes);
    const at = outside.now().toISOString();
    for (const [id, picture] of made) await pictures.insert({ id, bytes: picture, created_at: at });
    let entries = 0;
    const arrived: { id: string; title: string; copy: boolean }[] = [];
    for (const one of read) {
      const copy = one.id !== '' && (await quilts.known(one.id));
      const { id, plan, log: own } = copy || one.id === '' ? asNew(one, outside.newId) : one;
      // The quilt last: until its log is there it is not to be seen.
      for (let i = 0; i < own.length; i += LOG_BATCH) entries += await log.add(own.slice(i, i + LOG_BATCH));
      await quilts.add(plan, id);
      arrived.push({ id, title: plan.title, copy });
    }
    return { quilts: arrived, entries, pictures: made.size };
  }

  private async job(id: string, wish: Pick<TakeJob, 'paper' | 'comma'>): Promise<TakeJob> {
    const { quilts, pictures, outside } = this.rooms;
    const { plan, problems } = await quilts.get(id);
    if (problems.length > 0)
      throw new Refusal(
        422,
        'not-sound',
        `This quilt cannot be drawn, so nothing is made of it: ${problems[0]!.message}`,
      );
    return {
      ...{ plan, quilt: computeQuilt(plan), id, log: await this.logOf(id) },
      ...{ ...wish, ...ON_NODE, made: outside.now().toISOString() },
      picture: async (one) => (await pictures.find(one))?.bytes ?? null,
    };
  }

  /** The entries of a quilt, and the stash's. */
  private async logOf(id: string): Promise<LogEntry[]> {
    const all: LogEntry[] = [];
    for (const whose of [id, STASH])
      for (let since = 0, more = true; more;) {
        const page = await this.rooms.log.since(since, whose);
        all.push(...page.entries);
        ({ latest: since, more } = page);
      }
    return all;
  }
}

/** One quilt of a parcel, read and sound. */
function unpacked({ folder, about, plan, log }: Packed): Unpacked {
  const where = folder === '' ? '' : `“${folder}”: `;
  const fail = (why: string) => new Refusal(422, 'bad-parcel', `${where}${why} Nothing was taken from it.`);
  const json = (what: string, bytes: Buffer): unknown => {
    try {
      return JSON.parse(bytes.toString('utf8')) as unknown;
    } catch {
      throw fail(`Its ${what} is not JSON, or it was cut short.`);
    }
  };
  const document = json('plan', plan);
  if (excessIn(document) !== null) throw fail('Its plan holds more than any quilt does.');
  const readHere = readPlan(document);
  if (!readHere.ok) throw fail(`Its plan cannot be read: ${saidOf(readHere.problems[0]!)}`);
  const said = about === null ? null : aboutSchema.safeParse(json('page about itself', about));
  if (said && !said.success) throw fail('It is of a later kind than this app knows, or damaged.');
  const id = said?.data?.id ?? '';
  const entries = log === null ? [] : entriesOf(json('log', log), fail);
  return {
    id,
    plan: readHere.plan,
    // Of other quilts that are on this shelf, of its maker's hours and practice a parcel has nothing to say.
    log: entries.filter(
      ({ quilt, kind }) => quilt === id || (quilt === STASH && STASH_KINDS_TAKEN.has(kind)),
    ),
  };
}

/** What a parcel may tell of the stash: the cloth its quilt has set aside. */
const STASH_KINDS_TAKEN: ReadonlySet<LogEntry['kind']> = new Set(['stash-put', 'stash-moved']);

/** What is wrong with a plan, and at which field. */
const saidOf = ({ path, message }: Problem): string =>
  path.length > 0 ? `${path.join('.')}: ${message}` : message;

function entriesOf(document: unknown, fail: (why: string) => Refusal): LogEntry[] {
  if (!Array.isArray(document) || document.length > 200_000)
    throw fail('Its log is no list of entries, or too long.');
  return document.map((one, i) => {
    const read = logEntrySchema.safeParse(one);
    if (!read.success) throw fail(`Entry ${i + 1} of its log cannot be read.`);
    return read.data;
  });
}
