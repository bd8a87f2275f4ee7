import { countOf, type Figure } from '../figure/figure.ts';
import type { Layout } from '../layout/lay-out.ts';
import type { FabricUse, Part, Piece, Role } from '../layout/piece.ts';
import { ROLE_NAMES } from '../layout/roles.ts';
import { near } from '../length/tolerance.ts';
import type { Plan } from '../plan/shape.ts';
import { type CutShape, cutShapeOf, TRIANGLES_PER_SQUARE } from './cut-shape.ts';

/** One line of the cutting list: pieces alike in role, fabric and cut size. */
export interface CutPiece {
  readonly key: string;
  readonly role: Role;
  readonly name: string;
  readonly fabric: string;
  /** The choice of fabric behind it. */
  readonly use: FabricUse;
  /** The layout's parts it serves, so that pointing at the line lights them up. */
  readonly parts: readonly string[];
  readonly cut: CutShape;
  readonly count: Figure;
  /** Cut along the selvage, without joins, instead of across the fabric. */
  readonly lengthwise: boolean;
  /** For triangles: the squares they are cut from, and the triangles left over. */
  readonly squares: { readonly count: Figure; readonly leftOver: number } | null;
}

/** Everything to cut for a layout, in the order settings and borders name it. Blocks are made already. */
export function cutPieces(plan: Plan, layout: Layout): CutPiece[] {
  const sample = new Map<string, Piece>();
  for (const piece of layout.pieces) if (!sample.has(piece.part)) sample.set(piece.part, piece);

  const lines: { parts: Part[]; cutFrom: NonNullable<Part['cutFrom']>; cut: CutShape }[] = [];
  for (const part of Object.values(layout.parts)) {
    const piece = sample.get(part.key);
    if (!part.cutFrom || !piece) continue;
    const { cutFrom } = part;
    const cut = cutShapeOf(piece.outline, part.grain, plan.seam, plan.unit, part.cutAs);
    const same = lines.find((l) => l.parts[0]!.role === part.role && l.cutFrom.fabric === cutFrom.fabric && sameCut(l.cut, cut));
    if (same) same.parts.push(part);
    else lines.push({ parts: [part], cutFrom, cut });
  }
  return lines.map(({ parts, cutFrom, cut }) => {
    const role = parts[0]!.role;
    const alone = lines.filter((l) => l.parts[0]!.role === role).length === 1;
    const count = together(parts.map((p) => p.count));
    return {
      key: parts.map((p) => p.key).join('+'),
      role,
      name: alone ? ROLE_NAMES[role].many : parts.map((p) => p.name).join(', '),
      ...cutFrom,
      parts: parts.map((p) => p.key),
      cut,
      count,
      lengthwise: cutFrom.use.what === 'border' && plan.borders[cutFrom.use.index]!.cut === 'lengthwise',
      squares: cut.shape === 'rectangle' ? null : squaresFor(count.value, TRIANGLES_PER_SQUARE[cut.shape]),
    };
  });
}

function together(counts: readonly Figure[]): Figure {
  const total = counts.reduce((sum, c) => sum + c.value, 0);
  const working = counts.flatMap((c) => c.working);
  return countOf(total, ...working, ...(counts.length > 1 ? [`Together ${total}`] : []));
}

function squaresFor(triangles: number, each: number): NonNullable<CutPiece['squares']> {
  const squares = Math.ceil(triangles / each);
  const leftOver = squares * each - triangles;
  const spare = leftOver === 0 ? 'none left over' : `${leftOver} left over`;
  return { count: countOf(squares, `${triangles} triangles ÷ ${each} from a square, up to a whole square: ${squares}, ${spare}`), leftOver };
}

function sameCut(a: CutShape, b: CutShape): boolean {
  if (a.shape === 'rectangle') return b.shape === 'rectangle' && near(a.width.value, b.width.value) && near(a.length.value, b.length.value);
  return a.shape === b.shape && near(a.side.value, b.side.value);
}
