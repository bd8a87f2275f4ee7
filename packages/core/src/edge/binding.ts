import { countOf, type Figure, lengthOf, numberOf } from '../figure/figure.ts';
import { formatExact, formatLength } from '../length/format.ts';
import type { Unit } from '../length/unit.ts';
import type { InStock, Plan } from '../plan/shape.ts';
import { biasJoinLoss, longAndShort } from './bias.ts';
import { type BiasPlan, biasPieces, planBias } from './bias-plan.ts';
import { bestStart, type BindingJoins, type Joined, joinsFrom } from './binding-joins.ts';
import { type BindingStrips, countStrips } from './binding-strips.ts';
import { behindAt, type BuiltInFlange, builtIn, finishedWidth } from './binding-widths.ts';
import { type Leftovers, useUp } from './leftovers.ts';
import { type Mitre, mitresOf } from './mitre.ts';
import type { EdgeOutline } from './outline.ts';
import { bindingLength, withAdded } from './schools.ts';
import { type StripsAsCut, stripsAsCut, wholeStrips } from './strips-as-cut.ts';

/** A binding, worked out to the last strip. */
export interface Binding {
  /** All round, and with what the school adds. */
  readonly around: Figure;
  readonly length: Figure;
  readonly stripWidth: number;
  /** What its strips are cut: the strip's width, or the main strip's where a flange is built in. */
  readonly cutWidth: number;
  /** How wide it shows, filled with batting, the same on front and back; it is sewn that far from the edge. */
  readonly finished: Figure;
  /** Sewn at the quilt's own seam instead: what shows behind. */
  readonly behind: Figure;
  /** Whole strips of the straight grain to buy and cut, or pieces of the bias. */
  readonly strips: Figure;
  /** Strips of the straight grain by the plain count, and counting what every join takes; as many on the bias. */
  readonly plainStrips: Figure;
  readonly strictStrips: Figure;
  /** What strips of the straight grain have to come to once they are joined, so that the last need not be whole. */
  readonly reach: number;
  /** Strips of the straight grain as the cloth is cut for them: they may share strips with something else. None on the bias. */
  readonly asCut: StripsAsCut;
  /** Length of fabric to buy for it cut by itself, or for its main strip where a flange is built in. */
  readonly fabric: Figure;
  readonly bias: BiasPlan | null;
  readonly leftovers: Leftovers | null;
  readonly flange: BuiltInFlange | null;
  readonly mitres: readonly Mitre[];
  /** It is sewn so far from the edge. */
  readonly seam: number;
  /** Its strips in the order they are joined. */
  readonly joined: Joined;
  readonly joins: BindingJoins;
}

/** What a binding is made for. */
export interface BindingWish {
  readonly binding: Plan['binding'];
  readonly outline: EdgeOutline;
  readonly around: Figure;
  /** Neither measured nor curved, so that sides can be rounded up one by one. */
  readonly straightSides: boolean;
  readonly usable: number;
  readonly flangeUsable: number;
  /** Strips in hand to use up, of any width that holds the strip. */
  readonly leftovers: readonly Pick<InStock, 'width' | 'length'>[];
  readonly seam: number;
  /** Of the batting, which it wraps round. */
  readonly loft: number;
  readonly unit: Unit;
}

