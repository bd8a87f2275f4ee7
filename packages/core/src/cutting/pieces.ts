import type { ClothDirection } from '../cloth/direction.ts';
import { countOf, type Figure, numberOf } from '../figure/figure.ts';
import type { Layout } from '../layout/lay-out.ts';
import type { CutFrom, FabricUse, Part, Piece, Role } from '../layout/piece.ts';
import { ROLE_NAMES } from '../layout/roles.ts';
import { near } from '../length/tolerance.ts';
import { fabricById } from '../plan/fabric-use.ts';
import type { Plan } from '../plan/shape.ts';
import { type CutShape, cutShapeOf, TRIANGLES_PER_SQUARE } from './cut-shape.ts';
import { lengthLies, type Lying, lyingOf, squaresLying } from './lying.ts';

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
  /** The way its length has to lie on a cloth with a direction; null where it may be turned. */
  readonly oneWay: 'across' | 'along' | null;
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
  readonly oneWay: CutPiece['oneWay'];
  /** Its triangles on the quilt, by the way each lies, where its cloth has a direction. */
  readonly lying: Lying | null;
}

/** Everything to cut for a layout, in the order settings and borders name it. Blocks are made already. */
export function cutPieces(plan: Plan, layout: Layout): CutPiece[] {
  const ofPart = new Map<string, Piece[]>();
  for (const piece of layout.pieces) {
    const fellows = ofPart.get(piece.part);
    if (fellows) fellows.push(piece);
    else ofPart.set(piece.part, [piece]);
  }

  const wanted = Object.values(layout.parts).flatMap((part) =>
    wantedFor(plan, part, ofPart.get(part.key) ?? []),
  );
  const lines: Wanted[][] = [];
  for (const want of wanted) {
    const same = lines.find(
      ([first]) =>
        first!.part.role === want.part.role &&
        first!.cutFrom.fabric === want.cutFrom.fabric &&
        first!.oneWay === want.oneWay &&
        sameCut(first!.cut, want.cut),
    );
    if (same) same.push(want);
    else lines.push([want]);
  }
  return lines.map((line) => {
    const {
      part: { role },
      cut,
      cutFrom,
      oneWay,
    } = line[0]!;
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
      oneWay,
      squares:
        cut.shape === 'rectangle' ? null : squaresOf(cut.shape, count.value, line, direction(plan, cutFrom)),
      notes: [...new Set([...line.flatMap((w) => w.notes), ...(oneWay ? [LIES[oneWay]] : [])])],
      under: line.every((w) => w.under),
    };
  });
}

/** How a piece lies on a cloth with a direction, in words. */
const LIES = {
  along: 'Cut with the length along the selvage, so that the print stands up.',
  across: 'Cut with the length across, from selvage to selvage, so that the print stands up.',
} as const;

const direction = (plan: Plan, { fabric }: CutFrom): ClothDirection => fabricById(plan, fabric).direction;

function wantedFor(plan: Plan, part: Part, pieces: readonly Piece[]): Wanted[] {
  const [piece] = pieces;
  if (!part.cutFrom || !piece) return [];
  const cut = cutShapeOf(piece.outline, part, plan.seam, plan.unit);
  const directed = (own: CutShape, cutFrom: CutFrom): Pick<Wanted, 'oneWay' | 'lying'> => {
    const has = direction(plan, cutFrom) !== 'none';
    return {
      oneWay:
        has && own.shape === 'rectangle' && !near(own.width.value, own.length.value)
          ? lengthLies(piece.outline, part.grain)
          : null,
      lying: has && own.shape !== 'rectangle' ? lyingOf(pieces, own.shape) : null,
    };
  };
  const under = (part.under ?? []).map(({ name, cutFrom, cutAs }): Wanted => {
    const own = cutAs ? cutShapeOf(piece.outline, { grain: part.grain, cutAs }, plan.seam, plan.unit) : cut;
    return {
      part,
      name: `${part.name}, ${name}`,
      cutFrom,
      notes: [],
      under: true,
      cut: own,
      ...directed(own, cutFrom),
    };
  });
  const name = under.length > 0 ? `${part.name}, front` : part.name;
  const notes = [...(part.notes ?? []), ...slantingNotes(direction(plan, part.cutFrom), part)];
  return [
    { part, name, cutFrom: part.cutFrom, cut, notes, under: false, ...directed(cut, part.cutFrom) },
    ...under,
  ];
}

/** What a print with a direction does on a piece that stands on its corner. */
function slantingNotes(way: ClothDirection, { grain, role }: Part): string[] {
  if (way === 'none' || grain !== 'diagonal') return [];
  return role === 'plain-block'
    ? ['On point the print slants. Cut on the bias it would stand upright, and stretch along every side.']
    : role === 'sash'
      ? [
          'On point the print slants: falling sashes are cut along the selvage and rising ones across it, so that it slants one way in all.',
        ]
      : [];
}

function together(counts: readonly Figure[]): Figure {
  const total = counts.reduce((sum, c) => sum + c.value, 0);
  const working = counts.flatMap((c) => c.working);
  return countOf(total, ...working, ...(counts.length > 1 ? [`Together ${total}`] : []));
}

/** Squares for the triangles of a line, and what is left over; a cloth with a direction asks how each triangle lies. */
function squaresOf(
  shape: 'quarter-square' | 'half-square',
  triangles: number,
  line: readonly Wanted[],
  way: ClothDirection,
): NonNullable<CutPiece['squares']> {
  const each = TRIANGLES_PER_SQUARE[shape];
  const lying = line.flatMap((w) => w.lying ?? []);
  const { squares, how } =
    way === 'none' || lying.length === 0
      ? {
          squares: Math.ceil(triangles / each),
          how: `${numberOf(triangles, 'triangle')} ÷ ${each} from a square, up to a whole square`,
        }
      : squaresLying(shape, lying, way);
  const leftOver = squares * each - triangles;
  const spare = leftOver === 0 ? 'none left over' : `${leftOver} left over`;
  return { count: countOf(squares, `${how}: ${squares}, ${spare}`), leftOver };
}

function sameCut(a: CutShape, b: CutShape): boolean {
  if (a.shape === 'rectangle')
    return (
      b.shape === 'rectangle' && near(a.width.value, b.width.value) && near(a.length.value, b.length.value)
    );
  return a.shape === b.shape && near(a.side.value, b.side.value);
}
