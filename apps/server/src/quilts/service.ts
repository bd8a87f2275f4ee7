import type { Saved, StoredQuilt, UnreadableCard } from '@lattice/contract';
import { type Plan, planChangesBetween, readPlan, writePlanJson } from '@lattice/core';
import { Unchanged } from '../database/unchanged.ts';
import { Refusal } from '../errors.ts';
import type { LogRepository } from '../log/repository.ts';
import { readText } from './read-text.ts';
import { type Reading, withReading } from './reading.ts';
import { cardOf, unreadableCard } from './card.ts';
import type { Surroundings } from '../surroundings.ts';
import { type Asked, type ListedRow, type QuiltRepository, type QuiltRow, SORTS } from './repository.ts';

/** The most quilts that are listed as taken off. */
const MOST_TAKEN_OFF = 200;

/** What keeps a quilt as it was when a day ended: inside the transaction of what is saved over it. */
interface Evenings {
  keepDayNow(quilt: string, today: string, id: string): void;
}

/** Rules for keeping quilts: a plan is sound before it is kept, and a stale write changes nothing. */
export class QuiltService {
  private readonly sound = new Sound();
  private readonly unchanged: Unchanged;

  constructor(
    private readonly rows: QuiltRepository,
    private readonly snapshots: Evenings,
    private readonly outside: Surroundings,
    private readonly log: Pick<LogRepository, 'add'>,
  ) {
    this.unchanged = new Unchanged(rows);
  }

  /**
   * A page of the shelf, as JSON: `{quilts, total, next, tags}`. Each quilt comes with its card and without its plan; one
   * that cannot be read stays, and its card says so. `total` counts all that were asked for, `next` asks for what comes
   * after, null at the end; `tags` are all there are.
   */
  list(asked: Asked): Promise<string> {
    return this.unchanged.of(JSON.stringify(asked), () => this.listAnew(asked));
  }

  private async listAnew(asked: Asked): Promise<string> {
    const { stage, tag, words } = asked.narrow;
    if (stage !== '' || tag !== '' || words !== '') await this.makeCards();
    const rows = await this.rows.list({ ...asked, count: asked.count + 1 });
    const page = rows.slice(0, asked.count);
    const quilts = await this.listed(page);
    const last = page.at(-1);
    const next = rows.length > asked.count && last ? `${last[SORTS[asked.sort].column]} ${last.id}` : null;
    const about = { total: await this.rows.total(asked.narrow), next, tags: await this.rows.tags() };
    return withText(about, 'quilts', quilts);
  }

  /** What was taken off the shelf and can still be put back, as JSON: `{quilts}`, the last first. */
  async takenOff(): Promise<string> {
    return withText({}, 'quilts', await this.listed(await this.rows.removed(MOST_TAKEN_OFF)));
  }

  private async listed(rows: readonly ListedRow[]): Promise<string> {
    const quilts: string[] = [];
    for (const row of rows) {
      const { id, revision, updated_at: updatedAt, saved_by: savedBy, removed_at: removedAt } = row;
      const about = { id, revision, updatedAt, savedBy, ...(removedAt === null ? {} : { removedAt }) };
      quilts.push(withText(about, 'card', await this.cardOf(row)));
    }
    return `[${quilts.join(',')}]`;
  }

  /** A list that goes by what stands on the cards needs them all: those of quilts from before are made, once. */
  private async makeCards(): Promise<void> {
    for (const row of await this.rows.withoutCard()) await this.cardOf(row);
  }

  /** A card’s text is made when its quilt is saved; of one from before there were cards, now. */
  private async cardOf(row: ListedRow): Promise<string> {
    if (row.card !== null && isJson(row.card)) return row.card;
    const whole = await this.rows.findAnywhere(row.id);
    if (!whole) return JSON.stringify({ title: row.title, unreadable: true } satisfies UnreadableCard);
    const read = readText(whole.plan);
    const card = read.ok ? cardOf(read.plan) : unreadableCard(whole.plan);
    await this.rows.setCard(row.id, row.revision, card.title, JSON.stringify(card)).catch(() => undefined);
    return JSON.stringify(card);
  }

