import { TOLERANCE } from '../length/tolerance.ts';

/** A rectangle: across the cloth and along it. */
interface Size {
  readonly width: number;
  readonly height: number;
}

/** How many pieces of one size a rectangle gives, and how many of them lie turned. */
export interface MostAlike {
  readonly count: number;
  readonly turned: number;
}

const NONE: MostAlike = { count: 0, turned: 0 };

/**
 * The most pieces of one size that straight cuts right through bring out of a rectangle, exact: every first cut at a sum
 * of widths and lengths is tried (guillotine cutting of one kind of piece, by dynamic programming; from memory).
 *
 * @param turns whether a piece may be turned: not where its print has a direction
 */
export function mostAlike(whole: Size, piece: Size, turns: boolean): MostAlike {
  const known = new Map<string, MostAlike>();
  const best = (width: number, height: number): MostAlike => {
    const upright = grid(width, height, piece);
    const level = turns ? grid(width, height, { width: piece.height, height: piece.width }) : 0;
    if (upright === 0 && level === 0) return NONE;
    const key = `${width.toFixed(4)} ${height.toFixed(4)}`;
    const had = known.get(key);
    if (had) return had;
    let most: MostAlike = level > upright ? { count: level, turned: level } : { count: upright, turned: 0 };
    // Nothing can be better than what the area holds.
    const bound = Math.floor((width * height + TOLERANCE) / (piece.width * piece.height));
    for (const [cuts, halves] of [
      [sumsOf(width / 2), (at: number) => [best(at, height), best(width - at, height)] as const],
      [sumsOf(height / 2), (at: number) => [best(width, at), best(width, height - at)] as const],
    ] as const)
      for (const at of cuts) {
        if (most.count >= bound) break;
        const [a, b] = halves(at);
        if (a.count + b.count > most.count) most = { count: a.count + b.count, turned: a.turned + b.turned };
      }
    known.set(key, most);
    return most;
  };
  /** Sums of the piece's sides up to a length: a first cut anywhere else wastes what lies before it. */
  const sumsOf = (up: number): number[] => {
    const sums = new Set<number>();
    for (let i = 0; i * piece.width <= up + TOLERANCE; i++)
      for (let j = 0; i * piece.width + j * piece.height <= up + TOLERANCE; j++) {
        const at = i * piece.width + j * piece.height;
        if (at > 0) sums.add(Math.round(at * 1e6) / 1e6);
      }
    return [...sums].sort((a, b) => a - b);
  };
  return best(whole.width, whole.height);
}

/** Rows and columns of one way round. */
const grid = (width: number, height: number, piece: Size): number =>
  Math.floor((width + TOLERANCE) / piece.width) * Math.floor((height + TOLERANCE) / piece.height);
