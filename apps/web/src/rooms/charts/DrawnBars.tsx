import { BarController, BarElement, CategoryScale, Chart, LinearScale, Tooltip } from 'chart.js';
import { Bar } from 'react-chartjs-2';
import type { OneBar } from './bar.ts';
import { useThemeColours } from './useThemeColours.ts';

Chart.register(BarController, BarElement, CategoryScale, LinearScale, Tooltip);

/** The bars themselves; parts of one are told apart by a line between them. */
export function DrawnBars({
  label,
  unit,
  bars,
}: {
  readonly label: string;
  readonly unit: string;
  readonly bars: readonly OneBar[];
}) {
  const { soft, chalk } = useThemeColours('soft', 'chalk');
  const most = Math.max(...bars.map(({ parts }) => parts.length));
  return (
    <Bar
      role="img"
      aria-label={`${label}: ${bars.map(({ name, parts }) => `${name} ${parts.map(({ says }) => says).join(', ')}`).join('; ')}`}
      data={{
        labels: bars.map(({ name }) => name),
        datasets: Array.from({ length: most }, (_, i) => ({
          data: bars.map(({ parts }) => parts[i]?.value ?? 0),
          backgroundColor: bars.map(({ parts }) => parts[i]?.colour ?? chalk),
          borderColor: soft,
          borderWidth: 1,
          maxBarThickness: 22,
        })),
      }}
      options={{
        indexAxis: 'y',
        animation: false,
        maintainAspectRatio: false,
        scales: {
          x: {
            beginAtZero: true,
            stacked: true,
            ticks: { color: soft },
            title: { display: true, text: unit, color: soft },
          },
          y: { stacked: true, ticks: { color: soft, autoSkip: false } },
        },
        plugins: {
          legend: { display: false },
          tooltip: {
            callbacks: {
              label: ({ dataIndex, datasetIndex }) => bars[dataIndex]?.parts[datasetIndex]?.says ?? '',
            },
          },
        },
      }}
    />
  );
}
