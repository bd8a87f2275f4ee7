import { type Arrived, ID } from '@lattice/contract';
import type { Writable } from 'node:stream';
import {
  excessIn,
  type LogEntry,
  LOG_BATCH,
  logEntrySchema,
  type Problem,
  readPlan,
  STASH,
} from '@lattice/core';
import { type TakeJob, takeaway, type Taken } from '@lattice/export';
import { z } from 'zod';
import { Refusal, refusalOf } from '../errors.ts';
import type { LogRepository } from '../log/repository.ts';
import type { PictureRepository } from '../pictures/repository.ts';
import type { Workshop } from '../pictures/workshop.ts';
import type { QuiltService } from '../quilts/service.ts';
import type { Surroundings } from '../surroundings.ts';
import { asNew, type Unpacked } from './as-new.ts';
import { Bindery } from './bindery.ts';
import { openParcel, type Packed, type Unpack } from './open.ts';
import { shelfFiles, zipInto } from './shelf.ts';
import { turn } from './turn.ts';

/** What a parcel says of itself. */
const aboutSchema = z.object({ id: ID.optional(), version: z.literal(1) });

/** Entries that are written without letting anybody else be answered in between: some ten milliseconds. */
const AT_ONCE = 2_000;

interface Rooms {
  readonly quilts: QuiltService;
  readonly log: LogRepository;
  readonly pictures: PictureRepository;
  readonly workshop: Workshop;
  readonly outside: Surroundings;
}

/** Quilts as files that are carried away and come back: all of one, all of the shelf, and whatever is made of a plan. */
export class ParcelService {
  private readonly bindery = new Bindery();
  private underWay: { readonly done: number; readonly of: number } | null = null;

  constructor(private readonly rooms: Rooms) {}

  /** Something made of a quilt, like its cutting list as a table. */
  async make(
    id: string,
    to: string,
    what: string | undefined,
    wish: Pick<TakeJob, 'paper' | 'comma'>,
  ): Promise<Taken> {
    if (!takeaway(to, what)) throw new Refusal('no-such-file', 'A quilt cannot be written as that.');
    const { quilts, pictures, outside } = this.rooms;
    const { plan, problems } = await quilts.get(id);
    if (problems.length > 0)
      throw new Refusal(
        'not-sound',
        `This quilt cannot be drawn, so nothing is made of it: ${problems[0]!.message}`,
      );
    const log = [...(await this.entriesOf(id)), ...(await this.entriesOf(STASH))];
    return this.bindery.make(
      { id, plan, log, to, what, ...wish, made: outside.now().toISOString() },
      async (one) => (await pictures.find(one))?.bytes ?? null,
    );
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
   * Puts what a parcel holds on the shelf. All of it is read, and its pictures made anew, before anything of it is to be
   * seen: a parcel that cannot be read leaves everything as it was. Then each quilt comes with its log, all or nothing of
   * it. A quilt that is there already arrives as one of its own.
   *
   * @param isStopped asked between two quilts: whether to leave it at those that have come
   */
  async arrive(bytes: Buffer, isStopped: () => boolean = () => false): Promise<Arrived> {
    const packed = await openParcel(bytes);
    try {
      this.underWay = { done: 0, of: packed.length };
      return await this.takeIn(packed, isStopped);
    } finally {
      this.underWay = null;
    }
  }

  /** How far the parcel has come that is being taken in; null while there is none. */
  get arriving(): { readonly done: number; readonly of: number } | null {
    return this.underWay;
  }

  private async takeIn(packed: readonly Unpack[], isStopped: () => boolean): Promise<Arrived> {
    const pictures = await this.lookThrough(packed, isStopped);
    const arrived: { id: string; title: string; copy: boolean }[] = [];
    const left: { title: string; why: string }[] = [];
    let entries = 0;
    for (const [i, unpack] of packed.entries()) {
      // Nobody waits for it any more: what has come stays.
      if (isStopped()) break;
      const one = await unpacked(await unpack());
      try {
        const { added, ...quilt } = await this.putOnShelf(one);
        arrived.push(quilt);
        entries += added;
      } catch (error) {
        // What came before it is there, and what comes after it may be: only where nothing is, all is refused.
        if (arrived.length === 0 && i === packed.length - 1) throw error;
        const why = refusalOf(error)?.message ?? 'Something went wrong on the server.';
        left.push({ title: one.plan.title, why });
      }
      this.underWay = { done: i + 1, of: packed.length };
      await turn();
    }
    return { quilts: arrived, left, entries, pictures };
  }

  /**
   * Reads all of a parcel, and keeps its pictures, which nobody sees until a quilt names them: none of them where the
   * parcel cannot be read. Answers how many are new.
   */
  private async lookThrough(packed: readonly Unpack[], isStopped: () => boolean): Promise<number> {
    const { pictures, workshop, outside } = this.rooms;
    const made: string[] = [];
    try {
      for (const unpack of packed) {
        if (isStopped()) throw new Refusal('stopped', 'It was stopped before anything was taken.');
        const one = await unpack();
        await unpacked(one);
        for (const [id, picture] of one.pictures) {
          if (await pictures.find(id)) continue;
          const { bytes } = await workshop.make(picture);
          await pictures.insert({ id, bytes, created_at: outside.now().toISOString() });
          made.push(id);
        }
        await turn();
      }
    } catch (error) {
      for (const id of made) await pictures.delete(id);
      throw error;
    }
    return made.length;
  }

  /** Puts one quilt on the shelf with its log: in one go, however long the log is that came before. */
  private async putOnShelf(one: Unpacked) {
    const { quilts, log, outside } = this.rooms;
    const copy = one.id !== '' && (await quilts.known(one.id));
    const { id, plan, log: own } = copy || one.id === '' ? asNew(one, outside.newId) : one;
    let added = 0;
    // A log as long as no quilt has one goes ahead by parts, so that others are answered; unseen until its quilt is there.
    const ahead = Math.max(0, own.length - AT_ONCE);
    for (let i = 0; i < ahead; i += LOG_BATCH) {
      added += await log.add(own.slice(i, Math.min(i + LOG_BATCH, ahead)));
      await turn();
    }
    await quilts.add(plan, { id, besides: () => (added += log.addNow(own.slice(ahead))) });
    return { id, title: plan.title, copy, added };
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
  const fail = (why: string) => new Refusal('bad-parcel', `${where}${why} Nothing was taken from it.`);
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
