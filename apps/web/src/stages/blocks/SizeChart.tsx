import {
  type CutTo,
  formatWithUnit,
  measureOf,
  type PileBlock,
  rulerStep,
  type Unit,
  type Verdict,
  VERDICT_NAMES,
  verdictOn,
  near,
} from '@lattice/core';
import {
  BarController,
  BarElement,
  Chart,
  type ChartArea,
  Legend,
  LinearScale,
  type Plugin,
  Tooltip,
} from 'chart.js';
import { useMemo, useRef, useState } from 'react';
import { useMove } from 'react-aria';
import { Bar } from 'react-chartjs-2';
import styled from 'styled-components';
import { useThemeColours } from '../../rooms/charts/useThemeColours.ts';
import { Lengths } from '../../design/Lengths.tsx';
import { touch } from '../../design/media.ts';

Chart.register(BarController, BarElement, LinearScale, Tooltip, Legend);

const Cut = styled.div`
  position: absolute;
  width: 24px;
  margin-left: -12px;
  cursor: ew-resize;
  touch-action: none;
  &::before {
    content: '';
    position: absolute;
    inset: 0 auto 0 11px;
    border-left: 2px dashed var(--thread);
  }
  &::after {
    content: '';
    position: absolute;
    top: -4px;
    left: 4px;
    width: 16px;
    height: 16px;
    border-radius: 50%;
    background: var(--thread);
  }
  .size {
    position: absolute;
    top: -26px;
    left: 50%;
    padding: 1px 8px;
    border-radius: 7px;
    background: var(--thread);
    color: var(--on-thread);
    font-size: var(--size-note);
    font-weight: 650;
    white-space: nowrap;
    transform: translateX(-50%);
  }
  ${touch} {
    width: var(--finger);
    margin-left: -22px;
    &::before {
      left: 21px;
    }
    &::after {
      left: 14px;
    }
  }
`;

/** Drawn in this order, from the left of the cut line to the right. */
const KINDS = ['small', 'crooked', 'ease', 'fine', 'trim'] as const satisfies readonly Verdict['kind'][];

interface SizeChartProps {
  readonly pile: readonly PileBlock[];
  /** Size the blocks are meant to be, and the size all are cut to. */
  readonly meant: CutTo;
  readonly cut: CutTo;
  readonly unit: Unit;
  readonly seam: number;
  /** Moves the cut line to another width. */
  readonly onCut: (width: number) => void;
}

/**
 * How many blocks measure what, by how much they differ from what was meant (the lesser of their two
 * ways), coloured by what is to be done with them; the cut line can be dragged or moved with the arrow keys.
 */
