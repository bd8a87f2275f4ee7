import type { PiecedKindId } from '../../choice/pieced-borders.ts';
import { geese } from './geese.ts';
import { halfSquare, sawtooth } from './half-square.ts';
import type { PiecedKind } from './kind.ts';
import { quarterSquare } from './quarter-square.ts';
import { checkers, keys } from './squares.ts';

const KINDS: Readonly<Record<PiecedKindId, PiecedKind>> = {
  'half-square': halfSquare,
  sawtooth,
  'quarter-square': quarterSquare,
  geese,
  checkers,
  keys,
};

/** The kind of pieced border by its id: a file and a line here. */
export const piecedKind = (id: PiecedKindId): PiecedKind => KINDS[id];
