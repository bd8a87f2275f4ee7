import Papa from 'papaparse';
import { FACE_NAMES, type FaceName } from '../face/face.ts';
import { numberOf } from '../figure/figure.ts';
import { formatWithUnit, formatWorking } from '../length/format.ts';
import { parseLength } from '../length/parse.ts';
import { limitIn } from '../length/rounding.ts';
import { CM_PER_INCH, type Unit } from '../length/unit.ts';
import { RANGES } from '../soundness/ranges.ts';
import { harmlessUndone } from './table-csv.ts';
import { BLOCK_VALUES, PILE_LIMIT, type PileBlock } from '../plan/shape.ts';

/** A table of block measurements as it was understood. Blocks are those read without doubt. */
export interface ReadBlocks {
  readonly blocks: readonly PileBlock[];
  /** What stops lines, or the whole table, from being taken; each names its line. */
  readonly problems: readonly string[];
  /** What was done to understand it: units converted, lines left out. */
  readonly notes: readonly string[];
}

/** Column headings people write, in lower case, for each thing a block has. */
const HEADINGS = {
  name: ['name', 'block', 'block name', 'label'],
  maker: ['maker', 'made by', 'from', 'quilter'],
  width: ['width', 'w', 'across', 'wide'],
  height: ['height', 'h', 'down', 'length', 'tall'],
  face: ['pattern', 'face', 'kind', 'design'],
  top: ['top', 'width along the top'],
  bottom: ['bottom', 'width along the bottom'],
  left: ['left', 'height along the left'],
  right: ['right', 'height along the right'],
  value: ['value', 'lightness'],
  upright: ['one-way', 'one way', 'upright', 'directional'],
  points: ['points'],
} as const;
type Column = keyof typeof HEADINGS;
type SizeColumn = 'width' | 'height' | (typeof EDGES)[number];
const EDGES = ['top', 'bottom', 'left', 'right'] as const;
/** What stands for yes in a column of marks. */
const YES = /^(yes|y|x|1|true|✓)$/i;

/** A decimal without a unit this close to 2.54 × its fellows was measured with the other side of the tape. */
const CENTIMETRE_SLIP = { least: CM_PER_INCH * 0.93, most: CM_PER_INCH * 1.07 };

interface Table {
  readonly rows: readonly string[][];
  readonly at: Partial<Record<Column, number>>;
  readonly colours: readonly number[];
  /** Unit written in a size column's heading, `width (mm)`. */
  readonly headUnit: Partial<Record<Column, 'in' | 'cm' | 'mm'>>;
  /** Columns that nothing is made of, as they are headed. */
  readonly unknown: readonly string[];
  /** Cells stand apart by commas, so that a decimal comma parts a figure in two. */
  readonly commas: boolean;
  /** There was no heading line. */
  readonly headless?: true;
}

/**
 * A pile as a table that `readBlocksCsv` takes in again: names, makers, patterns, cut sizes as a quilter
 * writes them with the unit in the heading, colours, values and marks. Pictures stay where they are.
 */
export function writeBlocksCsv(pile: readonly PileBlock[], unit: Unit): string {
  const size = (value: number | null | undefined) =>
    typeof value === 'number' ? formatWorking(value, unit) : '';
  const rows = pile.map(
    ({ name, maker, kind, face, width, height, edges, colours, value, upright, points }) => ({
      name,
      maker: maker ?? '',
      pattern: kind ?? face ?? '',
      [`width (${unit})`]: size(width),
      [`height (${unit})`]: size(height),
      ...Object.fromEntries(EDGES.map((edge) => [`${edge} (${unit})`, size(edges?.[edge])])),
      ...Object.fromEntries([1, 2, 3].map((n) => [`colour ${n}`, colours?.[n - 1] ?? ''])),
      value: value ?? '',
      'one-way': upright ? 'yes' : '',
      points: points ? 'yes' : '',
    }),
  );
  const fields = [
    'name',
    'maker',
    'pattern',
    ...['width', 'height', ...EDGES].map((what) => `${what} (${unit})`),
  ];
  const marked = ['colour 1', 'colour 2', 'colour 3', 'value', 'one-way', 'points'];
  const columns = [...fields, ...marked];
  return `${Papa.unparse(rows.length > 0 ? rows : { fields: columns, data: [] }, { escapeFormulae: true, columns })}\n`;
}

