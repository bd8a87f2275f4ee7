import type { Role } from '../layout/piece.ts';
import type { Plan } from '../plan/shape.ts';
import type { CutPiece } from './pieces.ts';
import type { StripNeed } from './strips.ts';

/** Strips may be joined of two lengths; a block, a square or a triangle never is (rule CU-2). */
const JOINED: readonly Role[] = ['sash', 'border', 'coping-strip'];

/** What a line of the cutting list asks of its fabric's strips; triangles ask for their squares. */
export function stripNeed(plan: Plan, piece: CutPiece): StripNeed {
  const { key, cut, name, use, role, oneWay } = piece;
  const joins =
    use.what === 'border' ? plan.borders[use.index]!.joins : JOINED.includes(role) ? 'diagonal' : 'never';
  if (cut.shape === 'rectangle')
    return {
      key,
      name,
      width: cut.width.value,
      length: cut.length.value,
      count: piece.count.value,
      lengthwise: piece.lengthwise,
      joins,
      oneWay,
    };
  return {
    key,
    joins: 'never',
    name: `Squares for ${name.toLowerCase()}`,
    width: cut.side.value,
    length: cut.side.value,
    count: piece.squares!.count.value,
  };
}
