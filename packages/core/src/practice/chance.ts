import type { Random } from '../random/random.ts';

/** One of a list. */
export const oneOf = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)]!;

/** A whole number from least to most, both of them too. */
export const wholeFrom = (random: Random, least: number, most: number): number =>
  least + Math.floor(random() * (most - least + 1));

/** A list in another order (Fisher and Yates). */
export function shuffled<T>(random: Random, list: readonly T[]): T[] {
  const out = [...list];
  for (let i = out.length - 1; i > 0; i -= 1) {
    const j = Math.floor(random() * (i + 1));
    [out[i], out[j]] = [out[j]!, out[i]!];
  }
  return out;
}