  async get(id: string): Promise<StoredQuilt> {
    return this.stored(await this.row(id));
  }

  /** The same as JSON. What this server wrote itself, or has looked at once, is sent as it lies. */
  async getText(id: string): Promise<string> {
    const row = await this.row(id);
    if (!this.sound.has(row)) return JSON.stringify(await this.stored(row));
    return withText({ ...aboutRow(row), problems: [] }, 'plan', row.plan);
  }

  /** The text of a quilt's plan as it lies there, readable or not: to be taken away. */
  async raw(id: string): Promise<string> {
    return (await this.row(id)).plan;
  }

  /** Every quilt of the shelf, by name. */
  names(): Promise<readonly { readonly id: string; readonly title: string }[]> {
    return this.rows.names();
  }

  /** A quilt's plan; its text where that cannot be read, null where there is none on the shelf. */
  async planOrText(id: string): Promise<Plan | { readonly text: string } | null> {
    const row = await this.rows.find(id);
    if (!row) return null;
    const read = readText(row.plan);
    return read.ok ? read.plan : { text: row.plan };
  }

  /** Whether a quilt is there under this id, on the shelf or off it. */
  async known(id: string): Promise<boolean> {
    return (await this.rows.findAnywhere(id)) !== undefined;
  }

  /**
   * Puts a quilt on the shelf. One that is there under this id already stays as it is: its answer was lost.
   *
   * @param besides what is written with it, all or nothing of both
   * @throws Refusal `taken-off` where it was put there, and taken off again since
   */
  async add(
    rawPlan: unknown,
    {
      id = this.outside.newId(),
      savedBy = '',
      besides,
    }: { readonly id?: string | undefined; readonly savedBy?: string; readonly besides?: () => void } = {},
  ): Promise<StoredQuilt> {
    const plan = soundPlan(rawPlan);
    const there = await this.rows.findAnywhere(id);
    if (there?.removed_at === null) return this.stored(there);
    if (there)
      throw new Refusal(
        'taken-off',
        `“${there.title}” was put on the shelf, and taken off again elsewhere. It can be put back there, from what was taken off.`,
      );
    const row = newRow(plan, { id, at: this.outside.now().toISOString(), savedBy });
    await this.rows.insert(row, besides);
    return this.stored(row);
  }

  /** @throws Refusal `stale` with the newer quilt in its details when `revision` is not the latest. */
  async save(id: string, revision: number, rawPlan: unknown, savedBy = ''): Promise<Saved> {
    const written = writtenOf(soundPlan(rawPlan));
    const updatedAt = this.outside.now().toISOString();
    const evening = () => this.snapshots.keepDayNow(id, updatedAt.slice(0, 10), `day-${id}-${revision}`);
    const row = { ...written, saved_by: savedBy, updated_at: updatedAt };
    if (await this.rows.replace(id, revision, row, evening)) {
      this.sound.add(id, written.plan);
      return { id, revision: revision + 1, updatedAt };
    }
    const latest = await this.get(id);
    throw new Refusal(
      'stale',
      `This quilt was changed elsewhere: it is at revision ${latest.revision}, and this change was made to revision ${revision}. Nothing was overwritten.`,
      latest,
    );
  }

  /**
   * What a block measured, said from outside the app: kept in the plan, and in the journal as any other measurement.
   * Where the quilt is changed in the same moment it is said again to what it has become.
   */
  async addReading(id: string, reading: Reading) {
    for (let tries = 0; ; tries += 1) {
      const { plan, revision, problems } = await this.get(id);
      if (problems.length > 0)
        throw new Refusal('not-sound', `This quilt has to be mended first: ${problems[0]!.message}`);
      const { plan: changed, verdict } = withReading(plan, reading);
      try {
        const saved = await this.save(id, revision, changed, reading.by);
        const changes = planChangesBetween(plan, changed);
        if (changes.length > 0)
          await this.log.add([
            {
              id: this.outside.newId(),
              quilt: id,
              at: saved.updatedAt,
              kind: 'plan-changed',
              body: { changes },
            },
          ]);
        return { revision: saved.revision, ...verdict };
      } catch (error) {
        if (!(error instanceof Refusal) || error.code !== 'stale' || tries === 2) throw error;
      }
    }
  }

