import { sum } from 'd3-array';
import type { CutRole } from '../cut/cut.ts';
import type { CutLine } from '../cut/line.ts';
import type { Role } from '../piece/piece.ts';
import { type Figure, lengthOf, numberOf } from '../figure/figure.ts';
import { formatExact, formatWithUnit, formatWorking } from '../length/format.ts';
import type { Unit } from '../length/unit.ts';
import type { Fabric } from '../plan/shape.ts';
import { planStrips } from '../strip/strips.ts';
import type { Cloth, LengthwiseCut, StripGroup, StripPlan } from '../strip/strip-plan.ts';

/** What is cut from one cloth, and how much of its length that takes. */
export interface Placed {
  readonly fabric: Fabric;
  /** Pieces of the top: strips across the cloth, widest first, and what runs along the selvage. */
  readonly strips: readonly StripGroup[];
  readonly lengthwise: LengthwiseCut | null;
  /** What layers and edge take of it, each by itself. */
  readonly besides: readonly PlacedLength[];
  readonly needed: Figure;
  /** What this cloth is too narrow for, in words. */
  readonly tooNarrow: readonly string[];
  /** What to mind about the cloth while it is cut and sewn. */
  readonly notes: readonly string[];
}

/** A length of cloth that something takes, and how it reads in the working of what to buy. */
interface PlacedLength {
  readonly lines: readonly string[];
  /** In the plan's unit. */
  readonly length: number;
  readonly says: string;
}

/**
 * Places the lines of a cutting list on their cloths: those of the top share strips, layers and edge are cut each by
 * itself. Only cloths that are used, in their own order.
 *
 * @param seam straight joins are sewn with, in the plan's unit
 */
export function place(
  lines: readonly CutLine[],
  cloths: readonly Fabric[],
  { seam, unit }: { readonly seam: number; readonly unit: Unit },
): Placed[] {
  return cloths
    .map((fabric) => {
      const own = lines.filter((line) => line.fabric === fabric.id);
      return placeOn(fabric, own, { usable: fabric.usableWidth, seam, unit });
    })
    .filter(({ needed, tooNarrow }) => needed.value > 0 || tooNarrow.length > 0);
}

function placeOn(fabric: Fabric, lines: readonly CutLine[], cloth: Cloth): Placed {
  const ofTop = lines.filter((line) => line.owner === 'top');
  const { groups, lengthwise, tooWide } = planStrips(ofTop, cloth);
  const besides = jobsOf(lines.filter((line) => line.owner !== 'top')).map((job) => lengthFor(job, cloth));
  const amounts = [
    ...(lengthwise ? [lengthwiseLength(lengthwise)] : []),
    ...groups.map((group) => stripsLength(group, cloth.unit)),
    ...besides,
  ];
  const total = sum(amounts, ({ length }) => length);
  const says = amounts.map((amount) => amount.says);
  return {
    fabric,
    strips: groups,
    lengthwise,
    besides,
    needed: lengthOf(total, ...says, ...(amounts.length > 1 ? [`Together ${formatExact(total)}`] : [])),
    tooNarrow: tooWide.map((wide) => tooNarrowFor(fabric, wide, cloth.unit)),
    notes: clothNotes(fabric, ofTop.length > 0),
  };
}

type Amount = Omit<PlacedLength, 'lines'>;

const namesOf = (yields: StripGroup['yields']): string => yields.map((y) => y.name).join(', ');

const lengthwiseLength = ({ length: { value }, yields }: LengthwiseCut): Amount => ({
  length: value,
  says: `${namesOf(yields)}, lengthwise: ${formatExact(value)}`,
});

const stripsLength = ({ width, strips, yields }: StripGroup, unit: Unit): Amount =>
  stripsAs(namesOf(yields), strips.value, width, unit);

const stripsAs = (name: string, strips: number, width: number, unit: Unit): Amount => ({
  length: strips * width,
  says: `${name}: ${numberOf(strips, 'strip')} × ${formatWorking(width, unit)} = ${formatExact(strips * width)}`,
});

/** Lines that are cut together: those of one job of the layers or the edge, as the sides and the ends of a flange. */
function jobsOf(lines: readonly CutLine[]): CutLine[][] {
  const jobs = new Map<string, CutLine[]>();
  for (const line of lines) {
    const key = JSON.stringify(line.use);
    jobs.set(key, [...(jobs.get(key) ?? []), line]);
  }
  return [...jobs.values()];
}

/** What each job of the layers and the edge is called. */
const JOBS: Readonly<Record<Exclude<CutRole, Role>, string>> = {
  backing: 'Backing',
  'back-stripe': 'Stripe of the backing',
  binding: 'Binding',
  'binding-flange': 'Flange in the binding',
  flange: 'Flange',
  'prairie-point': 'Prairie points',
};

/** The length of cloth one job takes by itself. */
function lengthFor(job: readonly CutLine[], cloth: Cloth): PlacedLength {
  return { lines: job.map(({ id }) => id), ...amountFor(job, cloth) };
}

function amountFor(job: readonly CutLine[], cloth: Cloth): Amount {
  const { cut, count, grain, use, role } = job[0]!;
  const name = JOBS[role as keyof typeof JOBS];
  const { unit } = cloth;
  if (cut.shape === 'rectangle' && grain === 'bias') {
    const { width, length } = cut;
    const square = width.value === length.value ? 'square' : 'length';
    return {
      length: count.value * length.value,
      says: `${name}: a ${square} of ${formatWorking(length.value, unit)} for bias strips`,
    };
  }
  if (cut.shape === 'rectangle' && grain === 'lengthwise') {
    const length = count.value * cut.length.value;
    const panels = use.what === 'wide-back' ? 'one width' : numberOf(count.value, 'panel');
    return { length, says: `${name}: ${panels}, ${formatExact(length)}` };
  }
  const { groups } = planStrips(job, cloth);
  // Narrower than the strip the cloth holds none of it; the length is still what would be asked for.
  const width = groups[0]?.width ?? (cut.shape === 'rectangle' ? cut.width.value : cut.side.value);
  return stripsAs(name, groups[0]?.strips.value ?? count.value, width, unit);
}

function tooNarrowFor(
  { name, usableWidth }: Fabric,
  { wanted, measure }: StripPlan['tooWide'][number],
  unit: Unit,
): string {
  const usable = `${name} is ${formatWithUnit(usableWidth, unit)} usable`;
  return measure === 'width'
    ? `${wanted.name} are cut ${formatWithUnit(wanted.width, unit)} wide and ${usable}: choose a wider fabric for them.`
    : `${wanted.name} are cut ${formatWithUnit(wanted.length, unit)} long across the print, ${usable}, and they are never joined: choose a wider fabric, or one without a direction.`;
}

/** A cloth's own habits, for the cutting table: its direction where pieces of the top are cut from it, alike sides anywhere. */
function clothNotes({ name, direction, alike }: Fabric, ofTop: boolean): string[] {
  const notes: string[] = [];
  if (ofTop && direction === 'one-way')
    notes.push(
      `${name} has a print that runs one way up the selvage: no piece is turned, uprights and levels are counted apart, and every piece is laid with the print up.`,
    );
  if (ofTop && direction === 'stripe')
    notes.push(
      `${name} is striped along the selvage: pieces may be turned upside down, not on their side; uprights and levels are counted apart.`,
    );
  if (alike)
    notes.push(
      `Both sides of ${name} look alike: mark the right side of every piece with a pin before it is sewn.`,
    );
  return notes;
}
