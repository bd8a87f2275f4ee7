import type { Edge } from '../edge/edge.ts';
import { numberOf } from '../figure/figure.ts';
import { backingCloth, type Layers } from '../layer/layers.ts';
import { formatExact, formatWorking } from '../length/format.ts';
import type { Plan } from '../plan/shape.ts';

/** A length of one fabric that layers or edge ask for, beside the pieces of the top. */
export interface Demand {
  readonly fabric: string;
  readonly length: number;
  /** As it reads in the working of what to buy. */
  readonly line: string;
}

/** What the backing asks for, in the way that was chosen. */
export function layerDemands(plan: Plan, { chosenBacking }: Layers): Demand[] {
  const { way, panels, fabric, stripe } = chosenBacking;
  const main: Demand = {
    fabric: backingCloth(plan, chosenBacking).id,
    length: fabric.value,
    line: `Backing: ${way === 'wide' ? 'one width' : numberOf(panels, 'panel')}, ${formatExact(fabric.value)}`,
  };
  return stripe
    ? [
        main,
        {
          fabric: plan.backing.stripe.fabric,
          length: stripe.fabric.value,
          line: `Stripe of the backing: ${formatExact(stripe.fabric.value)}`,
        },
      ]
    : [main];
}

/** What binding, flange and points ask for. */
export function edgeDemands(plan: Plan, { binding, flange, points }: Edge): Demand[] {
  const show = (v: number) => formatWorking(v, plan.unit);
  const demands: Demand[] = [];
  if (binding) {
    const { bias, strips, fabric, cutWidth, flange: built } = binding;
    const how = bias
      ? `${plan.binding.grain !== 'bias-length' ? `a square of ${show(fabric.value)}` : `a length of ${show(fabric.value)}`} for bias strips`
      : `${numberOf(strips.value, 'strip')} × ${show(cutWidth)} = ${formatExact(fabric.value)}`;
    // Leftovers may be enough.
    if (fabric.value > 0)
      demands.push({ fabric: plan.binding.fabric, length: fabric.value, line: `Binding: ${how}` });
    if (built && plan.binding.flange)
      demands.push({
        fabric: plan.binding.flange.fabric,
        length: built.fabric.value,
        line: `Flange in the binding: ${built.fabric.working.at(-1)!}`,
      });
  }
  if (flange)
    demands.push({
      fabric: plan.edge.flange.fabric,
      length: flange.fabric.value,
      line: `Flange: ${flange.fabric.working.at(-1)!}`,
    });
  for (const cloth of points?.cloths ?? [])
    demands.push({
      fabric: cloth.fabric,
      length: cloth.length.value,
      line: `Prairie points: ${cloth.length.working.at(-1)!}`,
    });
  return demands;
}
