import type { Quilt } from '@lattice/core';
import { useMemo } from 'react';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { Bars } from '../charts/Bars.tsx';
import { Section } from '../figures/Section.tsx';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';

const Words = styled.ul`
  font-size: var(--size-note);
  color: var(--soft);
`;

/** How much of each cloth goes into what, and what each costs: a bar a cloth, the same in words below. */
export function ClothChart() {
  const quilt = useAppSelector(selectQuilt);
  const { unit } = useAppSelector(selectPlan);
  const cloths = useMemo(() => quilt.fabrics.map((cut) => ({ cut, uses: usesOf(cut) })), [quilt.fabrics]);
  const areaUnit = unit === 'in' ? 'square yards' : 'square metres';
  const whole = unit === 'in' ? 36 * 36 : 10_000;
  if (cloths.length === 0) return null;
  return (
    <Section title="What the cloth goes into">
      <Bars
        label={`Cloth by use, in ${areaUnit}`}
        unit={areaUnit}
        bars={cloths.map(({ cut, uses }) => ({
          name: cut.fabric.name,
          parts: uses.map(({ name, area }) => ({
            value: area / whole,
            says: `${name.toLowerCase()} ${(area / whole).toFixed(2)}`,
            colour: cut.fabric.colour,
          })),
        }))}
      />
      <Words>
        {cloths.map(({ cut, uses }) => (
          <li key={cut.fabric.id}>
            {cut.fabric.name}:{' '}
            {uses.map(({ name, area }) => `${name.toLowerCase()} ${(area / whole).toFixed(2)}`).join(', ')}
            {cut.cost ? `; ${cut.cost.value.toFixed(2)}` : ''}
          </li>
        ))}
      </Words>
    </Section>
  );
}

/** Area of a cloth by what it goes into, and what is left over of its length. */
function usesOf({
  pieces,
  runs,
  needed,
  fabric,
}: Quilt['fabrics'][number]): { name: string; area: number }[] {
  const areas = new Map<string, number>();
  const add = (name: string, area: number) => areas.set(name, (areas.get(name) ?? 0) + area);
  for (const { name, w, h } of pieces) add(name, w * h);
  for (const run of runs) for (const { name, length } of run.pieces) add(name, length * run.width);
  const used = [...areas.values()].reduce((sum, area) => sum + area, 0);
  add('Left over', Math.max(0, needed.value * fabric.usableWidth - used));
  return [...areas].map(([name, area]) => ({ name, area }));
}
