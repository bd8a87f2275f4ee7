import { copyFileSync, existsSync, readdirSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import { makeFolder } from '../database/make-folder.ts';
import type { Database } from '../database/open.ts';
import { copyDatabase, type Holds } from './copy.ts';
import { type BackupKind, backupName, kindOf, outdated } from './rotation.ts';

/** A backup as it is listed. */
export interface Backup {
  readonly file: string;
  readonly kind: BackupKind;
  readonly madeAt: string;
  readonly bytes: number;
}

/** How often it is looked whether a backup is due. */
const LOOK_MS = 3600 * 1000;

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

  /** Makes what is due now, and from then on whenever it is; what goes wrong is told. */
  keepUp(tell: (error: unknown) => void): void {
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
    const daily = backupName('daily', this.now());
    if (existsSync(path.join(this.folder, daily))) return;
    const { file } = await this.write('daily');
    const weekly = path.join(this.folder, backupName('weekly', this.now()));
    if (!existsSync(weekly)) copyFileSync(path.join(this.folder, file), weekly);
    for (const old of outdated(readdirSync(this.folder))) rmSync(path.join(this.folder, old));
  }

  private async write(kind: BackupKind): Promise<{ file: string; holds: Holds }> {
    makeFolder(this.folder);
    const file = backupName(kind, this.now());
    const holds = await copyDatabase(this.database.driver, path.join(this.folder, file));
    return { file, holds };
  }
}
