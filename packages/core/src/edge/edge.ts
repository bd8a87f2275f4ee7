import { BINDING_SCHOOLS, type BindingSchool } from '../choice/binding-schools.ts';
import { countOf, type Figure, lengthOf, numberOf } from '../figure/figure.ts';
import { stripsFor } from '../strip/joins.ts';
import { formatLength, formatWorking } from '../length/format.ts';
import { howManyCover, howManyFit } from '../length/tolerance.ts';
import { fabricById } from '../plan/fabric-use.ts';
import type { Fabric, Plan } from '../plan/shape.ts';
import { randomFrom } from '../random/random.ts';
import { lengthAround } from './around.ts';
import { type Binding, planBinding } from './binding.ts';
import { bindingSeamOf, loftOf } from './binding-seam.ts';
import type { FinishedEdge } from './finish/finish.ts';
import { wholeFinishesIn } from './finish/registry.ts';
import { type Flange, planFlange, rawEdges } from './flange.ts';
import { type EdgeOutline, edgeOutline } from './outline.ts';
import { type Hanging, planHanging } from './hanging.ts';
import { inStockFor } from '../plan/stock.ts';
import { settingOf } from '../setting/registry.ts';
import { turnsOf } from '../colour/turns.ts';
import { planPointStrip, type PointStrip } from './point-strip.ts';
import { planPrairiePoints, type PointsOnSide } from './prairie-points.ts';

/** The edge of a quilt: its outline, and whatever finishes it. */
export interface Edge {
  readonly outline: EdgeOutline;
  readonly around: Figure;
  readonly binding: Binding | null;
  readonly flange: Flange | null;
  readonly points: EdgePoints | null;
  /** The finishes that tell all they are by themselves, in the order they are put on. */
  readonly finished: readonly FinishedEdge[];
  /** What it is hung by; null where it is not to be hung. */
  readonly hanging: Hanging | null;
}

/** Prairie points as they stand round the quilt, clockwise from the top left corner. */
export interface EdgePoints {
  readonly across: PointsOnSide;
  readonly down: PointsOnSide;
  readonly total: Figure;
  /** For each point, the place of its fabric in the list. */
  readonly colours: readonly number[];
  /** What is cut from each fabric, in the list's order. */
  readonly cloths: readonly PointCloth[];
  /** Null where squares are cut. */
  readonly strip: PointStrip | null;
  /** Points along the part of the bottom that is left open to turn through. */
  readonly openOver: Figure;
}

/** What one fabric gives for the points. */
interface PointCloth {
  readonly fabric: string;
  readonly squares: Figure | null;
  readonly strips: Figure;
  readonly cutWidth: number;
  readonly length: Figure;
}

/** The seam allowance outside a quilt's finished edge: none where it is trimmed to its size already. */
export const allowanceBeyond = ({ setting, seam, borders }: Plan): number =>
  settingOf(setting.kind).trimmed && borders.length === 0 ? 0 : seam;

/** Works the edge out for a top of this size. The plan has passed `planProblems`. */
export function planEdge(plan: Plan, top: { readonly width: number; readonly height: number }): Edge {
  const { edge, binding, unit, seam } = plan;
  const outline = edgeOutline(top, edge);
  const around = lengthAround(outline, edge, edge.around, unit);
  const has = (finish: Plan['edge']['finishes'][number]) => edge.finishes.includes(finish);
  const edges = rawEdges(
    top,
    plan.measured.findLast((m) => m.borders === plan.borders.length) ?? null,
    allowanceBeyond(plan),
    unit,
  );
  const usableOf = (id: string) => fabricById(plan, id).usableWidth;
  return {
    outline,
    around,
    binding: has('binding')
      ? planBinding({
          binding,
          leftovers: inStockFor(plan, 'binding'),
          outline,
          around,
          straightSides: edge.shape === 'square' && edge.around === null,
          usable: usableOf(binding.fabric),
          flangeUsable: binding.flange ? usableOf(binding.flange.fabric) : 0,
          seam,
          loft: loftOf(plan),
          unit,
        })
      : null,
    flange: has('flange')
      ? planFlange({
          edges,
          visible: edge.flange.visible,
          bindingSeam: bindingSeamOf(plan),
          seam,
          usable: usableOf(edge.flange.fabric),
          unit,
        })
      : null,
    points: has('prairie-points') ? pointsRound(plan, top) : null,
    hanging: hangingOf(plan, top.width),
    finished: wholeFinishesIn(edge.finishes).map(([, finish]) =>
      finish.plan({
        plan,
        top,
        outline,
        around,
        edges,
        closedAt: has('binding') ? bindingSeamOf(plan) : null,
      }),
    ),
  };
}

