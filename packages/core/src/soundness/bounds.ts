/** What a document from outside may hold at most: more than any quilt, file or log needs, less than chokes a machine. */
const MOST = {
  /** Lists and objects inside one another. */
  depth: 16,
  /** Entries of one list: a pile of fifty by fifty. */
  entries: 2_500,
  /** Fields of one object. */
  fields: 100,
  /** Letters of one text. */
  letters: 4_000,
  /** Values in all: a full pile on a full wall, measured at every edge, twice over. */
  values: 150_000,
} as const;

/**
 * What a document has too much of, in words; null where it keeps within bounds. One walk that stops at the first
 * excess, so that a document made to be slow costs no more than a sound one.
 */
export function excessIn(document: unknown): string | null {
  let values = 0;
  const walk = (value: unknown, depth: number): string | null => {
    if (++values > MOST.values) return `more than ${MOST.values} values`;
    if (typeof value === 'string')
      return value.length > MOST.letters ? `a text of more than ${MOST.letters} letters` : null;
    if (typeof value !== 'object' || value === null) return null;
    if (depth === MOST.depth) return `lists inside lists, more than ${MOST.depth} deep`;
    const inside: readonly unknown[] = Array.isArray(value) ? value : Object.values(value);
    if (Array.isArray(value) && inside.length > MOST.entries)
      return `a list of more than ${MOST.entries} entries`;
    if (!Array.isArray(value) && inside.length > MOST.fields)
      return `more than ${MOST.fields} fields in one place`;
    for (const part of inside) {
      const excess = walk(part, depth + 1);
      if (excess !== null) return excess;
    }
    return null;
  };
  return walk(document, 0);
}