/**
 * Reads block measurements from delimited text (comma, semicolon or tab), with a heading line naming
 * at least `width` and `height` (cut size, edge to edge); also `name`, `maker`, `pattern`, `colour 1` …
 * `colour 3` and what `writeBlocksCsv` writes. Pasted cells without headings are read as a name, if there
 * is one, then width and height. A byte-order mark and blank lines are passed over; each cell may carry its
 * own unit. Never throws; says what it made of every line.
 *
 * @example
 * readBlocksCsv('name,width,height\nSnail,10 1/2,10.25', 'in').blocks[0]; // { id: 'b2', name: 'Snail', width: 10.5, height: 10.25 }
 */
export function readBlocksCsv(text: string, unit: Unit): ReadBlocks {
  const clean = text.replace(/^\uFEFF/, '');
  // What a spreadsheet puts on the clipboard has tabs, even where its lines are ragged.
  const { data, meta } = Papa.parse<string[]>(clean, {
    skipEmptyLines: false,
    delimiter: clean.split('\n', 1)[0]!.includes('\t') ? '\t' : '',
  });
  const rows = data.map((row) => row.map((cell) => harmlessUndone(cell.trim())));
  const isBlank = (row: readonly string[]) => row.every((cell) => cell === '');
  const headAt = rows.findIndex((row) => !isBlank(row));
  const refuse = (...problems: string[]): ReadBlocks => ({ blocks: [], problems, notes: [] });
  if (headAt < 0) return refuse('This table is empty.');

  const commas = meta.delimiter === ',';
  const headless = pastedTable(rows, headAt, unit, commas);
  const table = headless ?? readHeading(rows, headAt, commas);
  const missing = (['width', 'height'] as const).filter((column) => table.at[column] === undefined);
  if (missing.length > 0) {
    const found = rows[headAt]!.filter(Boolean).join(', ');
    return refuse(
      `There is no column headed ${missing.join(' and none headed ')}. The first line reads: ${found}. Head the columns name, width, height.`,
    );
  }
  const filled = rows
    .map((row, i) => ({ row, line: i + 1 }))
    .filter(({ row, line }) => line > (headless ? headAt : headAt + 1) && !isBlank(row));
  if (filled.length === 0) return refuse('There are headings here, and no blocks under them.');
  if (filled.length > PILE_LIMIT) {
    return refuse(
      `This table lists ${filled.length.toLocaleString('en')} blocks; one quilt holds at most ${PILE_LIMIT.toLocaleString('en')}. Nothing was taken: split the table and try again.`,
    );
  }

  const problems: string[] = [];
  const read: { block: PileBlock; line: number }[] = [];
  const left = { edges: [] as number[], colours: [] as number[], values: [] as number[] };
  let converted = 0;
  for (const { row, line } of filled) {
    const doubt = doubtOfCells(row, line, table, unit);
    if (doubt !== null) {
      problems.push(doubt);
      continue;
    }
    const result = readRow(row, line, table, unit);
    problems.push(...result.problems);
    converted += result.converted;
    if (!result.block) continue;
    read.push({ block: result.block, line });
    for (const what of result.left) left[what].push(line);
  }
  const sure = withoutSlips(read, unit, problems);
  const bare = sure.filter((b) => b.width === null).length;
  const notes = [
    ...(converted > 0
      ? [
          `${numberOf(converted, 'measurement')} in ${unit === 'in' ? 'centimetres' : 'inches'} converted to ${unit === 'in' ? 'inches' : 'centimetres'}.`,
        ]
      : []),
    ...(bare > 0
      ? [`${numberOf(bare, 'block has', 'blocks have')} no size yet: taken as still to be measured.`]
      : []),
    ...(left.edges.length > 0
      ? [
          `Only some of the four edges are given: left out ${onLines(left.edges)}. All four tell whether a block is crooked.`,
        ]
      : []),
    ...(left.colours.length > 0
      ? [`Colours are written like #2e4a5f: others are left out ${onLines(left.colours)}.`]
      : []),
    ...(left.values.length > 0
      ? [`A value is ${BLOCK_VALUES.join(', ')}: others are left out ${onLines(left.values)}.`]
      : []),
    ...(table.unknown.length > 0
      ? [`Nothing was made of ${table.unknown.map((name) => `“${name}”`).join(', ')}.`]
      : []),
  ];
  return { blocks: sure, problems, notes };
}

/** "in line 4", "in lines 4, 7, 9 and 12 more". */
const onLines = (lines: readonly number[]): string =>
  `in line${lines.length === 1 ? '' : 's'} ${lines.slice(0, 5).join(', ')}${lines.length > 5 ? ` and ${lines.length - 5} more` : ''}`;