/** The binding of an edge, by the school, fold, grain and cloth that were chosen (rules BD-1 to BD-5). */
export function planBinding(wish: BindingWish): Binding {
  const { binding, outline, around, unit, usable, seam } = wish;
  const { stripWidth, grain } = binding;
  const length = lengthBy(wish);
  const flange = binding.flange ? builtIn(stripWidth, binding.flange.visible, seam, unit) : null;
  const cutWidth = flange ? flange.main.value : stripWidth;
  const leftovers =
    grain === 'straight' && wish.leftovers.length > 0
      ? useUp(wish.leftovers, cutWidth, length.value, unit)
      : null;
  const biasOf = (strip: number, cloth: number) =>
    grain === 'straight' ? null : planBias({ grain, strip, usable: cloth, seam, unit }, length.value);
  const bias = biasOf(cutWidth, usable);
  const counts = bias ? alike(biasPieces(bias)) : straightStrips(wish, cutWidth, length, leftovers);
  const clothFor = (width: number, count: number) =>
    lengthOf(
      count * width,
      `${numberOf(count, 'strip')} × ${formatLength(width, unit)} = ${formatExact(count * width)}`,
    );
  const besideMain = (strip: number): Omit<BuiltInFlange, 'main' | 'flange'> => {
    const own = biasOf(strip, wish.flangeUsable);
    if (own) return { fabric: own.cloth, strips: null, reach: 0, asCut: wholeStrips(NO_STRIPS), bias: own };
    const counted = countStrips({
      length: length.value,
      around: around.value,
      usable: wish.flangeUsable,
      strip,
      unit,
    });
    return {
      fabric: clothFor(strip, counted.cut.value),
      strips: counted.cut,
      reach: counted.reach,
      asCut: wholeStrips(counted.cut),
      bias: null,
    };
  };
  const joined = joinedRun(wish, cutWidth, counts.cut.value, bias, leftovers);
  const finished = finishedWidth(stripWidth, binding.fold, wish.loft, unit);
  return {
    around,
    length,
    stripWidth,
    cutWidth,
    finished,
    seam: binding.seam ?? finished.value,
    behind: behindAt(stripWidth, binding.fold, binding.seam ?? seam, wish.loft, unit),
    strips: counts.cut,
    plainStrips: counts.plain,
    strictStrips: counts.strict,
    reach: counts.reach,
    asCut: wholeStrips(bias ? NO_STRIPS : counts.cut),
    fabric: bias ? lengthOf(bias.cloth.value, ...bias.cloth.working) : clothFor(cutWidth, counts.cut.value),
    bias,
    leftovers,
    flange: flange && { ...flange, ...besideMain(flange.flange.value) },
    mitres: mitresOf(outline, binding.seam ?? finished.value, unit),
    joined,
    joins:
      binding.start === null
        ? bestStart(outline, joined, around.value, unit)
        : joinsFrom(outline, joined, binding.start, around.value),
  };
}

const NO_STRIPS = countOf(0, 'On the bias there are none of the straight grain');

/** One count for all three. */
const alike = (count: Figure): BindingStrips => ({ plain: count, strict: count, cut: count, reach: 0 });

/** Strips of the straight grain beside what leftovers reach. */
function straightStrips(
  { around, usable, unit }: BindingWish,
  strip: number,
  length: Figure,
  leftovers: Leftovers | null,
): BindingStrips {
  if (leftovers?.wanting.value === 0) return alike(countOf(0, 'The leftovers are enough: 0'));
  return countStrips({
    length: leftovers?.wanting.value ?? length.value,
    around: around.value,
    usable,
    strip,
    unit,
    ...(leftovers ? { before: leftovers.reach.value } : {}),
  });
}

function lengthBy({ binding: { school }, outline, around, straightSides, unit }: BindingWish): Figure {
  if (school !== 'round-up-sides') return withAdded(around, school, unit);
  if (straightSides) return bindingLength(outline, school, unit);
  const added = withAdded(around, 'plus-ten', unit);
  return lengthOf(
    added.value,
    'Sides can only be rounded up where they are straight and not measured as a whole; so the usual allowance:',
    ...added.working,
  );
}

/**
 * The binding with its strips as they lie on the cloth: the last may be shorter than the cloth is wide, when it
 * shares its strip with something else. Its joins move with it.
 *
 * @param strips cut for it, and as they lie in the run, in the order they are joined
 * @param usable width of their cloth
 */
export function withStrips(
  binding: Binding,
  strips: { readonly cut: readonly number[]; readonly joined: readonly number[] },
  usable: number,
  {
    outline,
    start,
    unit,
  }: { readonly outline: EdgeOutline; readonly start: number | null; readonly unit: Unit },
): Binding {
  const joined = { ...binding.joined, lengths: [...(binding.leftovers?.lengths ?? []), ...strips.joined] };
  const around = binding.around.value;
  return {
    ...binding,
    asCut: stripsAsCut(strips.cut, binding.strips, usable, unit),
    joined,
    joins:
      start === null ? bestStart(outline, joined, around, unit) : joinsFrom(outline, joined, start, around),
  };
}

/** The binding with the strips of its built-in flange as their cloth is cut for them. */
export const withFlangeStrips = (
  binding: Binding,
  strips: { readonly cut: readonly number[] },
  usable: number,
  unit: Unit,
): Binding => ({
  ...binding,
  flange: binding.flange?.strips
    ? { ...binding.flange, asCut: stripsAsCut(strips.cut, binding.flange.strips, usable, unit) }
    : binding.flange,
});

/** The strips as they are joined end to end. */
function joinedRun(
  { usable, seam }: BindingWish,
  cutWidth: number,
  strips: number,
  bias: BiasPlan | null,
  leftovers: Leftovers | null,
): Joined {
  if (bias?.tube) return { lengths: [bias.gives.value], loss: 0 };
  if (bias) return { lengths: longAndShort(bias.cut!.strips).map((s) => s.length), loss: biasJoinLoss(seam) };
  return {
    lengths: [...(leftovers?.lengths ?? []), ...Array.from({ length: strips }, () => usable)],
    loss: cutWidth,
  };
}
