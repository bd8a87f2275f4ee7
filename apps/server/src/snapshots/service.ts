import type { Version } from '@lattice/contract';
import type { Plan } from '@lattice/core';
import { Refusal } from '../errors.ts';
import { readText } from '../quilts/read-text.ts';
import type { QuiltRepository } from '../quilts/repository.ts';
import type { Surroundings } from '../surroundings.ts';
import type { SnapshotRepository } from './repository.ts';

/** Rules for snapshots: named by the quilter, or kept by the day; gone back to by opening what they hold. */
export class SnapshotService {
  constructor(
    private readonly rows: SnapshotRepository,
    private readonly quilts: QuiltRepository,
    private readonly outside: Surroundings,
  ) {}

  async list(quilt: string): Promise<Version[]> {
    return (await this.rows.list(quilt)).map(({ id, name, made_at }) => ({ id, name, madeAt: made_at }));
  }

  /** Keeps a quilt as it is saved now. @throws Refusal where there is no such quilt */
  async make(quilt: string, name: string, id = this.outside.newId()): Promise<Version> {
    const row = await this.quilts.find(quilt);
    if (!row) throw new Refusal('no-such-quilt', 'There is no such quilt on the shelf.');
    const made_at = this.outside.now().toISOString();
    await this.rows.insert({ id, quilt, name, plan: row.plan, made_at });
    // An id that another quilt's has: nothing was kept, and that has to be said.
    if (!(await this.rows.find(quilt, id)))
      throw new Refusal(
        'id-taken',
        'A version of another quilt has this id, so nothing was kept. Keep it once more.',
      );
    return { id, name, madeAt: made_at };
  }

  /** What a snapshot holds. @throws Refusal where there is none, or it cannot be read */
  async plan(quilt: string, id: string): Promise<Plan> {
    const row = await this.rows.find(quilt, id);
    if (!row) throw new Refusal('no-such-snapshot', 'There is no such version of this quilt.');
    const read = readText(row.plan);
    if (!read.ok)
      throw new Refusal('unreadable', 'This version cannot be read any more. Try an earlier one.');
    return read.plan;
  }

  async drop(quilt: string, id: string): Promise<void> {
    if (!(await this.rows.drop(quilt, id)))
      throw new Refusal('no-such-snapshot', 'There is no such version of this quilt.');
  }
}