function hangingOf({ hanging: { as, depth, fabric }, seam, unit }: Plan, width: number): Hanging | null {
  return as === 'none' ? null : planHanging({ as, width, depth, seam, fabric, unit });
}

/**
 * The binding by every school, side by side: what choosing one costs (rule BD-1).
 *
 * @param top what the top finishes at, in the plan's unit
 */
export const bindingBySchool = (
  plan: Plan,
  top: { width: number; height: number },
): { readonly school: BindingSchool; readonly binding: Binding }[] =>
  BINDING_SCHOOLS.flatMap((school) => {
    const { binding } = planEdge({ ...plan, binding: { ...plan.binding, school } }, top);
    return binding ? [{ school, binding }] : [];
  });

function pointsRound(plan: Plan, top: { width: number; height: number }): EdgePoints {
  const { points } = plan.edge;
  const { unit, seam } = plan;
  const fabrics = points.fabrics.map((id) => fabricById(plan, id));
  const opening = (pitch: number) =>
    countOf(
      Math.max(1, Math.round(points.opening / pitch)),
      `${formatLength(points.opening, unit)} left open, a point every ${formatLength(pitch, unit)}: about ${numberOf(Math.max(1, Math.round(points.opening / pitch)), 'point')}`,
    );
  if (points.fold === 'strip') {
    const cloths = fabrics.length > 1 ? 2 : 1;
    const strip = planPointStrip(top, { square: points.square, seam, unit }, cloths);
    return {
      across: strip.across,
      down: strip.down,
      total: strip.total,
      strip,
      openOver: opening(points.square / 2),
      // Points come from the two edges of the strip by turns.
      colours: Array.from({ length: strip.total.value }, (_, i) => i % cloths),
      cloths: fabrics.slice(0, cloths).map((fabric) => stripCloth(fabric, strip, plan)),
    };
  }
  const set = planPrairiePoints(top, {
    square: points.square,
    overlap: points.overlap,
    seam,
    usable: fabrics[0]!.usableWidth,
    unit,
    spread: points.spread,
  });
  const colours = turnsOf(set.total.value, fabrics.length, points.order, randomFrom(points.seed));
  return {
    across: set.across,
    down: set.down,
    total: set.total,
    strip: null,
    colours,
    openOver: opening(set.pitch.value),
    cloths: fabrics.map((fabric, i) => squaresCloth(fabric, colours.filter((c) => c === i).length, plan)),
  };
}

function squaresCloth(fabric: Fabric, squares: number, { edge: { points }, unit }: Plan): PointCloth {
  const show = (v: number) => formatWorking(v, unit);
  const each = Math.max(1, howManyFit(fabric.usableWidth, points.square));
  const strips = howManyCover(squares, each);
  return {
    fabric: fabric.id,
    cutWidth: points.square,
    squares: countOf(squares, `Its share of the points: ${squares}`),
    strips: countOf(
      strips,
      `${numberOf(squares, 'square')}, ${each} to a strip of ${show(fabric.usableWidth)}: ${strips}`,
    ),
    length: lengthOf(
      strips * points.square,
      `${numberOf(strips, 'strip')} × ${show(points.square)} = ${show(strips * points.square)}`,
    ),
  };
}

function stripCloth(fabric: Fabric, { lengths, cutWidth }: PointStrip, { unit, seam }: Plan): PointCloth {
  const show = (v: number) => formatWorking(v, unit);
  const total = 2 * (lengths.across + lengths.down);
  const strips = stripsFor(total, fabric.usableWidth, 2 * seam);
  return {
    fabric: fabric.id,
    cutWidth: cutWidth.value,
    squares: null,
    strips: countOf(
      strips,
      `2 × (${show(lengths.across)} + ${show(lengths.down)}), each side with its seams and half a square more = ${show(total)}, joined straight from strips of ${show(fabric.usableWidth)}: ${strips}`,
    ),
    length: lengthOf(
      strips * cutWidth.value,
      `${numberOf(strips, 'strip')} × ${show(cutWidth.value)} = ${show(strips * cutWidth.value)}`,
    ),
  };
}
