import { type Plan, type Random, readPlan, writePlanJson } from '@lattice/core';
import { Refusal } from '../errors.ts';
import type { QuiltRepository, QuiltRow } from './repository.ts';

/** A quilt as it leaves the server. */
export interface StoredQuilt {
  readonly id: string;
  readonly revision: number;
  readonly updatedAt: string;
  readonly plan: Plan;
}

/** What the service needs from outside, so that tests can hold it still. */
export interface Surroundings {
  readonly now: () => Date;
  readonly newId: () => string;
  readonly random: Random;
}

/** Rules for keeping quilts: a plan is sound before it is kept, and a stale write changes nothing. */
export class QuiltService {
  constructor(
    private readonly rows: QuiltRepository,
    private readonly outside: Surroundings,
  ) {}

  /** Quilts on the shelf. One that cannot be read is left out, and said in the log, so that it does not hide the others. */
  async list(): Promise<StoredQuilt[]> {
    return (await this.rows.list()).flatMap((row) => {
      try {
        return [stored(row)];
      } catch (error) {
        console.error(
          `Quilt ${row.id} cannot be read and is left off the shelf: ${(error as Error).message}`,
        );
        return [];
      }
    });
  }

  async get(id: string): Promise<StoredQuilt> {
    const row = await this.rows.find(id);
    if (!row) throw notThere();
    return stored(row);
  }

  /** Puts a quilt on the shelf. One that is there under this id already stays as it is: its answer was lost. */
  async add(rawPlan: unknown, id = this.outside.newId()): Promise<StoredQuilt> {
    const plan = soundPlan(rawPlan);
    const there = await this.rows.find(id);
    if (there) return stored(there);
    const at = this.outside.now().toISOString();
    const row: QuiltRow = {
      id,
      revision: 1,
      plan: writePlanJson(plan),
      created_at: at,
      updated_at: at,
      removed_at: null,
    };
    await this.rows.insert(row);
    return stored(row);
  }

  /** @throws Refusal `stale` with the newer quilt in its details when `revision` is not the latest. */
  async save(id: string, revision: number, rawPlan: unknown): Promise<StoredQuilt> {
    const plan = soundPlan(rawPlan);
    const saved = await this.rows.replace(
      id,
      revision,
      writePlanJson(plan),
      this.outside.now().toISOString(),
    );
    const latest = await this.get(id);
    if (!saved) {
      throw new Refusal(
        409,
        'stale',
        `This quilt was changed elsewhere: it is at revision ${latest.revision}, and this change was made to revision ${revision}. Nothing was overwritten.`,
        latest,
      );
    }
    return latest;
  }

  async remove(id: string): Promise<void> {
    if (!(await this.rows.setRemoved(id, this.outside.now().toISOString()))) throw notThere();
  }

  async restore(id: string): Promise<StoredQuilt> {
    if (!(await this.rows.setRemoved(id, null))) throw notThere();
    return this.get(id);
  }
}

const notThere = () =>
  new Refusal(
    404,
    'no-such-quilt',
    'There is no such quilt on the shelf. It may have been taken off in another tab.',
  );

function soundPlan(raw: unknown): Plan {
  const read = readPlan(raw);
  if (!read.ok)
    throw new Refusal(
      422,
      'unsound-plan',
      `This plan cannot be kept: ${read.problems[0]!.message}`,
      read.problems,
    );
  return read.plan;
}

function stored(row: QuiltRow): StoredQuilt {
  const read = readPlan(JSON.parse(row.plan));
  if (!read.ok)
    throw new Refusal(500, 'unreadable', `A kept quilt cannot be read: ${read.problems[0]!.message}`, {
      id: row.id,
    });
  return { id: row.id, revision: row.revision, updatedAt: row.updated_at, plan: read.plan };
}
