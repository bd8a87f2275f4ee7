import { type Forecast, type LeftThen, sayMinutes } from '@lattice/core';
import {
  CategoryScale,
  Chart,
  Filler,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
} from 'chart.js';
import { Line } from 'react-chartjs-2';
import { useThemeColours } from '../../rooms/charts/useThemeColours.ts';
import { sayDate } from '../../rooms/journal/useJournal.ts';

Chart.register(CategoryScale, Filler, LinearScale, LineController, LineElement, PointElement, Tooltip);

/** Work that was left and that will be: what was, then the middle of all tellings with one in ten either way. */
export function WorkLeftChart({
  forecast: { burn },
  back,
}: {
  forecast: Forecast;
  back: readonly LeftThen[];
}) {
  const {
    soft,
    chalk,
    thread,
    'chalk-wash': wash,
  } = useThemeColours('soft', 'chalk', 'thread', 'chalk-wash');
  const past = back.filter(({ date }) => date < (burn[0]?.date ?? ''));
  const labels = [...past.map(({ date }) => date), ...burn.map(({ date }) => date)].map(sayDate);
  const hours = (minutes: number) => Math.round(minutes / 6) / 10;
  const later = (at: 0 | 1 | 2) => [...past.map(() => null), ...burn.map(({ left }) => hours(left[at]))];
  const end = burn.findIndex(({ left }) => left[1] < 1);
  const says = `${sayMinutes(burn[0]!.left[1])} now${end < 0 ? '' : `, none by about ${sayDate(burn[end]!.date)}`}`;
  return (
    <Line
      role="img"
      aria-label={`Work left: ${says}`}
      data={{
        labels,
        datasets: [
          {
            data: [...past.map(({ minutes }) => hours(minutes)), hours(burn[0]!.left[1])],
            borderColor: thread,
            pointRadius: 2,
            borderWidth: 2,
          },
          { data: later(2), borderColor: 'transparent', pointRadius: 0, fill: '+1', backgroundColor: wash },
          { data: later(0), borderColor: 'transparent', pointRadius: 0 },
          { data: later(1), borderColor: chalk, borderDash: [6, 4], pointRadius: 0, borderWidth: 2 },
        ],
      }}
      options={{
        animation: false,
        maintainAspectRatio: false,
        scales: {
          x: { ticks: { color: soft, maxTicksLimit: 10, maxRotation: 0 } },
          y: {
            beginAtZero: true,
            ticks: { color: soft },
            title: { display: true, text: 'hours left', color: soft },
          },
        },
        plugins: { legend: { display: false }, tooltip: { enabled: true } },
      }}
    />
  );
}
