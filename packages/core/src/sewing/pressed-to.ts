import { near } from '../length/tolerance.ts';
import type { Seam } from './seam-ledger.ts';
import type { Pressing } from './pressing.ts';

/**
 * Where a seam is pressed, in words: "toward the sash"; "to the right" where both its sides are of one kind, and "open".
 *
 * @param kindOf what the part on a side is one of
 */
export function pressedTo(
  { towardA: { x, y } }: Pick<Seam, 'towardA'>,
  press: Pressing['press'][number],
  kindOf: (side: 'a' | 'b') => string,
): string {
  if (press === 'open') return 'open';
  if (kindOf('a') !== kindOf('b')) return `toward the ${kindOf(press)}`;
  const sign = press === 'a' ? 1 : -1;
  // What slants is told by the side it goes to.
  if (!near(x, 0)) return sign * x > 0 ? 'to the right' : 'to the left';
  return sign * y > 0 ? 'down' : 'up';
}
