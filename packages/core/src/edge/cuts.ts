import { type Cut, cutOf, wholeStrip } from '../cut/cut.ts';
import { countOf, type Figure, lengthOf, numberOf } from '../figure/figure.ts';
import { fabricById } from '../plan/fabric-use.ts';
import type { Plan } from '../plan/shape.ts';
import type { FabricUse } from '../piece/piece.ts';
import type { BiasPlan } from './bias-plan.ts';
import type { Binding } from './binding.ts';
import type { Edge, EdgePoints } from './edge.ts';
import { flangeCuts } from './flange.ts';

/** What the finishes of an edge have cut. */
export function cutsOfEdge(plan: Plan, { binding, flange, points, finished, hanging }: Edge): Cut[] {
  return [
    ...(binding ? bindingCuts(plan, binding) : []),
    ...(flange ? flangeCuts(flange, plan.edge.flange.fabric) : []),
    ...(points ? pointCuts(plan, points) : []),
    ...finished.flatMap(({ cuts }) => cuts),
    ...(hanging?.cuts ?? []),
  ];
}

function bindingCuts(plan: Plan, { bias, strips, reach, cutWidth, flange, fabric: cloth }: Binding): Cut[] {
  const { grain, fabric, flange: built } = plan.binding;
  const usable = (id: string) => fabricById(plan, id).usableWidth;
  const named = {
    owner: 'edge',
    role: 'binding',
    name: 'Binding',
    fabric,
    use: { what: 'binding' },
  } as const;
  const main = bias
    ? onBias({ ...named, id: 'binding' }, bias, grain === 'bias-length' ? usable(fabric) : null)
    : inStrips({ ...named, id: 'binding', run: reach }, cutWidth, strips, usable(fabric));
  // Leftovers may be enough.
  const cuts = cloth.value > 0 ? [main] : [];
  if (!flange || !built) return cuts;
  const beside = {
    id: 'binding-flange',
    owner: 'edge',
    role: 'binding-flange',
    name: 'Flange in the binding',
    fabric: built.fabric,
    use: { what: 'binding-flange' },
  } as const;
  if (flange.bias)
    return [...cuts, onBias(beside, flange.bias, grain === 'bias-length' ? usable(built.fabric) : null)];
  return [
    ...cuts,
    inStrips({ ...beside, run: flange.reach }, flange.flange.value, flange.strips!, usable(built.fabric)),
  ];
}

type Named = Pick<Cut, 'id' | 'owner' | 'role' | 'name' | 'fabric' | 'use'> & Partial<Pick<Cut, 'run'>>;

/** Whole strips across the cloth, to be joined into one run. */
const inStrips = (named: Named, width: number, strips: Figure, usable: number): Cut =>
  cutOf({ ...named, size: wholeStrip(width, usable), count: strips });

/** The cloth bias strips are cut from: a square, or a length of the whole width. */
const onBias = (named: Named, { cloth }: BiasPlan, usable: number | null): Cut =>
  cutOf({
    ...named,
    size: { shape: 'rectangle', width: usable === null ? cloth : lengthOf(usable), length: cloth },
    count: countOf(1, `${numberOf(1, 'piece')} of cloth for bias strips`),
    grain: 'bias',
  });

/** Squares of each cloth; strips where the points are folded from one. */
function pointCuts(plan: Plan, { cloths }: EdgePoints): Cut[] {
  return cloths.map(({ fabric, squares, strips, cutWidth }, index) => {
    const use: FabricUse = { what: 'point', index };
    const before = cloths.slice(0, index).filter((c) => c.fabric === fabric).length;
    const named: Named = {
      // A cloth may have its turn twice.
      id: `prairie-point-${fabric}${before > 0 ? `-${before + 1}` : ''}`,
      owner: 'edge',
      role: 'prairie-point',
      name: 'Prairie points',
      fabric,
      use,
    };
    if (!squares) return inStrips(named, cutWidth, strips, fabricById(plan, fabric).usableWidth);
    const side = lengthOf(cutWidth);
    return cutOf({
      ...named,
      size: { shape: 'rectangle', width: side, length: side },
      count: squares,
      joins: 'never',
    });
  });
}
