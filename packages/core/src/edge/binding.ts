import { stripsFor } from '../cutting/joins.ts';
import { countOf, type Figure, lengthOf, numberOf } from '../figure/figure.ts';
import { formatExact, formatLength, formatWithUnit } from '../length/format.ts';
import { rulerFineDown } from '../length/rounding.ts';
import { howManyCover, howManyFit } from '../length/tolerance.ts';
import { fromInches, type Unit } from '../length/unit.ts';
import type { Plan } from '../plan/shape.ts';
import { biasFromLength, biasFromSquare, biasJoinLoss, biasTube, type BiasYield, longAndShort, smallestThat } from './bias.ts';
import { bestStart, type BindingJoins, type Joined, joinsFrom } from './binding-joins.ts';
import { type Mitre, mitresOf } from './mitre.ts';
import type { EdgeOutline } from './outline.ts';
import { biasRectangle, biasSquare, bindingLength, withAdded } from './schools.ts';

/** A binding, worked out to the last strip. */
export interface Binding {
  /** All round, and with what the school adds. */
  readonly around: Figure;
  readonly length: Figure;
  readonly stripWidth: number;
  /** How wide it shows, filled with batting, the same on front and back; it is sewn that far from the edge. */
  readonly finished: Figure;
  /** Sewn at the quilt's own seam instead: what shows behind. */
  readonly behind: Figure;
  /** Whole strips of the straight grain, or pieces of the bias. */
  readonly strips: Figure;
  /** Counting what every join takes. */
  readonly strictStrips: Figure;
  /** Length of fabric to buy for it, or for its main strip where a flange is built in. */
  readonly fabric: Figure;
  readonly bias: BiasPlan | null;
  readonly leftovers: Leftovers | null;
  readonly flange: BuiltInFlange | null;
  readonly mitres: readonly Mitre[];
  /** As long as each strip is, in the order they are joined. */
  readonly order: readonly number[];
  readonly joins: BindingJoins;
}

/** What bias strips are cut from, and how that comes out. */
export interface BiasPlan {
  /** Side of the square, or length across the usable width. */
  readonly cloth: Figure;
  /** By the rule of the root. */
  readonly rule: Figure;
  /** Drawn strips of a square or a length; null for the tube, which has lanes. */
  readonly cut: BiasYield | null;
  readonly tube: { readonly lanes: number; readonly round: number } | null;
  /** What the cloth gives by geometry. */
  readonly gives: Figure;
  /** The cloth is narrower than the square has to be. */
  readonly tooWide: boolean;
}

/** Leftover strips used up first. */
export interface Leftovers {
  /** Each strip cut from them, by its length. */
  readonly lengths: readonly number[];
  /** Joined. */
  readonly reach: Figure;
  /** What is still to be cut from the binding's own fabric. */
  readonly wanting: Figure;
  /** Leftovers narrower than the strip, by their place in the list. */
  readonly tooNarrow: readonly number[];
}

/** A binding of two strips joined along their length, the wider showing beside the other. */
export interface BuiltInFlange {
  readonly main: Figure;
  readonly flange: Figure;
  readonly fabric: Figure;
}

/** Less than this left over of the last strip is too close: 2" (handbook 7: 3.98 strips → take one more). */
const LAST_STRIP_SPARE_INCHES = 2;
/** What the cloth of the binding adds to what it wraps round, besides the batting: 1/16" (from memory). */
const CLOTH_INCHES = 1 / 16;

/** Whole strips for a length of binding: length ÷ usable width, up, and one more when the last would be all but used up. */
export function stripsOf(length: number, usable: number, unit: Unit): Figure {
  const covered = howManyCover(length, usable);
  const tight = covered * usable - length < fromInches(LAST_STRIP_SPARE_INCHES, unit);
  const strips = tight && covered > 0 ? covered + 1 : covered;
  return countOf(
    strips,
    `${formatExact(length)} ÷ ${formatLength(usable, unit)} usable = ${(length / usable).toFixed(2)}, up to whole strips: ${covered}`,
    ...(tight && covered > 0 ? [`The last would be all but used up, so one more: ${strips}`] : []),
  );
}

/** Strips counting that each diagonal join takes a strip's width (handbook 7). */
export const strictStripsOf = (length: number, usable: number, strip: number, unit: Unit): Figure =>
  countOf(stripsFor(length, usable, strip), `Each diagonal join takes ${formatLength(strip, unit)}: strips of ${formatLength(usable, unit)} less a join between each two`);

