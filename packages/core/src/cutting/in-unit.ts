import { sum } from 'd3-array';
import { lengthOf } from '../figure/figure.ts';
import { formatExact } from '../length/format.ts';
import { convertLength, type Unit } from '../length/unit.ts';
import type { Fabric } from '../plan/shape.ts';
import type { Placed, StockBox } from './placed.ts';
import { stripsAcross } from './strips-across.ts';

/**
 * Where everything lies on a cloth, told in the other unit: the very same cuts, for whoever changed the unit of a plan
 * while its cloth was being cut.
 *
 * @param fabric the same cloth as the plan has it in that unit
 */
export function placedInUnit(placed: Placed, fabric: Fabric, from: Unit, to: Unit): Placed {
  const length = (value: number) => convertLength(value, from, to);
  const box = <T extends StockBox>(of: T): T => ({
    ...of,
    ...{ x: length(of.x), y: length(of.y), w: length(of.w), h: length(of.h) },
  });
  const pieces = placed.pieces.map(box);
  const heights = placed.heights.map(length);
  const runs = placed.runs.map((run) => ({
    ...run,
    width: length(run.width),
    loss: length(run.loss),
    segments: run.segments.map(box),
    pieces: run.pieces.map((piece) => ({
      ...piece,
      length: length(piece.length),
      joins: piece.joins.map(length),
    })),
    clear: length(run.clear),
    withOneMore: length(run.withOneMore),
  }));
  const needed = length(placed.needed.value);
  return {
    ...placed,
    fabric,
    pieces,
    runs,
    heights,
    strips: stripsAcross({ heights, pieces, runs, usable: fabric.usableWidth, unit: to }),
    bound: length(placed.bound),
    needed: lengthOf(
      needed,
      `By the plan its cutting was begun with: ${heights.map(formatExact).join(' + ')} = ${formatExact(sum(heights))}`,
    ),
  };
}
