import type { Writable } from 'node:stream';
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
import { type TakeJob, takeaway, take, type Taken } from '@lattice/export';
import { ON_NODE } from '@lattice/export/node';
import { z } from 'zod';
import { Refusal, refusalOf } from '../errors.ts';
import type { LogRepository } from '../log/repository.ts';
import { ID } from '../made-elsewhere.ts';
import type { PictureRepository } from '../pictures/repository.ts';
import type { Workshop } from '../pictures/workshop.ts';
import type { QuiltService, Surroundings } from '../quilts/service.ts';
import { asNew, type Unpacked } from './as-new.ts';
import { openParcel, type Packed } from './open.ts';
import { shelfFiles, zipInto } from './shelf.ts';
import { turn } from './turn.ts';

/** What a parcel says of itself. */
const aboutSchema = z.object({ id: ID.optional(), version: z.literal(1) });

/** What came out of a parcel. */
export interface Arrived {
  readonly quilts: readonly { readonly id: string; readonly title: string; readonly copy: boolean }[];
  /** Those that could not be written, and why: all others are there. */
  readonly left: readonly { readonly title: string; readonly why: string }[];
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

  /** All quilts of the shelf in one zip, a folder each, written while they are read: `write` says into what. */
  shelf(): { name: string; write: (to: Writable) => Promise<void> } {
    const { quilts, pictures, outside } = this.rooms;
    const made = outside.now().toISOString();
    // What the stash tells is the same for every quilt: read once.
    let stash: readonly LogEntry[] | null = null;
    const files = shelfFiles({
      made,
      all: () => quilts.names(),
      plan: (id) => quilts.planOrText(id),
      log: async (id) => [...(await this.entriesOf(id)), ...(stash ??= await this.entriesOf(STASH))],
      picture: async (id) => (await pictures.find(id))?.bytes ?? null,
    });
    return { name: `shelf ${made.slice(0, 10)}.zip`, write: (to) => zipInto(files, to, made) };
  }

  /**
   * Puts what a parcel holds on the shelf. All of it is read, and its pictures made anew, before anything is written: a
   * parcel that cannot be read leaves everything as it was. A quilt that is there already arrives as one of its own.
   */
  async arrive(bytes: Buffer): Promise<Arrived> {
    const { quilts, log, pictures, outside } = this.rooms;
    const packed = await openParcel(bytes);
    const read: Unpacked[] = [];
    for (const one of packed) read.push(await unpacked(one));
    const made = new Map<string, Buffer>();
    for (const { pictures: own } of packed)
      for (const [id, picture] of own)
        if (!made.has(id) && !(await pictures.find(id)))
          made.set(id, (await this.rooms.workshop.make(picture)).bytes);
    const at = outside.now().toISOString();
    for (const [id, picture] of made) await pictures.insert({ id, bytes: picture, created_at: at });
    let entries = 0;
    const arrived: { id: string; title: string; copy: boolean }[] = [];
    const left: { title: string; why: string }[] = [];
    for (const one of read) {
      try {
        const copy = one.id !== '' && (await quilts.known(one.id));
        const { id, plan, log: own } = copy || one.id === '' ? asNew(one, outside.newId) : one;
        // The quilt last: until its log is there it is not to be seen.
        for (let i = 0; i < own.length; i += LOG_BATCH) {
          entries += await log.add(own.slice(i, i + LOG_BATCH));
          await turn();
        }
        await quilts.add(plan, id);
        arrived.push({ id, title: plan.title, copy });
      } catch (error) {
        // What came before it is there, and what comes after it may be: only where nothing is, all is refused.
        if (arrived.length === 0 && one === read.at(-1)) throw error;
        const why = refusalOf(error)?.message ?? 'Something went wrong on the server.';
        left.push({ title: one.plan.title, why });
      }
      await turn();
    }
    return { quilts: arrived, left, entries, pictures: made.size };
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
      ...{
        plan,
        quilt: computeQuilt(plan),
        id,
        log: [...(await this.entriesOf(id)), ...(await this.entriesOf(STASH))],
      },
      ...{ ...wish, ...ON_NODE, made: outside.now().toISOString() },
      picture: async (one) => (await pictures.find(one))?.bytes ?? null,
    };
  }

  /** Every entry that is kept of a quilt, or of the stash. */
  private async entriesOf(whose: string): Promise<LogEntry[]> {
    const all: LogEntry[] = [];
    for (let since = 0, more = true; more;) {
      const page = await this.rooms.log.since(since, whose);
      all.push(...page.entries);
      ({ latest: since, more } = page);
    }
    return all;
  }
}

/** One quilt of a parcel, read and sound. */
async function unpacked({ folder, about, plan, log }: Packed): Promise<Unpacked> {
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
  const itself = about === null ? null : json('page about itself', about);
  if (excessIn(itself) !== null) throw fail('Its page about itself holds what no quilt has.');
  const said = about === null ? null : aboutSchema.safeParse(itself);
  if (said && !said.success) throw fail('It is of a later kind than this app knows, or damaged.');
  const id = said?.data?.id ?? '';
  const entries = log === null ? [] : await entriesOf(json('log', log), fail);
  await turn();
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

async function entriesOf(document: unknown, fail: (why: string) => Refusal): Promise<LogEntry[]> {
  if (!Array.isArray(document) || document.length > 200_000)
    throw fail('Its log is no list of entries, or too long.');
  const entries: LogEntry[] = [];
  for (const [i, one] of document.entries()) {
    const read = excessIn(one) === null ? logEntrySchema.safeParse(one) : null;
    if (!read?.success) throw fail(`Entry ${i + 1} of its log cannot be read.`);
    entries.push(read.data);
    if (i % LOG_BATCH === 0) await turn();
  }
  return entries;
}