/** What a binding is made for. */
export interface BindingWish {
  readonly binding: Plan['binding'];
  readonly outline: EdgeOutline;
  readonly around: Figure;
  /** Neither measured nor curved, so that sides can be rounded up one by one. */
  readonly straightSides: boolean;
  readonly usable: number;
  readonly flangeUsable: number;
  readonly seam: number;
  /** Of the batting, which it wraps round. */
  readonly loft: number;
  readonly unit: Unit;
}

/** The binding of an edge, by the school, fold, grain and cloth that were chosen (handbook 7). */
export function planBinding(wish: BindingWish): Binding {
  const { binding, outline, around, unit, usable, seam } = wish;
  const { stripWidth } = binding;
  const length = lengthBy(wish);
  const leftovers = binding.grain === 'straight' && binding.leftovers.length > 0 ? useUp(binding.leftovers, stripWidth, length.value, unit) : null;
  const bias = binding.grain === 'straight' ? null : planBias(wish, length.value);
  const own = leftovers ? leftovers.wanting.value : length.value;
  const flange = binding.flange ? builtIn(stripWidth, binding.flange.visible, seam, unit) : null;
  const cutWidth = flange ? flange.main.value : stripWidth;
  const strips = bias ? piecesOf(bias) : own <= 1e-9 ? countOf(0, 'The leftovers are enough: 0') : stripsOf(own, usable, unit);
  const strict = bias ? strips : own <= 1e-9 ? strips : strictStripsOf(own, usable, stripWidth, unit);
  const clothFor = (width: number, count = strips.value) => lengthOf(count * width, `${numberOf(count, 'strip')} × ${formatLength(width, unit)} = ${formatExact(count * width)}`);
  const joined = joinedRun(wish, strips.value, bias, leftovers);
  const finished = finishedWidth(stripWidth, binding.fold, wish.loft, unit);
  return {
    around, length, stripWidth, finished,
    behind: behindAt(stripWidth, binding.fold, seam, wish.loft, unit),
    strips, strictStrips: strict,
    fabric: bias ? lengthOf(bias.cloth.value, ...bias.cloth.working) : clothFor(cutWidth),
    bias, leftovers,
    flange: flange && { ...flange, fabric: clothFor(flange.flange.value, stripsOf(length.value, wish.flangeUsable, unit).value) },
    mitres: mitresOf(outline, finished.value, unit),
    order: joined.lengths,
    joins: binding.start === null ? bestStart(outline, joined, around.value, unit) : joinsFrom(outline, joined, binding.start, around.value),
  };
}

function lengthBy({ binding: { school }, outline, around, straightSides, unit }: BindingWish): Figure {
  if (school !== 'round-up-sides') return withAdded(around, school, unit);
  if (straightSides) return bindingLength(outline, school, unit);
  const added = withAdded(around, 'plus-ten', unit);
  return lengthOf(added.value, 'Sides can only be rounded up where they are straight and not measured as a whole; so the usual allowance:', ...added.working);
}

/** Folded, it lies under the seam, before it and behind it: three widths a layer double, four in all single, and what it wraps round (geometry). */
function finishedWidth(strip: number, fold: 'double' | 'single', loft: number, unit: Unit): Figure {
  const ease = loft + fromInches(CLOTH_INCHES, unit);
  const show = (v: number) => formatLength(v, unit);
  const exact = fold === 'double' ? (strip / 2 - ease) / 3 : (strip - ease) / 4;
  const down = rulerFineDown(unit);
  const working = fold === 'double'
    ? `Folded in half ${show(strip / 2)}, less ${formatExact(ease)} to wrap round the batting, in three: ${formatExact(exact)}`
    : `${show(strip)} less ${formatExact(ease)} to wrap round the batting, in four: ${formatExact(exact)}`;
  const value = Math.max(0, down.apply(exact));
  return lengthOf(value, working, `${down.name}: ${formatWithUnit(value, unit)}`);
}

/** What is left for the back when it is sewn at the quilt's seam and shows as much in front. */
function behindAt(strip: number, fold: 'double' | 'single', seam: number, loft: number, unit: Unit): Figure {
  const ease = loft + fromInches(CLOTH_INCHES, unit);
  const show = (v: number) => formatLength(v, unit);
  const back = fold === 'double' ? strip / 2 - 2 * seam - ease : strip - 3 * seam - ease;
  return lengthOf(back, `Sewn ${show(seam)} from the edge it shows ${show(seam)} in front`, `${fold === 'double' ? `${show(strip / 2)} − 2` : `${show(strip)} − 3`} × ${show(seam)} − ${formatExact(ease)} = ${formatExact(back)} behind`);
}

function piecesOf({ cut, tube }: BiasPlan): Figure {
  return tube ? countOf(1, `One continuous strip of ${tube.lanes} lanes`) : countOf(cut!.strips.length, `${numberOf(cut!.strips.length, 'bias strip')} from the cloth`);
}

