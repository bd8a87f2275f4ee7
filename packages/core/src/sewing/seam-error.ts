import { capital } from '../figure/many.ts';
import { driftAlong, seamsAlong } from '../block/drift.ts';
import { type Crossed, seamsOn, taken } from '../block/seams-crossed.ts';
import type { Point } from '../geometry/point.ts';
import { formatFine } from '../length/format.ts';
import { fromInches, type Unit } from '../length/unit.ts';
import { isOfBorder } from '../piece/roles.ts';
import type { Plan } from '../plan/shape.ts';
import { isBlock } from './method.ts';
import { ACROSS, type Across, slabs } from './tree.ts';
import type { Top } from './top.ts';
import { near } from '../length/tolerance.ts';
import { EASE_INCHES } from '../length/ease.ts';

/** A piece of the centre as it comes out: moved by the seams before it, its outline drawn in by its own. */
interface FatPiece {
  readonly piece: number;
  readonly outline: readonly Point[];
}

/** The centre as it comes out with a seam that is not as it was meant. */
export interface SeamError {
  readonly pieces: readonly FatPiece[];
  /** Whether it is sewn in rows, in columns or in slanting rows. */
  readonly lines: 'rows' | 'columns' | 'slanting rows';
  /** How much shorter than planned each of them comes out, from the first. */
  readonly rows: readonly number[];
  /** The most that seams of two neighbours that should cross lie apart. */
  readonly apart: number;
  readonly says: readonly string[];
}

/**
 * The centre with every seam fatter by so much (negative: scant): each takes twice that of a line that crosses it
 * (rule SM-2, the same as at Setting). Neighbours meet where as many seams lie between the points they share.
 *
 * @param fat in the plan's unit, a seam allowance's difference
 * @param times how much more than it is the difference is drawn
 */
export function centreWithSeamError(plan: Plan, top: Top, fat: number, times = 1): SeamError {
  const { unit } = plan;
  const centre = top.pieces.flatMap(({ role }, piece) => (isOfBorder(role) ? [] : [piece]));
  const { lines, down, along } = waysOf(top, centre);
  const rows = slabs(top, centre, down).map((row) => {
    const crossed = seamsOn(
      row.map((piece) => top.pieces[piece]!),
      along,
    );
    return { row, crossed, ends: endsOf(top, row, along) };
  });
  const between = seamsOn(
    centre.map((piece) => top.pieces[piece]!),
    down,
  );
  const pieces = rows.flatMap(({ row, crossed }) =>
    row.map((piece): FatPiece => {
      const { middle, outline } = top.pieces[piece]!;
      const before = (seams: readonly Crossed[], way: Across | Point) =>
        taken(seams.filter(({ at }) => at < middle.x * way.x + middle.y * way.y));
      const [alongIt, downIt] = [before(crossed, along), before(between, down)].map(
        (n) => -2 * fat * times * n,
      ) as [number, number];
      const move = {
        x: along.x * alongIt + down.x * downIt,
        y: along.y * alongIt + down.y * downIt,
      };
      return { piece, outline: drawnIn(outline, middle, fat * times, move) };
    }),
  );
  const shorter = rows.map(({ crossed }) => 2 * fat * taken(crossed));
  const apart = Math.max(0, ...rows.slice(1).map((row, i) => apartBy(rows[i]!, row, fat)));
  const whole = (way: 'across' | 'down') => driftAlong(seamsAlong(plan, way), fat, way).value;
  return {
    pieces,
    lines,
    rows: shorter,
    apart,
    says: wordsFor(
      { lines, shorter, apart, across: whole('across'), down: whole('down') },
      fat,
      centre.some((piece) => isBlock(top, piece)),
      unit,
    ),
  };
}

