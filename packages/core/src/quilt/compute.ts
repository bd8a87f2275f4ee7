import { adviseOn, type Advice } from './advice.ts';
import { judgePile, type Pile } from '../pile/pile.ts';
import type { Size } from '../border/sizes.ts';
import { fabricById } from '../plan/fabric-use.ts';
import { place, type PlaceWish } from '../cutting/place.ts';
import type { CuttingJob } from '../cutting/ways.ts';
import { waitOf } from '../cutting/waits.ts';
import { stripsOfPiece } from '../cutting/runs.ts';
import { withStrips } from '../edge/binding.ts';
import { buy, costIn, type FabricCut } from '../shopping/buy.ts';
import type { CutLine } from '../cut/line.ts';
import { cutsOfLayers } from '../layer/cuts.ts';
import { cutsOfEdge } from '../edge/cuts.ts';
import { type JoinLine, joinLines } from '../cutting/join-lines.ts';
import { cutsOfTop, cuttingList } from '../cutting/top-cuts.ts';
import { type Edge, planEdge } from '../edge/edge.ts';
import { type Layers, planLayers } from '../layer/layers.ts';
import { type Layout, layOut } from '../layout/lay-out.ts';
import { countLies, type LieCounts } from '../layout/lie.ts';
import type { Unit } from '../length/unit.ts';
import type { Plan, Target } from '../plan/shape.ts';
import { settingOf } from '../setting/registry.ts';
import { compareWithTarget, type TargetComparison } from '../target/compare.ts';
import { targetSize, type TargetSize } from '../target/size.ts';

/** Everything worked out from a plan. The drawing, the lists, print and the command line all read this. */
export interface Quilt {
  readonly layout: Layout;
  /** What the top comes to: as planned, or as far as it was measured, from there. */
  readonly finished: Size;
  readonly lies: LieCounts;
  /** The cutting list: pieces of the top, and what layers and edge have cut besides. */
  readonly pieces: readonly CutLine[];
  readonly besides: readonly CutLine[];
  /** Null for blocks that are quilted already: every piece has a back of its own. */
  readonly layers: Layers | null;
  readonly edge: Edge;
  readonly fabrics: readonly FabricCut[];
  /** Where strips longer than their fabric is wide are joined. */
  readonly joins: readonly JoinLine[];
  readonly target: (TargetSize & { readonly against: TargetComparison }) | null;
  readonly pile: Pile;
  readonly advice: readonly Advice[];
}

/** The one way through: plan → layout → cuts of top, layers and edge → placing → buying. */
export function computeQuilt(plan: Plan): Quilt {
  const setting = settingOf(plan.setting.kind);
  const layout = layOut(plan);
  const top = layout.sizes.at(-1)!.used;
  const finished = { width: top.width.value, height: top.height.value };
  const pile = judgePile(plan, setting.blocksNeeded(plan.grid, plan.setting).value);
  const labels = plan.pile.filter((block) => block.label).length;
  const spare = Math.max(0, pile.blocks - labels - pile.needed);
  const layers = setting.quilted ? null : planLayers(plan, layout, finished, spare, costIn(plan));
  const planned = planEdge(plan, finished);

  const pieces = cuttingList(plan, cutsOfTop(plan, layout));
  const besides = cuttingList(plan, [
    ...(layers ? cutsOfLayers(plan, layers) : []),
    ...cutsOfEdge(plan, planned),
  ]);
  const fabrics = buy(plan, place([...pieces, ...besides], plan.fabrics, placeWish(plan)));
  const edge = edgeAsCut(plan, planned, fabrics);
  const lies = countLies(plan, layout);
  return {
    layout,
    finished: top,
    lies,
    pieces,
    besides,
    layers,
    edge,
    fabrics,
    joins: joinLines(layout, pieces, fabrics),
    target: plan.target && comparedWith(plan.target, finished, plan.unit),
    pile,
    advice: adviseOn(plan, { pile, pieces, fabrics, lies, layout, layers, edge }),
  };
}

/** How a plan's cloths are cut: what waits until something is measured comes later. */
const placeWish = (plan: Plan): PlaceWish => ({
  seam: plan.seam,
  unit: plan.unit,
  roundOf: (line) => waitOf(plan, line)?.round ?? 0,
});

/** One cloth of a quilt, to be cut one way or another. The quilt cuts something from it. */
export const cuttingJob = (plan: Plan, { pieces, besides }: Quilt, fabric: string): CuttingJob => ({
  fabric: fabricById(plan, fabric),
  lines: [...pieces, ...besides].filter((line) => line.fabric === fabric),
  wish: placeWish(plan),
});

/** The edge with the joins of its binding where the cutting has them. */
function edgeAsCut(
  { binding: { fabric, start }, unit }: Plan,
  edge: Edge,
  fabrics: readonly FabricCut[],
): Edge {
  const { binding, outline } = edge;
  const runs = fabrics.find((cut) => cut.fabric.id === fabric)?.runs ?? [];
  for (const run of runs) {
    const piece = run.pieces.find(({ cut }) => cut === 'binding');
    if (!binding || !piece) continue;
    const lengths = stripsOfPiece(run, piece);
    return { ...edge, binding: withStrips(binding, lengths, { outline, start, unit }) };
  }
  return edge;
}

/**
 * The quilt after a change. Blocks that only change places leave everything but the pile and what is said of
 * it as it was, the very same objects, so that whatever is drawn from them stays too.
 */
export function computeAgain(plan: Plan, before: { readonly plan: Plan; readonly quilt: Quilt }): Quilt {
  const { quilt } = before;
  if ((Object.keys(plan) as (keyof Plan)[]).some((key) => key !== 'wall' && plan[key] !== before.plan[key]))
    return computeQuilt(plan);
  const pile = judgePile(plan, quilt.pile.needed);
  return { ...quilt, pile, advice: adviseOn(plan, { ...quilt, pile }) };
}

function comparedWith(
  target: Target,
  finished: { width: number; height: number },
  unit: Unit,
): Quilt['target'] {
  const size = targetSize(target, unit);
  return {
    ...size,
    against: compareWithTarget(finished, { width: size.width.value, height: size.height.value }, unit),
  };
}
