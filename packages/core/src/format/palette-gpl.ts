/** A colour of a cloth by its name; the colour is #rrggbb. */
export interface NamedColour {
  readonly name: string;
  readonly colour: string;
}

/** A palette as it was understood. */
export type ReadPalette =
  | { readonly ok: true; readonly name: string; readonly colours: readonly NamedColour[] }
  | { readonly ok: false; readonly problem: string };

/** The first line of every such file. */
const MAGIC = 'GIMP Palette';
const MOST = 1000;
/** A line is one line: what would end it, or cannot be seen, is a space. */
const oneLine = (text: string): string => text.replace(/[\p{Cc}\p{Zl}\p{Zp}]+/gu, ' ').trim();

/** Colours as a palette file that drawing programs read: a line each, red, green and blue from 0 to 255, and a name. */
export function writePalette(name: string, colours: readonly NamedColour[]): string {
  const lines = colours.map(({ name: own, colour }) => {
    const parts = [1, 3, 5].map((at) => String(parseInt(colour.slice(at, at + 2), 16)).padStart(3));
    return `${parts.join(' ')}\t${oneLine(own)}`;
  });
  return [MAGIC, `Name: ${oneLine(name)}`, '#', ...lines, ''].join('\n');
}

/** Reads a palette file. Never throws; a line that is no colour is told. */
export function readPalette(text: string): ReadPalette {
  const [first, ...lines] = text.replace(/^\uFEFF/, '').split(/\r?\n/);
  if (first?.trim() !== MAGIC)
    return { ok: false, problem: `This is no palette: its first line is not “${MAGIC}”.` };
  let name = '';
  const colours: NamedColour[] = [];
  for (const [i, line] of lines.entries()) {
    if (line.trim() === '' || line.trimStart().startsWith('#')) continue;
    const head = /^(Name|Columns):\s*(.*)$/.exec(line);
    if (head) {
      if (head[1] === 'Name') name = head[2]!.trim();
      continue;
    }
    const read = /^\s*(\d{1,3})\s+(\d{1,3})\s+(\d{1,3})(?:\s+(.*))?$/.exec(line);
    const parts = read?.slice(1, 4).map(Number) ?? [];
    if (!read || parts.some((part) => part > 255))
      return { ok: false, problem: `Line ${i + 2} is no colour: “${line.slice(0, 60)}”.` };
    if (colours.length >= MOST)
      return { ok: false, problem: `A palette holds at most ${MOST} colours here.` };
    const colour = `#${parts.map((part) => part.toString(16).padStart(2, '0')).join('')}`;
    colours.push({ name: oneLine(read[4] ?? '') || colour, colour });
  }
  return colours.length === 0
    ? { ok: false, problem: 'There is no colour in this palette.' }
    : { ok: true, name, colours };
}
