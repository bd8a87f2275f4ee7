import { sum } from 'd3-array';
import { type CutLine, liesOnItsSide } from '../cut/line.ts';
import { lengthOf, numberOf } from '../figure/figure.ts';
import { formatExact, formatWithUnit, formatWorking } from '../length/format.ts';
import type { Unit } from '../length/unit.ts';
import { boundOf } from '../placing/bound.ts';
import type { Fabric } from '../plan/shape.ts';
import type { Cloth } from '../strip/strip-plan.ts';
import type { Need, Sheet } from '../placing/need.ts';
import { type Planned, planOf } from './at-once.ts';
import { type Owner, sheetOf, type Wants, wantsOf } from './needs.ts';
import { lengthOnGrid } from '../length/grid.ts';
import type { Placed, PlacedPiece, StripsAcross } from './placed.ts';
import { placedRun } from './runs.ts';
import { stripsAcross } from './strips-across.ts';
import { TIPS } from '../choice/tips.ts';

/** How cloths are cut. */
export interface PlaceWish {
  /** Straight joins are sewn with, in the plan's unit. */
  readonly seam: number;
  readonly unit: Unit;
  /** The round of cutting a line belongs to: 0 now, later what waits until something is measured. */
  readonly roundOf?: (line: CutLine) => number;
}

/**
 * Places the lines of a cutting list on their cloths, close to the least cloth there can be: leftovers of wide strips
 * and the cloth beside lengthwise pieces serve smaller ones, whatever they are for. Only cloths that are used, in
 * their own order (rule CU-7).
 *
 * @yields after each cloth
 */
export function* placing(
  lines: readonly CutLine[],
  cloths: readonly Fabric[],
  { seam, unit, roundOf }: PlaceWish,
): Generator<undefined, Placed[]> {
  const placed: Placed[] = [];
  for (const fabric of cloths) {
    const own = lines.filter((line) => line.fabric === fabric.id);
    placed.push(placeOn(fabric, own, { seam, unit, ...(roundOf && { roundOf }) }));
    yield;
  }
  return placed.filter(({ needed, tooNarrow }) => needed.value > 0 || tooNarrow.length > 0);
}

/**
 * Places the lines of one cloth.
 *
 * @param choose how its plan is found: what a few milliseconds find, when it is not said otherwise
 */
export function placeOn(
  fabric: Fabric,
  lines: readonly CutLine[],
  { seam, unit, roundOf }: PlaceWish,
  choose: (needs: readonly Need[], sheet: Sheet) => Planned = planOf,
): Placed {
  const cloth: Cloth = { usable: fabric.usableWidth, seam, unit };
  const wants = wantsOf(lines, cloth, roundOf);
  const sheet = sheetOf(cloth);
  const { task, plan } = choose(wants.needs, sheet);
  const real = (units: number) => lengthOnGrid(units, unit);
  const runs = plan.runs.map((run) => placedRun(run, wants.owners, sheet, unit));
  const counted = new Map<string, number>();
  const pieces = plan.cuts.map(({ key, x, y, w, h, stock = null }): PlacedPiece => {
    const { line, cut, name } = wants.owners.get(key)!;
    const index = counted.get(key) ?? 0;
    counted.set(key, index + 1);
    const at = { x: real(x), y: real(y), w: real(w), h: real(h), stock };
    return { line: line.id, cut, name, index, corners: CORNERS[line.cut.shape], ...at };
  });
  const heights = plan.strips.map(real);
  const strips = stripsAcross({ heights, pieces, runs, usable: cloth.usable, unit });
  const tooWide = wants.tooWide.filter(({ owner }) => owner.line.owner === 'top');
  const beyond = wants.tooWide.filter(({ owner }) => owner.line.owner !== 'top');
  // Asked for all the same: whoever asks at the counter hears a length, and that the cloth is too narrow elsewhere.
  const besides = sum(beyond, ({ owner, count }) => count * owner.width);
  const says = [
    ...strips.map((group) => groupSays(group, wants, unit)),
    ...beyond.map(({ owner, count }) => stripsSay(owner.name, count, owner.width, unit)),
  ];
  const total = sum(heights) + besides;
  return {
    fabric,
    pieces,
    runs,
    heights,
    strips,
    bound: real(boundOf(task)) + besides,
    needed: lengthOf(total, ...says, ...(says.length > 1 ? [`Together ${formatExact(total)}`] : [])),
    tooNarrow: tooWide.map((wide) => tooNarrowFor(fabric, wide, unit)),
    notes: clothNotes(
      fabric,
      lines.filter((line) => line.owner === 'top'),
    ),
  };
}