  async remove(id: string): Promise<void> {
    if (!(await this.rows.setRemoved(id, this.outside.now().toISOString()))) throw notThere();
  }

  async restore(id: string): Promise<StoredQuilt> {
    if (!(await this.rows.setRemoved(id, null))) throw notThere();
    return this.get(id);
  }

  private async row(id: string): Promise<QuiltRow> {
    const row = await this.rows.find(id);
    if (!row) throw notThere();
    return row;
  }

  /** @throws Refusal `unreadable`; the shelf knows from then on */
  private async stored(row: QuiltRow): Promise<StoredQuilt> {
    const read = readText(row.plan);
    if (read.ok) {
      if (read.problems.length === 0 && writePlanJson(read.plan) === row.plan)
        this.sound.add(row.id, row.plan);
      return { ...aboutRow(row), plan: read.plan, problems: read.problems };
    }
    const card = unreadableCard(row.plan);
    await this.rows.setCard(row.id, row.revision, card.title, JSON.stringify(card)).catch(() => undefined);
    throw new Refusal(
      'unreadable',
      `This quilt cannot be read any more: ${read.problems[0]!.message} Its file can be taken away, and a version of it gone back to.`,
      { id: row.id, revision: row.revision, title: card.title },
    );
  }
}

/** The most letters of plans that are remembered: some hundreds of quilts. */
const MOST_LETTERS = 16_000_000;

/**
 * Texts of plans that are known to be sound: nobody reads them twice. By the text and not by the revision: what was
 * changed behind the server's back, or by the disk, is looked at like anything else.
 */
class Sound {
  private readonly texts = new Map<string, string>();
  private letters = 0;

  add(id: string, text: string): void {
    this.letters += text.length - (this.texts.get(id)?.length ?? 0);
    this.texts.delete(id);
    this.texts.set(id, text);
    for (const [oldest, { length }] of this.texts) {
      if (this.letters <= MOST_LETTERS) return;
      this.texts.delete(oldest);
      this.letters -= length;
    }
  }

  has({ id, plan }: QuiltRow): boolean {
    return this.texts.get(id) === plan;
  }
}

const aboutRow = (row: QuiltRow) => ({
  id: row.id,
  revision: row.revision,
  updatedAt: row.updated_at,
  savedBy: row.saved_by,
});

/** An object as JSON, with one more field whose JSON is there already. */
const withText = (fields: object, name: string, text: string): string => {
  const open = JSON.stringify(fields).slice(0, -1);
  return `${open}${open === '{' ? '' : ','}"${name}":${text}}`;
};

/** What is written of a plan: its text, and what the shelf shows of it. */
function writtenOf(plan: Plan): Pick<QuiltRow, 'plan' | 'title' | 'card'> {
  return { plan: writePlanJson(plan), title: plan.title, card: JSON.stringify(cardOf(plan)) };
}

/** A quilt as it first lies in the database. */
export const newRow = (plan: Plan, made: { id: string; at: string; savedBy?: string }): QuiltRow => ({
  id: made.id,
  revision: 1,
  ...writtenOf(plan),
  saved_by: made.savedBy ?? '',
  created_at: made.at,
  updated_at: made.at,
  removed_at: null,
});

const notThere = () =>
  new Refusal(
    'no-such-quilt',
    'There is no such quilt on the shelf. It may have been taken off in another tab.',
  );

function soundPlan(raw: unknown): Plan {
  const read = readPlan(raw);
  if (!read.ok)
    throw new Refusal(
      'unsound-plan',
      `This plan cannot be kept: ${read.problems[0]!.message}`,
      read.problems,
    );
  return read.plan;
}

/** Whether a text can be put into an answer as it lies. */
function isJson(text: string): boolean {
  try {
    JSON.parse(text);
    return true;
  } catch {
    return false;
  }
}
