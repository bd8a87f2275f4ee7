import type { Point } from '../geometry/point.ts';
import { formatFine } from '../length/format.ts';
import { fromInches, type Unit } from '../length/unit.ts';
import type { Plan } from '../plan/shape.ts';
import { isBlock } from './method.ts';
import { ACROSS, slabs } from './tree.ts';
import type { Top } from './top.ts';

/** A piece of the centre as it comes out: moved by the seams before it, its outline drawn in by its own. */
interface FatPiece {
  readonly piece: number;
  readonly outline: readonly Point[];
}

/** The centre as it comes out with a seam that is not as it was meant. */
export interface Fat {
  readonly pieces: readonly FatPiece[];
  /** How much shorter than planned each row comes out, from the first. */
  readonly rows: readonly number[];
  readonly says: readonly string[];
}

/**
 * The centre with every seam fatter by so much (negative: scant): each takes twice that, so rows with more seams come
 * out shorter than rows with fewer, and points are cut by that much (rule SM-2).
 *
 * @param fat in the plan's unit, a seam allowance's difference
 * @param times how much more than it is the difference is drawn
 */
export function fatCentre(plan: Plan, top: Top, fat: number, times = 1): Fat {
  const { unit } = plan;
  const centre = top.pieces.flatMap(({ role }, piece) =>
    role === 'border' || role === 'border-corner' ? [] : [piece],
  );
  const slanting = top.pieces.some(({ role }) => role === 'corner-triangle');
  const [down, right] = slanting ? [ACROSS.rising, ACROSS.falling] : [ACROSS.rows, ACROSS.columns];
  const rows = slabs(top, centre, down);
  const pieces: FatPiece[] = [];
  const shorter = rows.map((row, r) => {
    const cells = slabs(top, row, right);
    cells.forEach((cell, c) => {
      const move = {
        x: -2 * fat * times * (down.x * r + right.x * c),
        y: -2 * fat * times * (down.y * r + right.y * c),
      };
      for (const piece of cell)
        pieces.push({
          piece,
          outline: drawnIn(top.pieces[piece]!.outline, top.pieces[piece]!.middle, fat * times, move),
        });
    });
    return 2 * fat * (cells.length - 1);
  });
  return {
    pieces,
    rows: shorter,
    says: wordsFor(
      shorter,
      fat,
      centre.some((piece) => isBlock(top, piece)),
      unit,
    ),
  };
}

/** Every corner nearer to the middle by the difference, both ways, and moved. */
const drawnIn = (outline: readonly Point[], middle: Point, by: number, move: Point): Point[] =>
  outline.map((p) => ({
    x: p.x - Math.sign(p.x - middle.x) * Math.min(by, Math.abs(p.x - middle.x)) + move.x,
    y: p.y - Math.sign(p.y - middle.y) * Math.min(by, Math.abs(p.y - middle.y)) + move.y,
  }));

function wordsFor(rows: readonly number[], fat: number, blocks: boolean, unit: Unit): string[] {
  if (Math.abs(fat) < 1e-9) return ['As it is meant: nothing moves.'];
  const show = (length: number) => formatFine(Math.abs(length), unit);
  const [least, most] = [Math.min(...rows.map(Math.abs)), Math.max(...rows.map(Math.abs))];
  const how = fat > 0 ? 'short' : 'long';
  const down = 2 * Math.abs(fat) * (rows.length - 1);
  const apart = most - least;
  return [
    `Rows come out up to ${show(most)} too ${how}, the centre ${show(down)} too ${how} from top to bottom.`,
    apart > fromInches(1 / 32, unit)
      ? `Rows differ by ${show(apart)}: they do not meet where they have fewer seams than their neighbours. Cut the long ones to the short, or take the seam a thread narrower.`
      : 'All rows have as many seams, so they still meet.',
    ...(blocks && fat > 0 ? [`Points at the seam line lose ${show(fat)}.`] : []),
  ];
}
