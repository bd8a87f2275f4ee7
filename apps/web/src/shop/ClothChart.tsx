import type { Quilt } from '@lattice/core';
import { BarController, BarElement, CategoryScale, Chart, LinearScale, Tooltip } from 'chart.js';
import { useMemo } from 'react';
import { Bar } from 'react-chartjs-2';
import styled from 'styled-components';
import { useAppSelector } from '../app/store.ts';
import { useThemeColour } from '../figures/Bars.tsx';
import { Section } from '../figures/Section.tsx';
import { selectPlan, selectQuilt } from '../quilt/selectors.ts';

Chart.register(BarController, BarElement, CategoryScale, LinearScale, Tooltip);

const Frame = styled.div<{ $rows: number }>`
  height: ${({ $rows }) => 34 * $rows + 60}px;
`;
const Words = styled.ul`
  font-size: 13px;
  color: var(--soft);
`;

/** How much of each cloth goes into what, and what each costs: a bar a cloth, the same in words below. */
export function ClothChart() {
  const quilt = useAppSelector(selectQuilt);
  const { unit } = useAppSelector(selectPlan);
  const soft = useThemeColour('--soft');
  const cloths = useMemo(() => quilt.fabrics.map((cut) => ({ cut, uses: usesOf(cut) })), [quilt.fabrics]);
  const areaUnit = unit === 'in' ? 'square yards' : 'square metres';
  const whole = unit === 'in' ? 36 * 36 : 10_000;
  const most = Math.max(0, ...cloths.map(({ uses }) => uses.length));
  if (cloths.length === 0) return null;
  return (
    <Section title="What the cloth goes into">
      <Frame $rows={cloths.length}>
        <Bar
          role="img"
          aria-label={`Cloth by use, in ${areaUnit}; the list below says the same`}
          data={{
            labels: cloths.map(({ cut }) => cut.fabric.name),
            datasets: Array.from({ length: most }, (_, i) => ({
              data: cloths.map(({ uses }) => (uses[i]?.area ?? 0) / whole),
              backgroundColor: cloths.map(({ cut }) => cut.fabric.colour),
              // Lighter by turns, so that uses are told apart on one cloth.
              borderColor: soft,
              borderWidth: 1,
              label: String(i),
            })),
          }}
          options={{
            indexAxis: 'y',
            animation: false,
            maintainAspectRatio: false,
            scales: {
              x: {
                stacked: true,
                ticks: { color: soft },
                title: { display: true, text: areaUnit, color: soft },
              },
              y: { stacked: true, ticks: { color: soft } },
            },
            plugins: {
              legend: { display: false },
              tooltip: {
                callbacks: {
                  label: ({ dataIndex, datasetIndex, parsed }) =>
                    `${cloths[dataIndex]?.uses[datasetIndex]?.name ?? ''} ${(parsed.x ?? 0).toFixed(2)}`,
                },
              },
            },
          }}
        />
      </Frame>
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