/** Two bare whole figures apart by a comma are two sizes only where they could be one block's: where one is less than this share of the other it is asked about. */
const UNLIKELY_SHARE = 0.6;

/** Why a line cannot be read without doubt, in words: a decimal comma may have parted a figure in two. */
function doubtOfCells(
  row: readonly string[],
  line: number,
  { rows, at, commas, headless }: Table,
  unit: Unit,
): string | null {
  if (!commas) return null;
  const mend = 'Write 12.5 with a point, or save the table with semicolons.';
  const columns = headless ? 0 : rows.find((r) => r.some((c) => c !== ''))!.length;
  const filled = row.findLastIndex((c) => c !== '') + 1;
  if (!headless && filled > columns)
    return `Line ${line}: ${filled} cells under ${columns} headings. A comma may be a decimal here. ${mend}`;
  const [width, height] = [row[at.width!] ?? '', row[at.height!] ?? ''];
  if (at.height !== at.width! + 1 || !/^\d+$/.test(width) || !/^\d{1,2}$/.test(height)) return null;
  const [first, second] = [parseLength(width, unit), parseLength(height, unit)];
  if (
    !first.ok ||
    !second.ok ||
    Math.min(first.value, second.value) >= Math.max(first.value, second.value) * UNLIKELY_SHARE
  )
    return null;
  return `Line ${line}: ${width},${height} can be ${width} × ${height} or ${width}.${height}. ${mend}`;
}

/** Cells pasted without headings: the first line has no known heading, and its last cells are lengths. */
function pastedTable(rows: readonly string[][], headAt: number, unit: Unit, commas: boolean): Table | null {
  const first = rows[headAt]!;
  if (Object.keys(readHeading(rows, headAt, commas).at).length > 0) return null;
  const lengths = first.flatMap((cell, i) => (parseLength(cell, unit).ok ? [i] : []));
  const numbers = countsUp(rows.slice(headAt), lengths) ? lengths.slice(0, 1) : [];
  const sizes = lengths.filter((i) => !numbers.includes(i));
  const words = first.flatMap((cell, i) => (cell !== '' && !lengths.includes(i) ? [i] : []));
  if (sizes.length === 0) return null;
  const [width, height = width, ...more] = sizes as [number, number?, ...number[]];
  const name = words[0] ?? numbers[0];
  return {
    rows,
    at: {
      width,
      height,
      ...(name === undefined ? {} : { name }),
      ...(words[1] === undefined ? {} : { maker: words[1] }),
    },
    colours: [],
    headUnit: {},
    commas,
    headless: true,
    unknown: [...more, ...words.slice(2)].map((i) => `column ${i + 1}`),
  };
}

/** Whether the first of the columns of figures only numbers the lines: whole figures one after another, beside others that are sizes. */
function countsUp(rows: readonly string[][], columns: readonly number[]): boolean {
  const [first, second] = columns;
  if (first === undefined || second === undefined || columns.length < 2) return false;
  const filled = rows.filter((row) => row.some((cell) => cell !== ''));
  const counts = filled.map((row) => row[first] ?? '');
  const upward = counts.every((cell, i) => /^\d+$/.test(cell) && Number(cell) === Number(counts[0]) + i);
  if (!upward) return false;
  // A single line tells only by a third figure; several by the second not counting with the first.
  return filled.length === 1
    ? columns.length > 2 && counts[0] === '1'
    : !filled.every((row, i) => Number(row[second]) === Number(filled[0]![second]) + i);
}

function readHeading(rows: readonly string[][], headAt: number, commas: boolean): Table {
  const at: Table['at'] = {};
  const headUnit: Table['headUnit'] = {};
  const colours: number[] = [];
  const unknown: string[] = [];
  rows[headAt]!.forEach((cell, i) => {
    const [, words = '', inUnit] =
      /^(.*?)\s*(?:[([]\s*(cm|in|inches|mm)\s*[)\]])?$/i.exec(cell.toLowerCase()) ?? [];
    const column = (Object.keys(HEADINGS) as Column[]).find(
      (c) => at[c] === undefined && (HEADINGS[c] as readonly string[]).includes(words),
    );
    if (column) {
      at[column] = i;
      if (inUnit) headUnit[column] = inUnit.startsWith('in') ? 'in' : (inUnit as 'cm' | 'mm');
    } else if (/^colou?r( \d)?$/.test(words) && colours.length < 3) colours.push(i);
    else if (cell !== '') unknown.push(cell);
  });
  return { rows, at, colours, headUnit, unknown, commas };
}

