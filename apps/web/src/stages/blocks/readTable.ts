import { fileText } from '../../browser/fileText.ts';
import { readBlocksCsv, type ReadBlocks, type Unit } from '@lattice/core';

/** More than this is no table of blocks; reading it would only stall the page. */
const FILE_LIMIT = 5_000_000;

const refused = (problem: string): ReadBlocks => ({ blocks: [], notes: [], problems: [problem] });

/** Reads the first of some files as a table of blocks; null when there is none. Never throws. */
export async function readTable(files: FileList | null, unit: Unit): Promise<ReadBlocks | null> {
  const file = files?.[0];
  if (!file) return null;
  if (file.size > FILE_LIMIT)
    return refused(`${file.name} is larger than any table of blocks. Nothing was taken.`);
  try {
    return readBlocksCsv(await fileText(file), unit);
  } catch {
    return refused(`${file.name} could not be read. Nothing was taken.`);
  }
}
