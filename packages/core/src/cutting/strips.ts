import { countOf, type Figure, lengthOf, numberOf } from '../figure/figure.ts';
import { formatExact, formatWorking } from '../length/format.ts';
import { atLeast, howManyCover, howManyFit, near, TOLERANCE } from '../length/tolerance.ts';
import { fromInches, type Unit } from '../length/unit.ts';
import { cutRun, type Run, runLength, SHOWS_INCHES, stripsFor } from './joins.ts';

/** Rectangles wanted from one fabric: `width` by `length` as cut, `width` the shorter. */
export interface StripNeed {
  /** Key of what is wanted, to find its pieces by. */
  readonly key: string;
  readonly name: string;
  readonly width: number;
  readonly length: number;
  readonly count: number;
  /** Cut along the selvage. */
  readonly lengthwise?: boolean;
  /** How strips too short for it are joined, on the diagonal unless it says otherwise; or that it is never joined of two. */
  readonly joins?: 'diagonal' | 'straight' | 'never';
  /** The way its length has to lie, for a cloth with a direction; without it a piece may be turned. */
  readonly oneWay?: 'across' | 'along' | null;
}

/** Strips of one width, selvage to selvage, and what comes out of them. */
export interface StripGroup {
  readonly width: number;
  readonly strips: Figure;
  readonly yields: readonly StripYield[];
  /** The nearest a join falls to an end or the middle of its piece, and what one strip more would make of it; null where nothing is joined. */
  readonly joined: { readonly clear: number; readonly withOneMore: number } | null;
}

/** Pieces of one need, as they come out of their strips. */
export interface StripYield {
  readonly key: string;
  readonly name: string;
  readonly length: number;
  readonly count: number;
  /** For each piece made of joined strips: where the joins fall, from its start as cut. Empty when the fabric is wide enough. */
  readonly joins: readonly (readonly number[])[];
  /** The joins run straight across; otherwise on the diagonal. */
  readonly straight: boolean;
}

/** Pieces cut along the selvage, side by side, before anything else. */
export interface LengthwiseCut {
  readonly length: Figure;
  readonly yields: StripGroup['yields'];
}

/** Strips for a fabric; `tooWide` names what its usable width cannot hold, and which of its measures that is. */
export interface StripPlan {
  readonly lengthwise: LengthwiseCut | null;
  readonly groups: readonly StripGroup[];
  readonly tooWide: readonly { readonly need: StripNeed; readonly measure: 'width' | 'length' }[];
}

interface Laid extends StripNeed {
  readonly stripWidth: number;
  readonly along: number;
}

/** How a need is cut from its cloth: in strips across it, along the selvage, or not at all. */
type Way = 'crosswise' | 'lengthwise' | { readonly tooWide: 'width' | 'length' };

/** The fabric's usable width, and the seam straight joins are sewn with. */
export interface Cloth {
  readonly usable: number;
  readonly seam: number;
  readonly unit: Unit;
}

/**
 * Plans crosswise strips for the needs of one fabric (rules CU-1, CU-2): each need is laid the way that
 * takes less fabric, unless its cloth has a direction; needs of one strip width share strips, longest pieces
 * first. Strips longer than the usable width are joined end to end: a diagonal join takes one strip width of
 * the length, a straight one two seams. What may not be joined is cut along the selvage instead.
 * Widest strips first.
 */
export function planStrips(needs: readonly StripNeed[], cloth: Cloth): StripPlan {
  const { usable, unit } = cloth;
  const ways = needs.map((need) => ({ need, way: wayOf(need, usable) }));
  const along = ways.flatMap(({ need, way }) => (way === 'lengthwise' ? [need] : []));
  const laid = ways.flatMap(({ need, way }) => (way === 'crosswise' ? [layAlong(need, usable)] : []));
  const widths = [...new Set(laid.map((l) => l.stripWidth))].sort((a, b) => b - a);
  return {
    groups: widths.map((width) =>
      groupOf(
        width,
        laid.filter((l) => l.stripWidth === width),
        cloth,
      ),
    ),
    lengthwise: along.length === 0 ? null : cutLengthwise(along, usable, unit),
    tooWide: ways.flatMap(({ need, way }) =>
      typeof way === 'object' ? [{ need, measure: way.tooWide }] : [],
    ),
  };
}

