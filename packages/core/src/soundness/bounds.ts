import { LIMITS } from './limits.ts';

/** Names by which a thing says how it is made a text or a number: one that lies about it trips whoever only compares it. */
const LYING = ['toString', 'valueOf'] as const;

/**
 * What a document has too much of, or that nothing has, in words; null where it keeps within bounds. One walk that stops at the first
 * excess, so that a document made to be slow costs no more than a sound one.
 */
export function excessIn(document: unknown): string | null {
  let values = 0;
  const walk = (value: unknown, depth: number): string | null => {
    if (++values > LIMITS.values) return `more than ${LIMITS.values} values`;
    if (typeof value === 'string')
      return value.length > LIMITS.letters ? `a text of more than ${LIMITS.letters} letters` : null;
    if (typeof value !== 'object' || value === null) return null;
    if (depth === LIMITS.depth) return `lists inside lists, more than ${LIMITS.depth} deep`;
    const inside: readonly unknown[] = Array.isArray(value) ? value : Object.values(value);
    if (Array.isArray(value) && inside.length > LIMITS.entries)
      return `a list of more than ${LIMITS.entries} entries`;
    if (!Array.isArray(value) && inside.length > LIMITS.fields)
      return `more than ${LIMITS.fields} fields in one place`;
    for (const name of LYING) if (Object.hasOwn(value, name)) return `a field called “${name}”`;
    for (const part of inside) {
      const excess = walk(part, depth + 1);
      if (excess !== null) return excess;
    }
    return null;
  };
  return walk(document, 0);
}
