import type { Fit } from '@lattice/core';
import { Chart, LinearScale, PointElement, ScatterController, Tooltip } from 'chart.js';
import { Scatter } from 'react-chartjs-2';
import { useThemeColours } from './useThemeColours.ts';

Chart.register(ScatterController, LinearScale, PointElement, Tooltip);

/** Inches missed (or, without a target, square yards short of the largest) against square yards of cloth: each point a design, which pressing picks. The list below says the same in words. */
export function TradeOff({
  fits,
  aimed,
  chosen,
  onChoose,
}: {
  fits: readonly Fit[];
  aimed: boolean;
  chosen: number;
  onChoose: (index: number) => void;
}) {
  const colours = useThemeColours('chalk', 'thread', 'soft', 'line');
  const axis = (text: string) => ({
    title: { display: true, text, color: colours.soft },
    ticks: { color: colours.soft },
    grid: { color: colours.line },
    beginAtZero: true,
  });
  return (
    <Scatter
      role="img"
      aria-label={`${fits.length} designs: how far each misses the ${aimed ? 'target' : 'largest'} against the cloth it takes`}
      data={{
        datasets: [
          {
            data: fits.map((fit) => ({ x: fit.costs.size, y: fit.costs.fabric })),
            pointRadius: fits.map((_, i) => (i === chosen ? 9 : 6)),
            pointStyle: fits.map((_, i) => (i === chosen ? 'rectRot' : 'circle')),
            pointHitRadius: 14,
            backgroundColor: fits.map((_, i) => (i === chosen ? colours.thread : colours.chalk)),
          },
        ],
      }}
      options={{
        animation: false,
        maintainAspectRatio: false,
        scales: {
          x: axis(aimed ? 'Inches off the target, both ways added' : 'Square yards smaller than the largest'),
          y: axis('Cloth, square yards'),
        },
        // There is one kind of point: the axes say what it is.
        plugins: {
          legend: { display: false },
          tooltip: { callbacks: { label: ({ dataIndex }) => `Design ${dataIndex + 1}` } },
        },
        onClick: (_, [point]) => point && onChoose(point.index),
      }}
    />
  );
}
