import { adviseOn, type Advice } from './advice.ts';
import { judgePile, type Pile } from './block/pile.ts';
import { cutFabrics, type FabricCut } from './cutting/fabric-cuts.ts';
import { type CutPiece, cutPieces } from './cutting/pieces.ts';
import { type Binding, straightBinding } from './edge/binding.ts';
import { type Backing, planBacking } from './layer/backing.ts';
import { type Layout, layOut } from './layout/lay-out.ts';
import type { Fabric, Plan } from './plan/shape.ts';
import { compareWithTarget, type TargetComparison } from './target/compare.ts';

/** Everything worked out from a plan. The drawing, the lists, print and the command line all read this. */
export interface Quilt {
  readonly layout: Layout;
  readonly pieces: readonly CutPiece[];
  readonly backing: Backing;
  readonly binding: Binding;
  readonly fabrics: readonly FabricCut[];
  readonly target: TargetComparison | null;
  readonly pile: Pile;
  readonly advice: readonly Advice[];
}

/** The one way through: plan → layout → pieces → layers and edge → cutting → shopping. */
export function computeQuilt(plan: Plan): Quilt {
  const layout = layOut(plan);
  const finished = { width: layout.finished.width.value, height: layout.finished.height.value };
  const pieces = cutPieces(plan, layout);
  const backing = planBacking(finished, plan.backing.overhang, fabricById(plan, plan.backing.fabric).usableWidth, plan.unit);
  const binding = straightBinding(finished, plan.binding.stripWidth, fabricById(plan, plan.binding.fabric).usableWidth, plan.unit);
  const fabrics = cutFabrics(plan, pieces, backing, binding);
  const pile = judgePile(plan, layout.parts['block']!.count.value);
  return {
    layout,
    pieces,
    backing,
    binding,
    fabrics,
    target: plan.target && compareWithTarget(finished, plan.target, plan.unit),
    pile,
    advice: adviseOn(plan, pile, fabrics),
  };
}

/** The fabric with this id. The plan has passed `planProblems`, so there is one. */
export function fabricById(plan: Plan, id: string): Fabric {
  const found = plan.fabrics.find((f) => f.id === id);
  if (!found) throw new Error(`No fabric has the id ${id}.`);
  return found;
}
