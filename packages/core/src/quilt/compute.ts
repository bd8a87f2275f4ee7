import { adviseOn } from './advice.ts';
import type { Quilt } from './quilt.ts';
import { edgeAsCut, linesAsCut } from './edge-as-cut.ts';
import { judgePile } from '../pile/pile.ts';
import type { Size } from '../border/sizes.ts';
import { convertPlan } from '../plan/convert.ts';
import { fabricById } from '../plan/fabric-use.ts';
import { placing, type PlaceWish } from '../cutting/place.ts';
import type { CuttingJob } from '../cutting/ways.ts';
import { waitOf } from '../cutting/waits.ts';
import { buy, costIn } from '../shopping/buy.ts';
import { cutsOfLayers } from '../layer/cuts.ts';
import { cutsOfEdge } from '../edge/cuts.ts';
import { joinLines } from '../cutting/join-lines.ts';
import { cutsOfTop, cuttingList } from '../cutting/top-cuts.ts';
import { planEdge } from '../edge/edge.ts';
import { planLayers } from '../layer/layers.ts';
import { type Layout, layOut } from '../layout/lay-out.ts';
import { countRotations } from '../layout/orientation.ts';
import { otherUnit } from '../length/unit.ts';
import type { Plan } from '../plan/shape.ts';
import { toTheEnd } from './parts.ts';
import { settingOf } from '../setting/registry.ts';
import { compareWithTarget } from '../target/compare.ts';
import { targetSize } from '../target/size.ts';

/** What the top comes to, and beside its target: known as soon as it is laid out. */
export function finishedSize(
  { target, unit }: Pick<Plan, 'target' | 'unit'>,
  { sizes }: Pick<Layout, 'sizes'>,
): Pick<Quilt, 'finished' | 'target'> {
  const finished = sizes.at(-1)!.used;
  if (!target) return { finished, target: null };
  const wanted = targetSize(target, unit);
  const valuesOf = ({ width, height }: Size) => ({ width: width.value, height: height.value });
  return {
    finished,
    target: { ...wanted, against: compareWithTarget(valuesOf(finished), valuesOf(wanted), unit) },
  };
}

/** The plan and what was worked out from it before a change. */
interface Before {
  readonly plan: Plan;
  readonly quilt: Quilt;
}

/**
 * The one way through: plan → layout → cuts of top, layers and edge → placing → buying.
 *
 * @example
 * const plan = { ...startPlan('sashed-sampler'), grid: { across: 2, down: 5 } };
 * computeQuilt(plan).finished.width.value; // 36.5
 * computeQuilt(plan).finished.width.working; // ['2 blocks × 12 + 3 sashes × 1 1/2 = 28 1/2', '28 1/2 + 2 × 4 = 36 1/2']
 */
export const computeQuilt = (plan: Plan): Quilt => toTheEnd(computing(plan, layOut(plan)));

/**
 * The one way through, a part at a time: whoever has a hand to follow does something else in between. A part takes some
 * milliseconds at four hundred blocks.
 *
 * @param layout the plan's own
 * @yields after each part
 * @returns everything
 */
function* computing(plan: Plan, layout: Layout): Generator<undefined, Quilt> {
  const setting = settingOf(plan.setting.kind);
  const { finished: top, target } = finishedSize(plan, layout);
  const finished = { width: top.width.value, height: top.height.value };
  const pile = judgePile(plan, setting.blocksNeeded(plan.grid, plan.setting).value);
  const labels = plan.pile.filter((block) => block.label).length;
  const spare = Math.max(0, pile.blocks - labels - pile.needed);
  yield;
  const layers = setting.quilted ? null : planLayers(plan, layout, finished, spare, costIn(plan));
  yield;
  const planned = planEdge(plan, finished);
  yield;
  const pieces = cuttingList(plan, cutsOfTop(plan, layout));
  const besides = cuttingList(plan, [
    ...(layers ? cutsOfLayers(plan, layers) : []),
    ...cutsOfEdge(plan, planned),
  ]);
  yield;
  const placed = yield* placing([...pieces, ...besides], plan.fabrics, placeWish(plan));
  const fabrics = buy(plan, placed);
  yield;
  const edge = edgeAsCut(plan, planned, fabrics);
  const lies = countRotations(plan, layout);
  const joins = joinLines(layout, pieces, fabrics);
  yield;
  const advice = adviseOn(plan, { pile, pieces, fabrics, lies, layout, layers, edge });
  return {
    layout,
    finished: top,
    lies,
    pieces,
    besides: linesAsCut(besides, edge, plan.unit),
    layers,
    edge,
    fabrics,
    joins,
    target,
    pile,
    advice,
  };
}

/** How a plan's cloths are cut: what waits until something is measured comes later. */
const placeWish = (plan: Plan): PlaceWish => ({
  seam: plan.seam,
  unit: plan.unit,
  roundOf: (line) => waitOf(plan, line)?.round ?? 0,
});

/**
 * One cloth of a quilt, to be cut one way or another. The quilt cuts something from it.
 *
 * @example
 * const plan = { ...startPlan('sashed-sampler'), grid: { across: 2, down: 5 } };
 * cuttingJob(plan, computeQuilt(plan), 'sash').lines.map(({ name }) => name); // ['Sashes']
 */
export const cuttingJob = (plan: Plan, { pieces, besides }: Quilt, fabric: string): CuttingJob => ({
  fabric: fabricById(plan, fabric),
  lines: [...pieces, ...besides].filter((line) => line.fabric === fabric),
  wish: placeWish(plan),
  inOtherUnit: () => {
    const other = convertPlan(plan, otherUnit(plan.unit));
    return cuttingJob(other, computeQuilt(other), fabric);
  },
});

/** Blocks that change places leave all else as it was. */
const onlyOnTheWall = (plan: Plan, before: Plan): boolean =>
  (Object.keys(plan) as (keyof Plan)[]).every((key) => key === 'wall' || plan[key] === before[key]);

/** The layout after a change: the very same object where no piece moved. */
export const layOutAgain = (plan: Plan, before: { readonly plan: Plan; readonly layout: Layout }): Layout =>
  onlyOnTheWall(plan, before.plan) ? before.layout : layOut(plan);

/**
 * The quilt after a change, a part at a time. Blocks that only change places leave everything but the pile and what is
 * said of it as it was, the very same objects, so that whatever is drawn from them stays too.
 *
 * @param layout the plan's own, as it is laid out again
 */
export function* computingAgain(
  plan: Plan,
  layout: Layout,
  before: Before | null,
): Generator<undefined, Quilt> {
  if (!before || !onlyOnTheWall(plan, before.plan)) return yield* computing(plan, layout);
  const { quilt } = before;
  const pile = judgePile(plan, quilt.pile.needed);
  return { ...quilt, pile, advice: adviseOn(plan, { ...quilt, pile }) };
}
