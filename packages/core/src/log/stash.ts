import { convertLength, type Unit } from '../length/unit.ts';
import type { LogEntry } from './entry.ts';
import type { EntryBody } from './kinds/registry.ts';
import { mergeLogs } from './merge.ts';

type Put = EntryBody['stash-put'];

/** Pieces of cloth alike in the stash; lengths in the unit that was asked for. */
export interface StashPiece extends Put {
  /** Neither set aside nor cut up. */
  readonly free: number;
  /** Set aside and not cut up yet. */
  readonly aside: readonly { readonly quilt: string; readonly cloth: string; readonly count: number }[];
  /** Cut up, or no longer there. */
  readonly gone: number;
}

/** The name a piece of the stash has among what a cloth is cut from; `index` tells it from others alike. */
export const stashKey = (piece: string, index: number): string => `stash:${index}:${piece}`;

/** The piece of the stash that a key names; null where it names another kind of leftover. */
function pieceOfKey(key: string): string | null {
  const [what, , ...piece] = key.split(':');
  return what === 'stash' ? piece.join(':') : null;
}

/**
 * The stash by the log: every piece with how many of it are free, set aside or cut up. Entries in any order, and any
 * of them more than once, give the same; more is never taken than there is.
 */
export function stashIn(log: readonly LogEntry[], unit: Unit): StashPiece[] {
  const all = mergeLogs(log);
  const put = new Map<string, EntryBody['stash-put']>();
  for (const entry of all) if (entry.kind === 'stash-put') put.set(entry.body.id, entry.body);
  const used = usedIn(all);
  return [...put.values()]
    .map((piece): StashPiece => {
      const moves = all.flatMap((entry) =>
        entry.kind === 'stash-moved' && entry.body.piece === piece.id ? [entry.body] : [],
      );
      const lost = moves.reduce((sum, { to, count }) => sum + (to === 'gone' ? count : 0), 0);
      const own = used.filter((use) => use.piece === piece.id);
      const gone = Math.min(piece.count, lost + own.length);
      const aside = asideIn(moves, own, piece.count - gone);
      return {
        ...piece,
        unit,
        width: convertLength(piece.width, piece.unit, unit),
        length: convertLength(piece.length, piece.unit, unit),
        gone,
        aside,
        free: piece.count - gone - aside.reduce((sum, { count }) => sum + count, 0),
      };
    })
    .filter(({ count, gone }) => gone < count);
}

interface Used {
  readonly piece: string;
  readonly quilt: string;
  readonly cloth: string;
}

/** Pieces that steps at the table have cut up; each step once, however many devices ticked it. */
function usedIn(all: readonly LogEntry[]): Used[] {
  const undone = new Set(all.flatMap((entry) => (entry.kind === 'step-uncut' ? entry.body.entries : [])));
  const seen = new Set<string>();
  return all.flatMap((entry) => {
    if (entry.kind !== 'step-cut' || undone.has(entry.id)) return [];
    const step = `${entry.quilt} ${entry.body.plan} ${entry.body.step}`;
    if (seen.has(step)) return [];
    seen.add(step);
    return entry.body.uses.flatMap((key) => {
      const piece = pieceOfKey(key);
      return piece === null ? [] : [{ piece, quilt: entry.quilt, cloth: entry.body.cloth }];
    });
  });
}

function asideIn(
  moves: readonly EntryBody['stash-moved'][],
  used: readonly Used[],
  there: number,
): StashPiece['aside'] {
  const counts = new Map<string, { quilt: string; cloth: string; count: number }>();
  const add = (quilt: string, cloth: string, by: number) => {
    const key = JSON.stringify([quilt, cloth]);
    const had = counts.get(key) ?? { quilt, cloth, count: 0 };
    counts.set(key, { ...had, count: had.count + by });
  };
  for (const { to, quilt, cloth, count } of moves)
    if (quilt !== null && cloth !== null && to !== 'gone') add(quilt, cloth, to === 'aside' ? count : -count);
  for (const { quilt, cloth } of used) add(quilt, cloth, -1);
  let left = there;
  return [...counts.values()].flatMap((one) => {
    const count = Math.max(0, Math.min(one.count, left));
    left -= count;
    return count > 0 ? [{ ...one, count }] : [];
  });
}