/** Across the cloth, unless that takes a join that may not be, or its length has to lie along the selvage and is longer than the cloth is wide. */
function wayOf({ width, length, lengthwise = false, joins, oneWay = null }: StripNeed, usable: number): Way {
  if (!atLeast(usable, width)) return { tooWide: 'width' };
  if (oneWay === 'across')
    return joins === 'never' && !atLeast(usable, length) ? { tooWide: 'length' } : 'crosswise';
  const long = !atLeast(usable, length) && (joins === 'never' || oneWay === 'along');
  return lengthwise || long ? 'lengthwise' : 'crosswise';
}

/** Strips as wide as the piece and cut to its length, or as wide as its length and cut to its width: whichever takes less. */
function layAlong(need: StripNeed, usable: number): Laid {
  const narrow: Laid = { ...need, stripWidth: need.width, along: need.length };
  const wide: Laid = { ...need, stripWidth: need.length, along: need.width };
  if (need.oneWay === 'along') return wide;
  if (need.oneWay === 'across' || !atLeast(usable, need.length)) return narrow;
  const fabric = (stripWidth: number, along: number) =>
    howManyCover(need.count, howManyFit(usable, along)) * stripWidth;
  const alongLength = fabric(need.width, need.length);
  const alongWidth = fabric(need.length, need.width);
  return alongWidth < alongLength && !near(alongWidth, alongLength) ? wide : narrow;
}

function groupOf(width: number, laid: readonly Laid[], cloth: Cloth): StripGroup {
  const { usable } = cloth;
  const long = laid.filter((l) => !atLeast(usable, l.along));
  const short = laid.filter((l) => atLeast(usable, l.along)).sort((a, b) => b.along - a.along);
  const cut = (gaps: boolean) => {
    const runs = (['diagonal', 'straight'] as const).flatMap((how) =>
      joinedRun(
        width,
        long.filter((l) => (l.joins ?? 'diagonal') === how),
        how,
        gaps,
        cloth,
      ),
    );
    const rest = cutShort(
      short,
      runs.flatMap((r) => r.cuts.left),
      cloth,
    );
    return { runs, rest, strips: runs.reduce((sum, r) => sum + r.run.strips, 0) + rest.strips };
  };
  // Joins out of the way leave scraps between the pieces; where that would cost a strip, what is left stays together.
  const ways = long.length > 0 ? [cut(true), cut(false)] : [cut(false)];
  const { runs, rest, strips } = ways.reduce((best, way) => (way.strips < best.strips ? way : best));
  const working = [...runs.map((r) => r.working), ...rest.working];
  if (working.length > 1) working.push(`Together ${numberOf(strips, 'strip')}`);
  return {
    width,
    strips: countOf(strips, ...working),
    yields: laid.map((l) => ({
      key: l.key,
      name: l.name,
      length: l.along,
      count: l.count,
      joins: runs.flatMap((r) => r.joinsIn(l)),
      straight: runs.some((r) => r.straight && r.holds(l)),
    })),
    joined: runs.length === 0 ? null : joinedOf(runs, cloth.unit),
  };
}

/** How the joins of some runs came out; what one strip more would do is only asked where they show. */
function joinedOf(runs: ReturnType<typeof joinedRun>, unit: Unit): NonNullable<StripGroup['joined']> {
  const clear = Math.min(...runs.map((r) => r.cuts.clear));
  const showing = clear < fromInches(SHOWS_INCHES, unit) - TOLERANCE;
  return { clear, withOneMore: showing ? Math.min(...runs.map((r) => r.withOneMore())) : clear };
}