function readRow(row: readonly string[], line: number, table: Table, unit: Unit) {
  const { at, colours, headUnit } = table;
  const cell = (column: Column): string => (at[column] === undefined ? '' : (row[at[column]!] ?? ''));
  const name = cell('name').slice(0, 80) || `Block ${line - (table.headless ? 0 : 1)}`;
  const problems: string[] = [];
  let converted = 0;
  // A line without either size is a block still to be measured.
  const unmeasured = cell('width') === '' && cell('height') === '';
  const size = (column: SizeColumn): number => {
    const text = cell(column);
    // A figure without a unit of its own has its column's, however its fraction is written.
    const headed =
      headUnit[column] && /[\d\u00bc-\u00be\u2150-\u215e.,]\s*$/.test(text)
        ? `${text} ${headUnit[column]}`
        : text;
    const parsed = parseLength(headed, unit);
    if (!parsed.ok) {
      problems.push(`Line ${line} (${name}), ${column}: ${parsed.message}`);
      return NaN;
    }
    const { least, most } = RANGES.measured;
    if (parsed.value < limitIn(least, unit) || parsed.value > limitIn(most, unit)) {
      problems.push(`Line ${line} (${name}), ${column}: a block of ${parsed.understood} cannot be right.`);
    }
    if (parsed.writtenIn !== null && parsed.writtenIn !== unit) converted++;
    return parsed.value;
  };
  const width = unmeasured ? null : size('width');
  const height = unmeasured ? null : size('height');
  const left: ('edges' | 'colours' | 'values')[] = [];
  const [top, bottom, leftEdge, right] = EDGES.map((edge) => (cell(edge) === '' ? null : size(edge)));
  const given = [top, bottom, leftEdge, right].filter((edge) => edge !== null).length;
  const edges =
    given === EDGES.length
      ? ({ top, bottom, left: leftEdge, right } as NonNullable<PileBlock['edges']>)
      : null;
  if (given > 0 && !edges) left.push('edges');
  if (problems.length > 0) return { block: null, problems, converted: 0, left };

  const maker = cell('maker').slice(0, 80);
  const face = cell('face').toLowerCase();
  const named = colours.map((i) => row[i] ?? '').filter((c) => c !== '');
  const shades = named.filter((c) => /^#[0-9a-f]{6}$/i.test(c));
  if (shades.length < named.length) left.push('colours');
  if (cell('value') !== '' && !isValue(cell('value').toLowerCase())) left.push('values');
  const kind = cell('face').slice(0, 60);
  const block: PileBlock = {
    id: `b${line}`,
    name,
    ...(maker ? { maker } : {}),
    ...(kind ? { kind } : {}),
    ...((FACE_NAMES as readonly string[]).includes(face) ? { face: face as FaceName } : {}),
    ...(shades.length > 0 ? { colours: shades } : {}),
    ...(isValue(cell('value').toLowerCase())
      ? { value: cell('value').toLowerCase() as PileBlock['value'] & string }
      : {}),
    ...(YES.test(cell('upright')) ? { upright: true } : {}),
    ...(YES.test(cell('points')) ? { points: true } : {}),
    width,
    height,
    ...(edges ? { edges } : {}),
  };
  return { block, problems, converted, left };
}

const isValue = (text: string): boolean => (BLOCK_VALUES as readonly string[]).includes(text);

/** Leaves out lines that were measured in the other unit without saying so, and says which. */
function withoutSlips(
  read: readonly { block: PileBlock; line: number }[],
  unit: Unit,
  problems: string[],
): PileBlock[] {
  const widths = read.flatMap((r) => r.block.width ?? []).sort((a, b) => a - b);
  const middle = widths[Math.floor(widths.length / 2)] ?? 0;
  const slipped = (value: number | null) => {
    if (value === null) return false;
    const ratio = unit === 'in' ? value / middle : middle / value;
    return ratio > CENTIMETRE_SLIP.least && ratio < CENTIMETRE_SLIP.most;
  };
  return read.flatMap(({ block, line }) => {
    if (!slipped(block.width) && !slipped(block.height)) return [block];
    const said = formatWithUnit((slipped(block.width) ? block.width : block.height)!, unit);
    problems.push(
      `Line ${line} (${block.name}): ${said} looks like ${unit === 'in' ? 'centimetres among inches' : 'inches among centimetres'}. Write the unit beside it.`,
    );
    return [];
  });
}
