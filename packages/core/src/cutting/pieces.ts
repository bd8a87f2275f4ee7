import { countOf, type Figure } from '../figure/figure.ts';
import type { Layout } from '../layout/lay-out.ts';
import type { CutFrom, FabricUse, Part, Piece, Role } from '../layout/piece.ts';
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
  /** What to know when cutting or sewing it. */
  readonly notes: readonly string[];
  /** Lies under the piece that is drawn: the batting or back of a strip. */
  readonly under: boolean;
}

/** What one part has cut from one fabric: the piece itself, or a layer under it. */
interface Wanted {
  readonly part: Part;
  readonly name: string;
  readonly cutFrom: CutFrom;
  readonly cut: CutShape;
  readonly notes: readonly string[];
  readonly under: boolean;
}

/** Everything to cut for a layout, in the order settings and borders name it. Blocks are made already. */
export function cutPieces(plan: Plan, layout: Layout): CutPiece[] {
  const sample = new Map<string, Piece>();
  for (const piece of layout.pieces) if (!sample.has(piece.part)) sample.set(piece.part, piece);

  const wanted = Object.values(layout.parts).flatMap((part) => wantedFor(plan, part, sample.get(part.key)));
  const lines: Wanted[][] = [];
  for (const want of wanted) {
    const same = lines.find(([first]) => first!.part.role === want.part.role && first!.cutFrom.fabric === want.cutFrom.fabric && sameCut(first!.cut, want.cut));
    if (same) same.push(want);
    else lines.push([want]);
  }
  return lines.map((line) => {
    const { part: { role }, cut, cutFrom } = line[0]!;
    const alone = lines.filter(([first]) => first!.part.role === role).length === 1;
    const count = together(line.map((w) => w.part.count));
    return {
      key: line.map((w) => w.name).join('+'),
      role,
      name: alone ? ROLE_NAMES[role].many : line.map((w) => w.name).join(', '),
      ...cutFrom,
      parts: [...new Set(line.map((w) => w.part.key))],
      cut,
      count,
      lengthwise: cutFrom.use.what === 'border' && plan.borders[cutFrom.use.index]!.cut === 'lengthwise',
      squares: cut.shape === 'rectangle' ? null : squaresFor(count.value, TRIANGLES_PER_SQUARE[cut.shape]),
      notes: [...new Set(line.flatMap((w) => w.notes))],
      under: line.every((w) => w.under),
    };
  });
}

function wantedFor(plan: Plan, part: Part, piece: Piece | undefined): Wanted[] {
  if (!part.cutFrom || !piece) return [];
  const cut = cutShapeOf(piece.outline, part, plan.seam, plan.unit);
  const under = (part.under ?? []).map(({ name, cutFrom, cutAs }): Wanted => ({
    part, name: `${part.name}, ${name}`, cutFrom, notes: [], under: true,
    cut: cutAs ? cutShapeOf(piece.outline, { grain: part.grain, cutAs }, plan.seam, plan.unit) : cut,
  }));
  const name = under.length > 0 ? `${part.name}, front` : part.name;
  return [{ part, name, cutFrom: part.cutFrom, cut, notes: part.notes ?? [], under: false }, ...under];
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
