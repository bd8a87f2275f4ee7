import { sum } from 'd3-array';
import type { CutLine } from '../cut/line.ts';
import { countOf, numberOf } from '../figure/figure.ts';
import { atLeast, howManyCover, howManyFit, near, TOLERANCE } from '../length/tolerance.ts';
import { fromInches } from '../length/unit.ts';
import { clearWithOneMore, joinedRun, type JoinedRun, joinsAlong } from './joined-run.ts';
import { SHOWS_INCHES } from './joins.ts';
import { cutLengthwise } from './lengthwise.ts';
import { placeShortPieces } from './short-pieces.ts';
import type { Cloth, InStrips, StripGroup, StripPlan, Wanted } from './strip-plan.ts';

/** What a line asks of its cloth; triangles ask for their squares. */
function wantedOf({ id, name, cut, count, squares, grain, joins, oneWay }: CutLine): Wanted {
  const asked = { line: id, grain, joins, oneWay };
  if (cut.shape !== 'rectangle') {
    const side = cut.side.value;
    return {
      ...asked,
      name: `Squares for ${name.toLowerCase()}`,
      width: side,
      length: side,
      count: squares!.count.value,
    };
  }
  return { ...asked, name, width: cut.width.value, length: cut.length.value, count: count.value };
}

/** How rectangles are cut from its cloth: in strips across it, along the selvage, or not at all. */
type Way = 'crosswise' | 'lengthwise' | { readonly tooWide: 'width' | 'length' };

/**
 * Plans crosswise strips for the lines of one fabric (rules CU-1, CU-2): each is laid the way that
 * takes less fabric, unless its cloth has a direction; lines of one strip width share strips, longest pieces
 * first. Strips longer than the usable width are joined end to end: a diagonal join takes one strip width of
 * the length, a straight one two seams. What may not be joined is cut along the selvage instead.
 * Widest strips first.
 */
export function planStrips(lines: readonly CutLine[], cloth: Cloth): StripPlan {
  const { usable } = cloth;
  const ways = lines.map(wantedOf).map((wanted) => ({ wanted, way: wayOf(wanted, usable) }));
  const along = ways.flatMap(({ wanted, way }) => (way === 'lengthwise' ? [wanted] : []));
  const inStrips = ways.flatMap(({ wanted, way }) => (way === 'crosswise' ? [layAlong(wanted, usable)] : []));
  const widths = [...new Set(inStrips.map((w) => w.stripWidth))].sort((a, b) => b - a);
  const ofWidth = (width: number) => inStrips.filter((w) => w.stripWidth === width);
  return {
    groups: widths.map((width) => groupOf(width, ofWidth(width), cloth)),
    lengthwise: along.length === 0 ? null : cutLengthwise(along, cloth),
    tooWide: ways.flatMap(({ wanted, way }) =>
      typeof way === 'object' ? [{ wanted, measure: way.tooWide }] : [],
    ),
  };
}

/** Across the cloth, unless that takes a join that may not be, or its length has to lie along the selvage and is longer than the cloth is wide. */
function wayOf({ width, length, grain, joins, oneWay }: Wanted, usable: number): Way {
  if (!atLeast(usable, width)) return { tooWide: 'width' };
  if (oneWay === 'across')
    return joins === 'never' && !atLeast(usable, length) ? { tooWide: 'length' } : 'crosswise';
  const long = !atLeast(usable, length) && (joins === 'never' || oneWay === 'along');
  return grain === 'lengthwise' || long ? 'lengthwise' : 'crosswise';
}

/** Strips as wide as the piece and cut to its length, or as wide as its length and cut to its width: whichever takes less. */
function layAlong(wanted: Wanted, usable: number): InStrips {
  const { width, length, count, oneWay } = wanted;
  const narrow: InStrips = { ...wanted, stripWidth: width, along: length };
  const wide: InStrips = { ...wanted, stripWidth: length, along: width };
  if (oneWay === 'along') return wide;
  if (oneWay === 'across' || !atLeast(usable, length)) return narrow;
  const fabric = (stripWidth: number, along: number) =>
    howManyCover(count, howManyFit(usable, along)) * stripWidth;
  const alongLength = fabric(width, length);
  const alongWidth = fabric(length, width);
  return alongWidth < alongLength && !near(alongWidth, alongLength) ? wide : narrow;
}

/** Strips of one width and what is cut from them: first what has to be joined, then what fits a strip. */
function groupOf(stripWidth: number, wanted: readonly InStrips[], cloth: Cloth): StripGroup {
  const { usable } = cloth;
  const long = wanted.filter((w) => !atLeast(usable, w.along));
  const short = wanted.filter((w) => atLeast(usable, w.along)).sort((a, b) => b.along - a.along);
  const cut = (gaps: boolean) => {
    const runs = (['diagonal', 'straight'] as const).flatMap((how) => {
      const joined = long.filter((w) => w.joins === how);
      return joined.length === 0 ? [] : [joinedRun(joined, { stripWidth, how, gaps, cloth })];
    });
    const scraps = runs.flatMap(({ cuts }) => cuts.left);
    const rest = placeShortPieces(short, scraps, cloth);
    return { runs, rest, strips: sum(runs, ({ run }) => run.lengths.length) + rest.strips };
  };
  // Joins out of the way leave scraps between the pieces; where that would cost a strip, what is left stays together.
  const ways = long.length > 0 ? [cut(true), cut(false)] : [cut(false)];
  const { runs, rest, strips } = ways.reduce((best, way) => (way.strips < best.strips ? way : best));
  const working = [...runs.map((r) => r.working), ...rest.working];
  if (working.length > 1) working.push(`Together ${numberOf(strips, 'strip')}`);
  return {
    width: stripWidth,
    strips: countOf(strips, ...working),
    yields: wanted.map((w) => ({
      line: w.line,
      name: w.name,
      length: w.along,
      count: w.count,
      joins: runs.flatMap((run) => joinsAlong(run, w)),
      straight: runs.some((run) => run.straight && run.long.includes(w)),
    })),
    joined: runs.length === 0 ? null : joinedOf(runs, cloth),
  };
}

/** How the joins of some runs came out; what one strip more would do is only asked where they show. */
function joinedOf(runs: readonly JoinedRun[], cloth: Cloth): NonNullable<StripGroup['joined']> {
  const clear = Math.min(...runs.map(({ cuts }) => cuts.clear));
  const showing = clear < fromInches(SHOWS_INCHES, cloth.unit) - TOLERANCE;
  return {
    clear,
    withOneMore: showing ? Math.min(...runs.map((run) => clearWithOneMore(run, cloth))) : clear,
  };
}
