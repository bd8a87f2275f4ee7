/** A piece that was cut, as a piece of cloth again: a strip to be joined, or one that is spare. */
export interface PieceKey {
  readonly what: 'joined' | 'spare';
  /** Whose it was. */
  readonly of: string;
  readonly w: number;
  readonly h: number;
}

/** The name such a piece has among what is left; `index` tells it from others just like it. */
export const pieceKey = ({ what, of, w, h }: PieceKey, index: number): string =>
  `${what}:${w}:${h}:${index}:${of}`;

/** Whether a leftover's key is of such pieces. */
export function isOf(key: string, { what, of, w, h }: PieceKey): boolean {
  const read = readPieceKey(key);
  return read?.what === what && read.of === of && read.w === w && read.h === h;
}

/** Such a piece by its key; null where the key is of another leftover. */
export function readPieceKey(key: string): PieceKey | null {
  const [what, w, h, , ...of] = key.split(':');
  if (what !== 'joined' && what !== 'spare') return null;
  return { what, w: Number(w), h: Number(h), of: of.join(':') };
}

/** The beginning of the id of a step that cuts up a leftover. */
export const LEFTOVER_STEP = 'leftover-';

/**
 * The key of a leftover as a copy of its quilt has it.
 *
 * @param nameOf the new id of an entry; pieces of the stash stay with the quilt that cut them, and are plain leftovers here
 */
export function keyInCopy(key: string, nameOf: (entry: string) => string): string {
  if (readPieceKey(key)) return key;
  if (key.startsWith('stash:')) return `of-${key}`;
  const [first = '', second, ...rest] = key.split('/');
  return first === 'flaw' && second !== undefined
    ? [first, nameOf(second), ...rest].join('/')
    : [nameOf(first), ...(second === undefined ? [] : [second]), ...rest].join('/');
}

/** A step of a copy: what cuts up a leftover has its key. */
export const stepInCopy = (step: string, nameOf: (entry: string) => string): string =>
  step.startsWith(LEFTOVER_STEP) ? LEFTOVER_STEP + keyInCopy(step.slice(LEFTOVER_STEP.length), nameOf) : step;
