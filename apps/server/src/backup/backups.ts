import type { Backup } from '@lattice/contract';
import { existsSync, readdirSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import { makeFolder } from '../database/make-folder.ts';
import type { Database } from '../database/open.ts';
import { copyBackup, copyDatabase, type Holds } from './copy.ts';
import { type BackupKind, backupName, kindOf, outdated } from './rotation.ts';

/** How often it is looked whether a backup is due. */
const LOOK_MS = 3600 * 1000;

/** A copy that was not finished, and what SQLite had beside it. */
const HALF_MADE = /\.sqlite\.part(-wal|-shm|-journal)?$/;
/** Longer than any copy takes. */
const UNDER_WAY_MS = 3600 * 1000;

/** The folder of backups beside a database. */
export const backupFolder = (dataFolder: string): string => path.join(dataFolder, 'backups');

/** Backups beside the database: by the day and by the week, turned over; and whenever one is asked for. */
export class Backups {
  private timer: NodeJS.Timeout | null = null;

  constructor(
    private readonly database: Database,
    private readonly folder: string,
    private readonly now: () => Date,
  ) {}

  /**
   * Takes away what a kill left half made here. What is fresh may be under way: a backup by command writes here too.
   */
  tidy(): void {
    if (!existsSync(this.folder)) return;
    for (const file of readdirSync(this.folder).filter((name) => HALF_MADE.test(name))) {
      const half = path.join(this.folder, file);
      if (this.now().getTime() - statSync(half).mtimeMs > UNDER_WAY_MS) rmSync(half, { force: true });
    }
  }

  /** Makes what is due now, and from then on whenever it is; what goes wrong is told. */
  keepUp(tell: (error: unknown) => void): void {
    try {
      this.tidy();
    } catch (error) {
      tell(error);
    }
    const look = () => void this.makeDue().catch(tell);
    look();
    this.timer = setInterval(look, LOOK_MS).unref();
  }

  stop(): void {
    if (this.timer) clearInterval(this.timer);
  }

  /** Latest first. */
  list(): Backup[] {
    if (!existsSync(this.folder)) return [];
    return readdirSync(this.folder)
      .flatMap((file): Backup[] => {
        const kind = kindOf(file);
        if (!kind) return [];
        const { mtime, size } = statSync(path.join(this.folder, file));
        return [{ file, kind, madeAt: mtime.toISOString(), bytes: size }];
      })
      .sort((a, b) => (a.madeAt < b.madeAt ? 1 : -1));
  }

  /** One that was asked for. */
  async make(): Promise<Backup & Holds> {
    const { file, holds } = await this.write('by-hand');
    const listed = this.list().find((backup) => backup.file === file)!;
    return { ...listed, ...holds };
  }

  /** The path of a backup; null where there is none of this name. */
  find(file: string): string | null {
    return this.list().some((backup) => backup.file === file) ? path.join(this.folder, file) : null;
  }

  /** The day's backup, and the week's, where they are missing; those that are too many go. */
  async makeDue(): Promise<void> {
    const [daily, weekly] = (['daily', 'weekly'] as const).map((kind) =>
      path.join(this.folder, backupName(kind, this.now())),
    ) as [string, string];
    const isDue = !existsSync(daily);
    if (isDue) await this.write('daily');
    // A kill between the two leaves the week's to be made the next time.
    if (!existsSync(weekly)) copyBackup(daily, weekly);
    if (!isDue) return;
    for (const old of outdated(readdirSync(this.folder))) rmSync(path.join(this.folder, old));
  }

  private async write(kind: BackupKind): Promise<{ file: string; holds: Holds }> {
    makeFolder(this.folder);
    const file = backupName(kind, this.now());
    const holds = await copyDatabase(this.database.driver, path.join(this.folder, file));
    return { file, holds };
  }
}
