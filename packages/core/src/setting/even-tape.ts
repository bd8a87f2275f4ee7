import type { Band } from '../piece/piece.ts';

/** A tape of nothing but blocks, each taking `size`, from `start`. */
export const evenTape = (count: number, size: number, start: number): Band[] =>
  Array.from({ length: count }, (_, i) => ({
    role: 'block',
    part: 'block',
    from: start + i * size,
    to: start + (i + 1) * size,
  }));
