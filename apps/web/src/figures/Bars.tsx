import { BarController, BarElement, CategoryScale, Chart, LinearScale, Tooltip } from 'chart.js';
import { useMemo } from 'react';
import { Bar } from 'react-chartjs-2';
import styled from 'styled-components';
import { useAppSelector } from '../app/store.ts';

Chart.register(BarController, BarElement, CategoryScale, LinearScale, Tooltip);

const Frame = styled.div<{ $rows: number }>`
  height: ${({ $rows }) => 30 * $rows + 52}px;
`;

/** One bar: what, how much, and how that is said. */
export interface OneBar {
  readonly name: string;
  readonly value: number;
  readonly says: string;
  readonly colour?: string;
}

/** A colour of the theme as it is now, for what is drawn on a canvas. */
export function useThemeColour(name: string): string {
  const theme = useAppSelector((s) => s.view.theme);
  return useMemo(
    () => [theme, getComputedStyle(document.documentElement).getPropertyValue(name).trim()][1]!,
    [theme, name],
  );
}

/** Amounts side by side, a bar each, lying. What it says in words stands beside it wherever it is used. */
export function Bars({ label, unit, bars }: { label: string; unit: string; bars: readonly OneBar[] }) {
  const soft = useThemeColour('--soft');
  const chalk = useThemeColour('--chalk');
  return (
    <Frame $rows={bars.length}>
      <Bar
        role="img"
        aria-label={`${label}: ${bars.map(({ name, says }) => `${name} ${says}`).join(', ')}`}
        data={{
          labels: bars.map(({ name }) => name),
          datasets: [
            {
              data: bars.map(({ value }) => value),
              backgroundColor: bars.map(({ colour }) => colour ?? chalk),
              borderColor: soft,
              borderWidth: 1,
              maxBarThickness: 22,
            },
          ],
        }}
        options={{
          indexAxis: 'y',
          animation: false,
          maintainAspectRatio: false,
          scales: {
            x: {
              beginAtZero: true,
              ticks: { color: soft },
              title: { display: true, text: unit, color: soft },
            },
            y: { ticks: { color: soft, autoSkip: false } },
          },
          plugins: {
            legend: { display: false },
            tooltip: { callbacks: { label: ({ dataIndex }) => bars[dataIndex]?.says ?? '' } },
          },
        }}
      />
    </Frame>
  );
}
