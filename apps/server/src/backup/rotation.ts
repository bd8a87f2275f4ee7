import type { Backup } from '@lattice/contract';
import { type CalendarDate, parseDate, startOfWeek } from '@internationalized/date';

/** Why a backup was made: by the clock, or asked for. */
export type BackupKind = Backup['kind'];

/** How many of each kind are kept; those asked for stay until somebody deletes them. */
const KEPT: Readonly<Record<BackupKind, number>> = {
  daily: 7,
  weekly: 5,
  'by-hand': Infinity,
  'before-restore': 3,
};

const NAME = /^(daily|weekly|by-hand|before-restore)-(\d{4}-\d{2}-\d{2}(?:T\d{6})?)\.sqlite$/;

/** The file name of a backup: by its day, or by its second where there may be several a day. */
export function backupName(kind: BackupKind, at: Date): string {
  const day = parseDate(at.toISOString().slice(0, 10));
  const stamp: Readonly<Record<BackupKind, string>> = {
    daily: day.toString(),
    weekly: monday(day).toString(),
    'by-hand': `${day.toString()}T${at.toISOString().slice(11, 19).replaceAll(':', '')}`,
    'before-restore': `${day.toString()}T${at.toISOString().slice(11, 19).replaceAll(':', '')}`,
  };
  return `${kind}-${stamp[kind]}.sqlite`;
}

const monday = (day: CalendarDate): CalendarDate => startOfWeek(day, 'en-GB');

/** The kind a file's name says; null for a file that is not a backup made here. */
export const kindOf = (file: string): BackupKind | null =>
  (NAME.exec(file)?.[1] as BackupKind | undefined) ?? null;

/** Which of these files are to go: of each kind all but the latest. */
export const outdated = (files: readonly string[]): string[] =>
  (Object.keys(KEPT) as BackupKind[]).flatMap((kind) =>
    files
      .filter((file) => kindOf(file) === kind)
      .sort()
      .reverse()
      .slice(KEPT[kind]),
  );
