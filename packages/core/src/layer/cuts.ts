import { type Cut, cutOf, wholeStrip } from '../cut/cut.ts';
import { countOf, lengthOf, numberOf } from '../figure/figure.ts';
import { fabricById } from '../plan/fabric-use.ts';
import type { Plan } from '../plan/shape.ts';
import { backingCloth, type Layers } from './layers.ts';

/** What the backing has cut, in the way that was chosen: its panels along the selvage, and its stripe. */
export function cutsOfLayers(plan: Plan, { chosenBacking }: Layers): Cut[] {
  const { way, panels, fabric, stripe } = chosenBacking;
  const cloth = backingCloth(plan, chosenBacking);
  const run = fabric.value / panels;
  const backing = cutOf({
    id: 'backing',
    owner: 'layers',
    role: 'backing',
    name: 'Backing',
    fabric: cloth.id,
    use: { what: way === 'wide' ? 'wide-back' : 'backing' },
    size: {
      shape: 'rectangle',
      width: lengthOf(cloth.usableWidth, 'From selvage to selvage'),
      length: lengthOf(run, ...fabric.working),
    },
    count: countOf(panels, numberOf(panels, 'panel')),
    grain: 'lengthwise',
    joins: 'never',
  });
  if (!stripe) return [backing];
  const id = plan.backing.stripe.fabric;
  const strips = Math.round(stripe.fabric.value / stripe.cut.value);
  return [
    backing,
    cutOf({
      id: 'back-stripe',
      owner: 'layers',
      role: 'back-stripe',
      name: 'Stripe of the backing',
      fabric: id,
      use: { what: 'back-stripe' },
      size: wholeStrip(stripe.cut.value, fabricById(plan, id).usableWidth),
      count: countOf(strips, ...stripe.fabric.working),
    }),
  ];
}
