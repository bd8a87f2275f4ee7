import { countOf, type Figure, lengthOf, numberOf } from '../figure/figure.ts';
import { formatExact, formatLength } from '../length/format.ts';
import { atLeast, howManyCover, howManyFit, near } from '../length/tolerance.ts';
import type { Unit } from '../length/unit.ts';

/** Rectangles wanted from one fabric: `width` by `length` as cut, `width` the shorter. */
export interface StripNeed {
  readonly name: string;
  readonly width: number;
  readonly length: number;
  readonly count: number;
  /** Cut along the selvage. */
  readonly lengthwise?: boolean;
}

/** Strips of one width, selvage to selvage, and what comes out of them. */
export interface StripGroup {
  readonly width: number;
  readonly strips: Figure;
  readonly yields: readonly { readonly name: string; readonly length: number; readonly count: number; readonly joined: boolean }[];
}

/** Pieces cut along the selvage, side by side, before anything else. */
export interface LengthwiseCut {
  readonly length: Figure;
  readonly yields: StripGroup['yields'];
}

/** Strips for a fabric; `tooWide` names what its usable width cannot hold. */
export interface StripPlan {
  readonly lengthwise: LengthwiseCut | null;
  readonly groups: readonly StripGroup[];
  readonly tooWide: readonly StripNeed[];
}

interface Laid extends StripNeed {
  readonly stripWidth: number;
  readonly along: number;
}

/**
 * Plans crosswise strips for the needs of one fabric (handbook 5, 9): each need is laid the way that
 * takes less fabric, needs of one strip width share strips, longest pieces first. Pieces longer than
 * the usable width are cut from strips joined on the diagonal, each join taking one strip width.
 * Widest strips first.
 */
export function planStrips(needs: readonly StripNeed[], usable: number, unit: Unit): StripPlan {
  const fits = needs.filter((need) => atLeast(usable, need.width) && !need.lengthwise);
  const along = needs.filter((need) => atLeast(usable, need.width) && need.lengthwise);
  const laid = fits.map((need) => layAlong(need, usable));
  const widths = [...new Set(laid.map((l) => l.stripWidth))].sort((a, b) => b - a);
  return {
    groups: widths.map((width) => groupOf(width, laid.filter((l) => l.stripWidth === width), usable, unit)),
    lengthwise: along.length === 0 ? null : cutLengthwise(along, usable, unit),
    tooWide: needs.filter((need) => !atLeast(usable, need.width)),
  };
}

/** Strips as wide as the piece and cut to its length, or as wide as its length and cut to its width: whichever takes less. */
function layAlong(need: StripNeed, usable: number): Laid {
  const narrow: Laid = { ...need, stripWidth: need.width, along: need.length };
  if (!atLeast(usable, need.length)) return narrow;
  const fabric = (stripWidth: number, along: number) => howManyCover(need.count, howManyFit(usable, along)) * stripWidth;
  const alongLength = fabric(need.width, need.length);
  const alongWidth = fabric(need.length, need.width);
  return alongWidth < alongLength && !near(alongWidth, alongLength) ? { ...need, stripWidth: need.length, along: need.width } : narrow;
}

function groupOf(width: number, laid: readonly Laid[], usable: number, unit: Unit): StripGroup {
  const show = (v: number) => formatLength(v, unit);
  const working: string[] = [];
  // Room left on the strips cut so far: length of room → how many strips have it.
  const room = new Map<number, number>();
  const put = (left: number, count: number) => room.set(left, (room.get(left) ?? 0) + count);
  let strips = 0;

  const long = laid.filter((l) => !atLeast(usable, l.along));
  if (long.length > 0) {
    const total = long.reduce((sum, l) => sum + l.along * l.count, 0);
    strips = howManyCover(total - width, usable - width);
    put(strips * usable - (strips - 1) * width - total, 1);
    const lengths = long.map((l) => `${l.count} × ${show(l.along)}`).join(' + ');
    working.push(
      `${lengths} = ${formatExact(total)} of joined strip; ${numberOf(strips, 'strip')} × ${show(usable)} less ${numberOf(strips - 1, 'diagonal join')} × ${show(width)} = ${formatExact(strips * usable - (strips - 1) * width)}`,
    );
  }

  const short = laid.filter((l) => atLeast(usable, l.along)).sort((a, b) => b.along - a.along);
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
    if (fromRoom > 0) working.push(`${l.name}: ${fromRoom} × ${show(l.along)} from what is left of strips already cut`);
    if (fresh > 0) working.push(`${l.name}: ${wanted} × ${show(l.along)}, ${each} to a strip of ${show(usable)}: ${numberOf(fresh, 'strip')}`);
  }
  if (working.length > 1) working.push(`Together ${numberOf(strips, 'strip')}`);
  return {
    width,
    strips: countOf(strips, ...working),
    yields: laid.map((l) => ({ name: l.name, length: l.along, count: l.count, joined: !atLeast(usable, l.along) })),
  };
}

/**
 * Lengthwise strips: laid side by side across the usable width, longest first, a new length of fabric
 * when the width is full; each length is as long as its longest strip (handbook 5: yardage at least the
 * longest strip).
 */
function cutLengthwise(needs: readonly StripNeed[], usable: number, unit: Unit): LengthwiseCut {
  const show = (v: number) => formatLength(v, unit);
  const strips = needs.flatMap((need) => Array.from({ length: need.count }, () => need)).sort((a, b) => b.length - a.length);
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
      ...lengths.map((l) => `${numberOf(l.held, 'strip')} side by side across ${show(usable)}, the longest ${show(l.run)}`),
      ...(lengths.length > 1 ? [`Together ${formatExact(total)}`] : []),
    ),
    yields: needs.map((n) => ({ name: n.name, length: n.length, count: n.count, joined: false })),
  };
}
