import type { ClothDirection } from '../cloth/direction.ts';
import { type Cut, cutOf, type CutShape } from '../cut/cut.ts';
import { lengthLies, lyingOf } from '../cut/lying.ts';
import { type CutLine, linesOf } from '../cut/line.ts';
import type { Layout } from '../layout/lay-out.ts';
import { countOf } from '../figure/figure.ts';
import { near } from '../length/tolerance.ts';
import type { CutFrom, Part, Piece, Role } from '../piece/piece.ts';
import { borderById, fabricById } from '../plan/fabric-use.ts';
import type { Plan } from '../plan/shape.ts';
import { cutShapeOf } from './cut-shape.ts';
import { blockMarks } from '../setting/sash-lines.ts';
import { overLong } from './over-long.ts';

/** Strips may be joined of two lengths; a block, a square or a triangle never is (rule CU-2). */
const JOINED: readonly Role[] = ['sash', 'border', 'coping-strip'];

/** Everything to cut for a layout, in the order settings and borders name it. Blocks are made already. */
export function cutsOfTop(plan: Plan, layout: Layout): Cut[] {
  const ofPart = new Map<string, Piece[]>();
  for (const piece of layout.pieces) {
    const fellows = ofPart.get(piece.part);
    if (fellows) fellows.push(piece);
    else ofPart.set(piece.part, [piece]);
  }
  return Object.values(layout.parts).flatMap((part) => cutsOfPart(plan, part, ofPart.get(part.key) ?? []));
}

/** The cutting list of a top: its cuts, alike ones together. */
export const cuttingList = (plan: Plan, cuts: readonly Cut[]): CutLine[] =>
  linesOf(cuts, (fabric) => fabricById(plan, fabric).direction);

/** What one part has cut: its own pieces, and the layers under them. */
function cutsOfPart(plan: Plan, part: Part, pieces: readonly Piece[]): Cut[] {
  const [piece] = pieces;
  if (!part.cutFrom || !piece) return [];
  const bare = cutShapeOf(piece.outline, part, plan.seam, plan.unit);
  const size = overLong(plan, part, bare);
  const layers = part.under ?? [];
  const cutFrom = part.cutFrom;
  const fronts = byLie(part, size, pieces).map(({ lies, own, count }) =>
    cutFor(plan, { ...part, count }, own, cutFrom, size, {
      id: `${part.key}${lies}`,
      name: layers.length > 0 ? `${part.name}, front` : part.name,
      under: false,
      notes: [
        ...(part.notes ?? []),
        ...marksOn(plan, part, bare, size),
        ...slantingNotes(directionOf(plan, cutFrom), part),
        ...unitNotes(directionOf(plan, cutFrom), part),
      ],
    }),
  );
  const under = layers.map(({ name, cutFrom, cutAs }) => {
    const own = cutAs
      ? overLong(plan, part, cutShapeOf(piece.outline, { grain: part.grain, cutAs }, plan.seam, plan.unit))
      : size;
    const said = { id: `${part.key}-${name}`, name: `${part.name}, ${name}`, under: true, notes: [] };
    return cutFor(plan, part, pieces, cutFrom, own, said);
  });
  return [...fronts, ...under];
}

/**
 * The pieces of a part by the way their length lies on the cloth: oblong patches go round a quilt and lie both ways, which
 * matters where a print has a direction; of everything else all lie alike.
 */
function byLie(
  part: Part,
  size: CutShape,
  pieces: readonly Piece[],
): { lies: string; own: readonly Piece[]; count: Part['count'] }[] {
  const turns =
    part.role === 'border-patch' &&
    !part.cuts &&
    size.shape === 'rectangle' &&
    !near(size.width.value, size.length.value);
  if (!turns) return [{ lies: '', own: pieces, count: part.count }];
  const of = (lie: 'along' | 'across') =>
    pieces.filter(({ outline }) => lengthLies(outline, part.grain) === lie);
  return (['along', 'across'] as const).flatMap((lie) => {
    const own = of(lie);
    return own.length === 0
      ? []
      : [
          {
            lies: `-${lie}`,
            own,
            count: countOf(
              own.length,
              ...part.count.working,
              `Of them ${lie === 'along' ? 'upright' : 'level'}: ${own.length}`,
            ),
          },
        ];
  });
}

/** What a print with a direction does in units that are sewn before they are cut: it lies as they fall. */
const unitNotes = (way: ClothDirection, { role, whole, cuts }: Part): string[] =>
  way !== 'none' && role === 'border-patch' && (whole || cuts)
    ? ['The print lies every way round in these units: make them one by one to choose.']
    : [];

/** Where a strip that runs past several blocks is marked, as it is cut. */
function marksOn({ unit }: Plan, { marks }: Part, bare: CutShape, cut: CutShape): string[] {
  if (!marks || bare.shape !== 'rectangle' || cut.shape !== 'rectangle') return [];
  return [blockMarks(marks, cut.length.value - bare.length.value, unit)];
}

const directionOf = (plan: Plan, { fabric }: CutFrom): ClothDirection => fabricById(plan, fabric).direction;

/** The pieces of a part as they are cut from one cloth, by the way they lie on it. */
function cutFor(
  plan: Plan,
  part: Part,
  pieces: readonly Piece[],
  cutFrom: CutFrom,
  size: CutShape,
  said: Pick<Cut, 'id' | 'name' | 'under' | 'notes'>,
): Cut {
  const directed = directionOf(plan, cutFrom) !== 'none';
  const oblong = size.shape === 'rectangle' && !near(size.width.value, size.length.value);
  // Patches of a pieced border are of its cloth, not of its strips.
  const border =
    part.role === 'border' && cutFrom.use.what === 'border' ? borderById(plan, cutFrom.use.border) : null;
  return cutOf({
    ...said,
    ...cutFrom,
    owner: 'top',
    role: part.role,
    size,
    count: part.cuts ?? part.count,
    grain: border?.cut === 'lengthwise' ? 'lengthwise' : 'crosswise',
    oneWay: directed && oblong && !part.cuts ? lengthOnCloth(pieces[0]!, part, size) : null,
    lying: directed && size.shape !== 'rectangle' && !part.whole ? lyingOf(pieces, size.shape) : null,
    joins: border?.joins ?? (JOINED.includes(part.role) ? 'diagonal' : 'never'),
    part: part.key,
    pieces: pieces.map((p) => p.id),
  });
}

/** The way the length of a piece, as it is cut, has to lie: of a strip wider than it is long it is the shorter side. */
function lengthOnCloth({ outline }: Piece, { grain }: Part, size: CutShape): 'across' | 'along' {
  const longer = lengthLies(outline, grain);
  const isShort = size.shape === 'rectangle' && size.width.value > size.length.value;
  if (!isShort) return longer;
  return longer === 'along' ? 'across' : 'along';
}

/** What a print with a direction does on a piece that stands on its corner. */
function slantingNotes(way: ClothDirection, { grain, role }: Part): string[] {
  if (way === 'none' || grain !== 'diagonal') return [];
  if (role === 'plain-block')
    return [
      'On point the print slants. Cut on the bias it would stand upright, and stretch along every side.',
    ];
  if (role === 'sash')
    return [
      'On point the print slants: falling sashes are cut along the selvage and rising ones across it, so that it slants one way in all.',
    ];
  return [];
}