/** How often a square is cut corner to corner, for the triangles it is cut for. */
const CORNERS = { rectangle: 0, 'half-square': 1, 'quarter-square': 2 } as const;

const stripsSay = (name: string, count: number, width: number, unit: Unit): string =>
  `${name}: ${numberOf(count, 'strip')} × ${formatWorking(width, unit)} = ${formatExact(count * width)}`;

/** What strips of one width come to, in words: panels and cloth for bias strips have words of their own. */
function groupSays({ width, strips, along, yields }: StripsAcross, { owners }: Wants, unit: Unit): string {
  const names = yields.map(({ name }) => name).join(', ');
  const count = strips.value;
  const [first] = yields;
  const only =
    yields.length === 1 ? [...owners.values()].find(({ line }) => line.id === first!.line) : undefined;
  const { grain, use, owner } = only?.line ?? {};
  if (only && grain === 'bias') {
    const what = only.width === only.length ? 'square' : 'length';
    return `${names}: a ${what} of ${formatWorking(width, unit)} for bias strips`;
  }
  if (owner === 'layers' && grain === 'lengthwise') {
    const panels = use?.what === 'wide-back' ? 'one width' : numberOf(first!.count, 'panel');
    return `${names}: ${panels}, ${formatExact(count * width)}`;
  }
  return along ? `${names}, lengthwise: ${formatExact(count * width)}` : stripsSay(names, count, width, unit);
}

function tooNarrowFor(
  { name, usableWidth }: Fabric,
  { owner, measure }: { readonly owner: Owner; readonly measure: 'width' | 'length' },
  unit: Unit,
): string {
  const usable = `${name} is ${formatWithUnit(usableWidth, unit)} usable`;
  return measure === 'width'
    ? `${owner.name} are cut ${formatWithUnit(owner.width, unit)} wide and ${usable}: choose a wider cloth for them.`
    : `${owner.name} are cut ${formatWithUnit(owner.length, unit)} long across the print, ${usable}, and they are never joined: choose a wider cloth, or one without a direction.`;
}

/** A cloth's own habits, for the cutting table: its direction where pieces of the top are cut from it, alike sides anywhere. */
function clothNotes({ name, direction, alike }: Fabric, ofTop: readonly CutLine[]): string[] {
  const notes: string[] = [];
  const aside = ofTop.filter(liesOnItsSide);
  if (direction !== 'none' && aside.length > 0)
    notes.push(
      `${name} has a print with a direction, and ${aside.map((line) => line.name.toLowerCase()).join(', ')} ${aside.length === 1 ? 'is' : 'are'} cut along the selvage: there it lies on its side. Everywhere else it stands up.`,
    );
  else if (ofTop.length > 0 && direction === 'one-way')
    notes.push(
      `${name} has a print that runs one way up the selvage: no piece is turned, uprights and levels are counted apart, and every piece is laid with the print up.`,
    );
  else if (ofTop.length > 0 && direction === 'stripe')
    notes.push(
      `${name} is striped along the selvage: pieces may be turned upside down, not on their side; uprights and levels are counted apart.`,
    );
  if (ofTop.some(({ cut }) => cut.shape !== 'rectangle')) notes.push(TIPS.starch);
  if (alike)
    notes.push(
      `Both sides of ${name} look alike: mark the right side of every piece with a pin before it is sewn.`,
    );
  return notes;
}