/** What the centre is sewn in: what straight seams part from end to end. */
function waysOf(
  top: Top,
  centre: readonly number[],
): { readonly lines: SeamError['lines']; readonly down: Across; readonly along: Point } {
  if (top.pieces.some(({ role }) => role === 'corner-triangle'))
    return { lines: 'slanting rows', down: ACROSS.rising, along: ACROSS.falling };
  return slabs(top, centre, ACROSS.rows).length > 1 || slabs(top, centre, ACROSS.columns).length < 2
    ? { lines: 'rows', down: ACROSS.rows, along: ACROSS.columns }
    : { lines: 'columns', down: ACROSS.columns, along: ACROSS.rows };
}

interface Row {
  readonly crossed: readonly Crossed[];
  readonly ends: readonly [number, number];
}

function endsOf({ pieces }: Top, row: readonly number[], along: Point): [number, number] {
  const far = row.flatMap((piece) => pieces[piece]!.outline.map(({ x, y }) => x * along.x + y * along.y));
  return [Math.min(...far), Math.max(...far)];
}

/** Two points of neighbouring lines are one within this, in the plan's unit. */
const ONE_POINT = 1e-4;

/**
 * How far apart seams of two neighbours come to lie that should cross: between points they share, ends and seams, each
 * loses what its own seams take.
 */
function apartBy(one: Row, other: Row, fat: number): number {
  const seams = (row: Row) => row.crossed.map(({ at }) => at);
  // A seam is shared with a seam, an end with an end: where a slanting row ends its neighbour goes on.
  const both = (of: readonly number[], others: readonly number[]) =>
    of.filter((at) => others.some((own) => Math.abs(own - at) < ONE_POINT));
  const shared = [...both(one.ends, other.ends), ...both(seams(one), seams(other))].sort((a, b) => a - b);
  const before = ({ crossed }: Row, point: number) =>
    taken(crossed.filter(({ at }) => at < point - ONE_POINT)) +
    taken(crossed.filter(({ at }) => Math.abs(at - point) < ONE_POINT)) / 2;
  const [first, ...rest] = shared;
  if (first === undefined) return 0;
  const lost = (row: Row, point: number) => before(row, point) - before(row, first);
  return Math.max(
    0,
    ...rest.map((point) => 2 * Math.abs(fat) * Math.abs(lost(one, point) - lost(other, point))),
  );
}

/** Every corner nearer to the middle by the difference, both ways, and moved. */
const drawnIn = (outline: readonly Point[], middle: Point, by: number, move: Point): Point[] =>
  outline.map((p) => ({
    x: p.x - Math.sign(p.x - middle.x) * Math.min(by, Math.abs(p.x - middle.x)) + move.x,
    y: p.y - Math.sign(p.y - middle.y) * Math.min(by, Math.abs(p.y - middle.y)) + move.y,
  }));

interface Outcome {
  readonly lines: SeamError['lines'];
  readonly shorter: readonly number[];
  readonly apart: number;
  readonly across: number;
  readonly down: number;
}

function wordsFor(
  { lines, shorter, apart, across, down }: Outcome,
  fat: number,
  blocks: boolean,
  unit: Unit,
): string[] {
  if (near(fat, 0)) return ['As it is meant: nothing moves.'];
  const show = (length: number) => formatFine(Math.abs(length), unit);
  const most = Math.max(...shorter.map(Math.abs));
  const [short, narrow] = fat > 0 ? ['short', 'narrow'] : ['long', 'wide'];
  const name = capital(lines);
  return [
    `${name} come out up to ${show(most)} too ${short}; the centre ${show(across)} too ${narrow} and ${show(down)} too ${short}.`,
    apart >= fromInches(1 / 32, unit)
      ? `${name} differ by up to ${show(apart)} where their seams should cross: they do not meet. Ease the longer to the shorter, which will do up to about ${formatFine(fromInches(EASE_INCHES, unit), unit)} a block, or take the seam a thread ${fat > 0 ? 'narrower' : 'wider'}.`
      : `All ${lines} lose as much between the seams they share, so they still meet.`,
    ...(blocks && fat > 0 ? [`Points at the seam line lose ${show(fat)}.`] : []),
  ];
}