/** The run that pieces longer than the fabric is wide are cut from; none when there are none. */
function joinedRun(
  width: number,
  long: readonly Laid[],
  how: 'diagonal' | 'straight',
  gaps: boolean,
  { usable, seam, unit }: Cloth,
) {
  if (long.length === 0) return [];
  const show = (v: number) => formatWorking(v, unit);
  // A strip wider than half the fabric has no length to give to a diagonal.
  const straight = how === 'straight' || width > usable / 2;
  const loss = straight ? 2 * seam : width;
  const wanted = long.map((l) => ({ length: l.along, count: l.count }));
  const total = wanted.reduce((sum, w) => sum + w.length * w.count, 0);
  const run: Run = { strips: stripsFor(total, usable, loss), usable, loss };
  const cuts = cutRun(wanted, run, unit, gaps);
  const lengths = wanted.map((w) => `${w.count} × ${show(w.length)}`).join(' + ');
  const joins = `${numberOf(run.strips - 1, `${straight ? 'straight' : 'diagonal'} join`)} × ${show(loss)}`;
  return [
    {
      run,
      cuts,
      working: `${lengths} = ${formatExact(total)} of joined strip; ${numberOf(run.strips, 'strip')} × ${show(usable)} less ${joins} = ${formatExact(runLength(run))}`,
      joinsIn: (need: Laid) => cuts.pieces.filter((p) => long[p.of] === need).map((p) => p.joins),
      straight,
      holds: (need: Laid) => long.includes(need),
      withOneMore: () => cutRun(wanted, { ...run, strips: run.strips + 1 }, unit).clear,
    },
  ];
}

/** Pieces no longer than a strip: from what is left of strips already cut, fullest first, then from fresh ones. */
function cutShort(
  short: readonly Laid[],
  scraps: readonly number[],
  { usable, unit }: Cloth,
): { strips: number; working: string[] } {
  const show = (v: number) => formatWorking(v, unit);
  const working: string[] = [];
  // Length of room on strips already cut → how many strips have it.
  const room = new Map<number, number>();
  const put = (left: number, count: number) => room.set(left, (room.get(left) ?? 0) + count);
  for (const scrap of scraps) put(scrap, 1);
  let strips = 0;
  for (const l of short) {
    let wanted = l.count;
    let fromRoom = 0;
    for (const [left, count] of [...room].sort(([a], [b]) => a - b)) {
      const each = howManyFit(left, l.along);
      if (each === 0 || wanted === 0) continue;
      const full = Math.min(count, Math.floor(wanted / each));
      const rest = full < count ? Math.min(wanted - full * each, each) : 0;
      const used = full + (rest > 0 ? 1 : 0);
      put(left, -used);
      if (full > 0) put(left - each * l.along, full);
      if (rest > 0) put(left - rest * l.along, 1);
      wanted -= full * each + rest;
      fromRoom += full * each + rest;
      if (room.get(left) === 0) room.delete(left);
    }
    const each = howManyFit(usable, l.along);
    const fresh = howManyCover(wanted, each);
    strips += fresh;
    const last = wanted - (fresh - 1) * each;
    if (fresh > 1) put(usable - each * l.along, fresh - 1);
    if (fresh > 0) put(usable - last * l.along, 1);
    if (fromRoom > 0)
      working.push(`${l.name}: ${fromRoom} × ${show(l.along)} from what is left of strips already cut`);
    if (fresh > 0)
      working.push(
        `${l.name}: ${wanted} × ${show(l.along)}, ${each} to a strip of ${show(usable)}: ${numberOf(fresh, 'strip')}`,
      );
  }
  return { strips, working };
}

/**
 * Lengthwise strips: laid side by side across the usable width, longest first, a new length of fabric
 * when the width is full; each length is as long as its longest strip (rule BO-3: yardage at least the
 * longest strip).
 */
function cutLengthwise(needs: readonly StripNeed[], usable: number, unit: Unit): LengthwiseCut {
  const show = (v: number) => formatWorking(v, unit);
  const strips = needs
    .flatMap((need) => Array.from({ length: need.count }, () => need))
    .sort((a, b) => b.length - a.length);
  const lengths: { run: number; left: number; held: number }[] = [];
  for (const strip of strips) {
    const room = lengths.find((l) => atLeast(l.left, strip.width));
    if (room) {
      room.left -= strip.width;
      room.held++;
    } else lengths.push({ run: strip.length, left: usable - strip.width, held: 1 });
  }
  const total = lengths.reduce((sum, l) => sum + l.run, 0);
  return {
    length: lengthOf(
      total,
      ...lengths.map(
        (l) => `${numberOf(l.held, 'strip')} side by side across ${show(usable)}, the longest ${show(l.run)}`,
      ),
      ...(lengths.length > 1 ? [`Together ${formatExact(total)}`] : []),
    ),
    yields: needs.map((n) => ({
      key: n.key,
      name: n.name,
      length: n.length,
      count: n.count,
      joins: [],
      straight: false,
    })),
  };
}
