import Papa from 'papaparse';

/** How a spreadsheet of one half of the world or the other parts cells and writes decimals. */
export type Marks = 'point' | 'comma';

/** A cell: words, or a number that stays one. */
type Cell = string | number | null;

/**
 * A table as RFC 4180 has it: lines end with CR LF, cells with marks in them stand in quotes. Words that a spreadsheet
 * would take for a formula are made harmless with an apostrophe before them.
 *
 * @param rows every row by the same headings; numbers are written to six places
 * @param heads the headings, for a table that may have no rows
 */
export function writeTable(
  rows: readonly Readonly<Record<string, Cell>>[],
  marks: Marks = 'point',
  heads: readonly string[] = Object.keys(rows[0] ?? {}),
): string {
  const said = (cell: Cell) => {
    if (typeof cell !== 'number') return cell ?? '';
    const plain = String(Math.round(cell * 1e6) / 1e6);
    return marks === 'comma' ? plain.replace('.', ',') : plain;
  };
  const data = rows.map((row) => heads.map((head) => said(row[head] ?? null)));
  const delimiter = marks === 'comma' ? ';' : ',';
  return `${Papa.unparse({ fields: [...heads], data }, { delimiter, newline: '\r\n', escapeFormulae: FORMULA })}\r\n`;
}

/**
 * What a spreadsheet reckons with, whatever blanks or line breaks stand before it, for some pass over those: a number
 * below nothing is none of it.
 */
const FORMULA = /^\s*[=+@]|^[\t\r\n]|^\s*-(?![\d.,]+$)/;

/** Words as they were before they were made harmless. */
export const harmlessUndone = (cell: string): string =>
  /^'(\s*[=+\-@]|[\t\r\n])/.test(cell) ? cell.slice(1) : cell;
