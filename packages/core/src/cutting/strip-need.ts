import type { Plan } from '../plan/shape.ts';
import type { CutPiece } from './pieces.ts';
import type { StripNeed } from './strips.ts';

/** What a line of the cutting list asks of its fabric's strips; triangles ask for their squares. */
export function stripNeed(plan: Plan, piece: CutPiece): StripNeed {
  const { key, cut, name, use } = piece;
  const joins = use.what === 'border' ? plan.borders[use.index]!.joins : 'diagonal';
  if (cut.shape === 'rectangle') return { key, name, width: cut.width.value, length: cut.length.value, count: piece.count.value, lengthwise: piece.lengthwise, joins };
  return { key, name: `Squares for ${name.toLowerCase()}`, width: cut.side.value, length: cut.side.value, count: piece.squares!.count.value };
}
