import Papa from 'papaparse';
import { CLOTH_DIRECTIONS, type ClothDirection } from '../cloth/direction.ts';
import { formatWorking } from '../length/format.ts';
import { parseLength } from '../length/parse.ts';
import type { Unit } from '../length/unit.ts';
import type { EntryBody } from '../log/kinds/registry.ts';
import type { StashPiece } from '../log/stash.ts';
import { harmlessUndone } from './table-csv.ts';
import { STASH_KINDS, type StashKind } from '../log/stash-words.ts';

/** A stash as a table that `readStashCsv` takes in again; what is cut up is left out. */
export function writeStashCsv(stash: readonly StashPiece[], unit: Unit): string {
  const rows = stash.map(
    ({ name, kind, width, length, count, gone, colour, direction, alike, washed, price, from }) => ({
      name,
      kind,
      [`width (${unit})`]: formatWorking(width, unit),
      [`length (${unit})`]: formatWorking(length, unit),
      count: count - gone,
      colour,
      direction,
      'sides alike': alike ? 'yes' : '',
      washed: washed ? 'yes' : '',
      price: price ?? '',
      from,
    }),
  );
  const sizes = ['width', 'length'].map((what) => `${what} (${unit})`);
  const columns = [
    'name',
    'kind',
    ...sizes,
    'count',
    'colour',
    'direction',
    'sides alike',
    'washed',
    'price',
    'from',
  ];
  return `${Papa.unparse(rows.length > 0 ? rows : { fields: columns, data: [] }, { escapeFormulae: true, columns })}\n`;
}

/** A table of cloth as it was understood; each problem names its line. */
export interface ReadStash {
  readonly pieces: readonly Omit<EntryBody['stash-put'], 'id'>[];
  readonly problems: readonly string[];
}

/** The most lines taken at once. */
const MOST = 1000;
const YES = /^(yes|y|x|1|true|✓)$/i;

/** Reads a table of cloth: name, width and length are wanted, the rest may be left out. */
export function readStashCsv(text: string, unit: Unit): ReadStash {
  const { data, meta } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (head) => head.trim().toLowerCase(),
  });
  const column = (what: string) =>
    meta.fields?.find((field) => field === what || field.startsWith(`${what} (`));
  const [nameAt, widthAt, lengthAt] = [column('name'), column('width'), column('length')];
  if (!nameAt || !widthAt || !lengthAt)
    return { pieces: [], problems: ['A stash needs the columns name, width and length.'] };
  const headUnit = (at: string): Unit => (/\(cm\)/.test(at) ? 'cm' : /\(in\)/.test(at) ? 'in' : unit);
  const problems: string[] = [];
  if (data.length > MOST) problems.push(`The table has ${data.length} lines; the first ${MOST} are taken.`);
  const pieces = data.slice(0, MOST).flatMap((row, i) => {
    const cell = (what: string) => harmlessUndone((row[column(what) ?? ''] ?? '').trim());
    const size = (at: string) => {
      const read = parseLength(row[at] ?? '', headUnit(at));
      return read.ok && read.value > 0 ? read.value : null;
    };
    const [width, length] = [size(widthAt), size(lengthAt)];
    const name = cell('name').slice(0, 60);
    if (!name || width === null || length === null) {
      problems.push(`Line ${i + 2}: ${name ? 'its width or length cannot be read' : 'it has no name'}.`);
      return [];
    }
    const kind = STASH_KINDS.find((known) => known === cell('kind').toLowerCase().replace(/\s+/g, '-'));
    const price = Number(cell('price').replace(',', '.'));
    return [
      {
        name,
        kind: kind ?? ('piece' satisfies StashKind),
        unit: headUnit(widthAt),
        width,
        length,
        count: Math.min(5000, Math.max(1, Math.round(Number(cell('count')) || 1))),
        colour: /^#[0-9a-f]{6}$/i.test(cell('colour')) ? cell('colour').toLowerCase() : '#b9c4bd',
        direction:
          CLOTH_DIRECTIONS.find((known) => known === cell('direction')) ?? ('none' satisfies ClothDirection),
        alike: YES.test(cell('sides alike')),
        washed: YES.test(cell('washed')),
        price: cell('price') !== '' && price >= 0 && price <= 1000 ? price : null,
        from: cell('from').slice(0, 120),
      },
    ];
  });
  return { pieces, problems };
}
