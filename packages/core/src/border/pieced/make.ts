import { type Figure, lengthOf } from '../../figure/figure.ts';
import type { TopSize } from '../sizes.ts';
import type { PiecedBorder } from '../border.ts';
import type { CutBy } from './cut-by.ts';
import { unitCount, unitLength, type UnitsAlong, unitsRound } from './fit.ts';
import { GEESE_OF_SQUARE, UNITS_OF_PAIR } from './squares-of-units.ts';
import { type StripSets, stripSets } from './strip-sets.ts';

/** What is made for a pieced border: how many units, of how many squares or strips, and what a unit measures raw. */
export interface Making {
  readonly units: Figure;
  readonly across: UnitsAlong;
  readonly down: UnitsAlong;
  /** Pairs of squares, where units are made of squares left whole: of geese the large ones. */
  readonly pairs: number;
  /** Null where nothing is crosscut from strips. */
  readonly sets: StripSets | null;
  /** Along the border and across it, raw edge to raw edge. */
  readonly raw: { readonly along: Figure; readonly depth: Figure };
}

/** Everything a maker is told of a pieced border's units, counted once. */
export function makingOf(border: PiecedBorder, inside: Pick<TopSize, 'used'>, by: CutBy): Making {
  const { pieced, ends } = border;
  const { across, down } = unitsRound(border, inside);
  const round = { across: across.count, down: down.count };
  const units = unitCount(border, round);
  const each =
    pieced.kind === 'geese' ? GEESE_OF_SQUARE : pieced.made === 'strips' ? 1 : UNITS_OF_PAIR[pieced.made];
  return {
    units,
    across,
    down,
    pairs: Math.ceil(units.value / each),
    sets: pieced.made === 'strips' ? stripSets(border, round, by) : null,
    raw: { along: lengthOf(unitLength(border) + 2 * by.seam), depth: lengthOf(ends + 2 * by.seam) },
  };
}