/** Cloth for bias strips: by the rule of the root, or more where geometry says that is short. */
function planBias({ binding: { stripWidth, grain }, usable, seam, unit }: BindingWish, length: number): BiasPlan {
  const { root, square } = biasSquare(length, stripWidth, unit);
  const across = grain === 'bias-length';
  const rule = across ? biasRectangle(root, usable) : square;
  const yieldAt = (size: number) => (grain === 'bias-tube' ? biasTube(size, stripWidth, seam).length : cutAt(size).length);
  const cutAt = (size: number) => (across ? biasFromLength(usable, size, stripWidth, seam, unit) : biasFromSquare(size, stripWidth, seam, unit));
  const enough = yieldAt(rule.value) >= length ? rule.value : smallestThat(unit === 'in' ? 400 : 1000, (size) => (size < rule.value ? -1 : yieldAt(size)), length) ?? rule.value;
  const gives = yieldAt(enough);
  return {
    rule,
    cloth: lengthOf(enough, ...rule.working, ...(enough > rule.value ? [`By geometry that gives only ${formatExact(yieldAt(rule.value))}; ${enough} gives ${formatExact(gives)}`] : [])),
    cut: grain === 'bias-tube' ? null : cutAt(enough),
    tube: grain === 'bias-tube' ? biasTube(enough, stripWidth, seam) : null,
    gives: lengthOf(gives, grain === 'bias-tube'
      ? `${biasTube(enough, stripWidth, seam).lanes} lanes × ${formatExact(biasTube(enough, stripWidth, seam).round)} each = ${formatExact(gives)}`
      : `${numberOf(cutAt(enough).strips.length, 'strip')}, ${formatExact(gives + Math.max(0, cutAt(enough).strips.length - 1) * biasJoinLoss(seam))} in all, less ${formatExact(biasJoinLoss(seam))} a join = ${formatExact(gives)}`, `${formatExact(length)} is wanted`),
    tooWide: !across && enough > usable + 1e-6,
  };
}

/** Leftovers cut down to the strip, and what they reach once joined. */
function useUp(leftovers: Plan['binding']['leftovers'], strip: number, length: number, unit: Unit): Leftovers {
  const lengths = longAndShort(leftovers.flatMap((piece) => Array.from({ length: howManyFit(piece.width, strip) }, () => ({ length: piece.length })))).map((p) => p.length);
  const sum = lengths.reduce((a, b) => a + b, 0);
  const joins = Math.max(0, lengths.length - 1);
  const reach = Math.max(0, sum - joins * strip);
  // Where more is wanted, joining it on takes a strip's width too.
  const wanting = reach >= length ? 0 : length - reach + (lengths.length > 0 ? strip : 0);
  return {
    lengths,
    reach: lengthOf(reach, `${numberOf(lengths.length, 'strip')} of ${formatLength(strip, unit)}, together ${formatExact(sum)}, less ${numberOf(joins, 'join')} × ${formatLength(strip, unit)} = ${formatExact(reach)}`),
    wanting: lengthOf(wanting, wanting === 0 ? `${formatExact(reach)} is enough for ${formatExact(length)}` : `${formatExact(length)} − ${formatExact(reach)}${lengths.length > 0 ? ` + ${formatLength(strip, unit)} for a join` : ''} = ${formatExact(wanting)}`),
    tooNarrow: leftovers.flatMap((piece, i) => (howManyFit(piece.width, strip) === 0 ? [i] : [])),
  };
}

/** Two strips for a folded width of `strip`: the flange's is wider by twice what shows, so that it stands out by that much once folded (geometry; 1 1/2" and 1 3/4" are common practice). */
function builtIn(strip: number, visible: number, seam: number, unit: Unit): Omit<BuiltInFlange, 'fabric'> {
  const show = (v: number) => formatLength(v, unit);
  const one = (value: number, sign: string) => lengthOf(value, `${show(strip)} ÷ 2 + ${show(seam)} seam ${sign} ${show(visible)} to show = ${formatExact(value)}`);
  return { main: one(strip / 2 + seam - visible, '−'), flange: one(strip / 2 + seam + visible, '+') };
}

/** The strips as they are joined end to end. */
function joinedRun({ binding, usable, seam }: BindingWish, strips: number, bias: BiasPlan | null, leftovers: Leftovers | null): Joined {
  if (bias?.tube) return { lengths: [bias.gives.value], loss: 0 };
  if (bias) return { lengths: longAndShort(bias.cut!.strips).map((s) => s.length), loss: biasJoinLoss(seam) };
  return { lengths: [...(leftovers?.lengths ?? []), ...Array.from({ length: strips }, () => usable)], loss: binding.stripWidth };
}