export function SizeChart({ pile, meant, cut, unit, seam, onCut }: SizeChartProps) {
  const [area, setArea] = useState<ChartArea | null>(null);
  const step = rulerStep(unit) === 0.5 ? 0.2 : 1 / 16;
  const off = (b: PileBlock): number | null => {
    const m = measureOf(b);
    return m && Math.round(Math.min(m.leastWidth - meant.width, m.leastHeight - meant.height) / step) * step;
  };
  const by = cut.width - meant.width;
  const offs = pile.flatMap((b) => off(b) ?? []);
  // Whole marks either way, so that what was meant has a mark of its own.
  const mark = unit === 'in' ? 1 / 4 : 0.5;
  const reach =
    Math.ceil((Math.max(unit === 'in' ? 0.5 : 1.2, ...offs.map(Math.abs), Math.abs(by)) + step) / mark) *
    mark;
  const { wrong, soft, brass, good, chalk, line } = useThemeColours(
    'wrong',
    'soft',
    'brass',
    'good',
    'chalk',
    'line',
  );
  const colours = { small: wrong, crooked: soft, ease: brass, fine: good, trim: chalk };
  const counted = KINDS.map((kind) => {
    const counts = new Map<number, number>();
    for (const b of pile) {
      const at = off(b);
      if (at !== null && verdictOn(b, cut, unit, seam).kind === kind)
        counts.set(at, (counts.get(at) ?? 0) + 1);
    }
    return { kind, counts };
  });
  // The plugin outlives renders; it only ever tells how large the plot is.
  const measure = useMemo<Plugin<'bar'>>(
    () => ({
      id: 'plot-area',
      afterLayout: ({ chartArea }) =>
        setArea((had) =>
          had &&
          had.left === chartArea.left &&
          had.right === chartArea.right &&
          had.top === chartArea.top &&
          had.bottom === chartArea.bottom
            ? had
            : { ...chartArea },
        ),
    }),
    [],
  );
  const heading = (value: number) =>
    near(value, 0) ? 'as meant' : `${value > 0 ? '+' : '−'}${formatWithUnit(Math.abs(value), unit)}`;
  const tall = Math.max(1, ...offs.map((o) => offs.filter((other) => near(other, o)).length));
  return (
    <>
      <Bar
        role="img"
        aria-label={`Sizes of ${offs.length} measured blocks: ${counted.map(({ kind, counts }) => `${[...counts.values()].reduce((a, b) => a + b, 0)} ${VERDICT_NAMES[kind].toLowerCase()}`).join(', ')}`}
        plugins={[measure]}
        data={{
          datasets: counted.map(({ kind, counts }) => ({
            label: VERDICT_NAMES[kind],
            data: [...counts].map(([x, y]) => ({ x, y })),
            backgroundColor: colours[kind],
            stack: 'all',
            barThickness: 14,
            borderRadius: 2,
          })),
        }}
        options={{
          animation: false,
          maintainAspectRatio: false,
          layout: { padding: { top: 24 } },
          scales: {
            x: {
              type: 'linear',
              min: -reach,
              max: reach,
              grid: { color: line },
              ticks: { color: soft, stepSize: mark, callback: (value) => heading(Number(value)) },
              stacked: true,
            },
            y: {
              stacked: true,
              max: tall + 1,
              grid: { display: false },
              ticks: { color: soft, precision: 0 },
              title: { display: true, text: 'Blocks', color: soft },
            },
          },
          plugins: {
            legend: { position: 'bottom', labels: { boxWidth: 12, color: soft } },
            tooltip: { callbacks: { title: ([item]) => heading(item!.parsed.x ?? 0) } },
          },
        }}
      />
      {area && <CutLine {...{ area, by, reach, unit, cut }} onCut={(to) => onCut(meant.width + to)} />}
    </>
  );
}

function CutLine({
  area,
  by,
  reach,
  unit,
  cut,
  onCut,
}: {
  area: ChartArea;
  by: number;
  reach: number;
  unit: Unit;
  cut: CutTo;
  onCut: (by: number) => void;
}) {
  const step = unit === 'in' ? 1 / 8 : 0.1;
  const perPixel = (2 * reach) / (area.right - area.left);
  const drag = useRef({ start: 0, travelled: 0, perPixel: 0 });
  const to = (value: number) => onCut(Math.max(-reach, Math.min(reach, Math.round(value / step) * step)));
  const { moveProps } = useMove({
    onMoveStart: () => {
      drag.current = { start: by, travelled: 0, perPixel };
    },
    onMove: ({ deltaX, deltaY, pointerType }) => {
      if (pointerType === 'keyboard') return to(by + Math.sign(deltaX - deltaY) * step);
      drag.current.travelled += deltaX;
      to(drag.current.start + drag.current.travelled * drag.current.perPixel);
    },
  });
  return (
    <Cut
      {...moveProps}
      role="slider"
      tabIndex={0}
      aria-label="Cut all to"
      aria-valuenow={cut.width}
      aria-valuetext={formatWithUnit(cut.width, unit)}
      style={{ left: area.left + (by + reach) / perPixel, top: area.top, height: area.bottom - area.top }}
    >
      <span className="size" aria-hidden>
        <Lengths text={`cut to ${formatWithUnit(cut.width, unit)}`} />
      </span>
    </Cut>
  );
}
