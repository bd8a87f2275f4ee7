import { askCounter } from '@lattice/core';
import { known, type Said, type Surface } from './surface.ts';

/** Questions at the counter about what a plan has: answered without the plan. */
export const answers: Surface = {
  name: 'answers at the counter',
  says: (evening) => {
    const { plan, quilt } = known(evening);
    const { unit, binding, backing, edge } = plan;
    const usableOf = (id: string) => plan.fabrics.find((fabric) => fabric.id === id)!.usableWidth;
    const { width, height } = quilt.finished;
    const sides = { width: String(width.value), height: String(height.value) };
    const asked = (topic: string, flags: Record<string, string>): Said[] => {
      const said = askCounter(topic, flags, unit);
      if (!said.ok) return [];
      if (topic === 'backing')
        return said.said
          .slice(0, 2)
          .map(({ what, figure }) => ({ of: what.toLowerCase(), value: figure.value, within: 1e-3 }));
      const { length, bought } = said.json as { length: number; bought: number };
      return [
        { of: 'binding length', value: length, within: 1e-3 },
        { of: 'binding, whole strips', value: quilt.edge.binding?.leftovers ? 'beside leftovers' : bought },
      ];
    };
    const plainEdge = edge.shape === 'square' && edge.around === null && edge.finishes.includes('binding');
    return [
      ...(plainEdge && binding.grain === 'straight' && !binding.flange
        ? asked('binding', {
            ...sides,
            strip: String(binding.stripWidth),
            usable: String(usableOf(binding.fabric)),
            school: binding.school,
          })
        : []),
      ...(quilt.layers
        ? asked('backing', {
            ...sides,
            overhang: String(backing.overhang),
            usable: String(usableOf(backing.fabric)),
          })
        : []),
    ];
  },
};
