import { seamsAlong, formatFine, formatWithUnit, fromInches, type RowSpread, type Unit } from '@lattice/core';
import { useEffect, useMemo, useState } from 'react';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { selectPlan } from '../../state/selectors.ts';
import type { ChanceJob } from '../../rooms/workers/chance.worker.ts';

const Spread = styled.div`
  margin-top: 10px;
  font-size: var(--size-note);
  .rows {
    display: block;
    width: 100%;
    height: 64px;
    margin: 6px 0 2px;
  }
  .rows rect {
    fill: var(--soft);
  }
  .rows rect[data-in] {
    fill: var(--good);
  }
  .axis {
    display: flex;
    justify-content: space-between;
    color: var(--soft);
  }
`;

/** How far off a hand is, as it is chosen: parts of an inch, or of a millimetre. */
const HANDS: Readonly<Record<Unit, readonly { id: string; name: string }[]>> = {
  in: [
    { id: '0', name: 'Nothing' },
    ...[1, 2, 3, 4].map((n) => ({
      id: String(n / 64),
      name: n % 2 === 0 ? formatFine(n / 64, 'in') : `${n}/64″`,
    })),
  ],
  cm: [0, 0.04, 0.08, 0.12, 0.16].map((v) => ({ id: String(v), name: v === 0 ? 'Nothing' : `${v * 10} mm` })),
};

/** How rows come out when every cut and every seam is a little off: many are sewn in a worker. */
export function Chance({ fat }: { fat: number }) {
  const plan = useAppSelector(selectPlan);
  const { unit } = plan;
  const [cutting, setCutting] = useState(HANDS[unit][2]!.id);
  const [sewing, setSewing] = useState(HANDS[unit][1]!.id);
  const tolerance = fromInches(1 / 8, unit);
  const { square, slanting } = useMemo(() => seamsAlong(plan, 'across'), [plan]);
  const seams = square + slanting;
  const spread = useChance({
    scatter: { pieces: seams + 1, seams, slanting, cutting: Number(cutting), sewing: Number(sewing), fat },
    tolerance,
  });
  const show = (v: number) => formatWithUnit(Math.abs(v), unit);
  const off = (v: number) => `${show(v)} ${v < 0 ? 'narrower' : 'wider'}`;
  return (
    <Spread>
      <ChoiceField
        label="A cut is off by about"
        labelled
        value={cutting}
        choices={HANDS[unit]}
        onChange={setCutting}
      />
      <ChoiceField
        label="A seam is off by about"
        labelled
        value={sewing}
        choices={HANDS[unit]}
        onChange={setSewing}
      />
      {spread && (
        <>
          <p role="status">
            <strong>{Math.round(100 * spread.within)} rows in a hundred</strong> match their sash within{' '}
            <Lengths text={show(tolerance)} />. Nine in ten lie between{' '}
            <Lengths text={`${off(spread.low)} and ${off(spread.high)}`} />.
          </p>
          <Histogram spread={spread} tolerance={tolerance} />
          <p className="axis">
            <span>
              <Lengths text={off(spread.classes.from)} />
            </span>
            <span>
              <Lengths text={off(spread.classes.from + spread.classes.step * spread.classes.counts.length)} />
            </span>
          </p>
        </>
      )}
    </Spread>
  );
}

function Histogram({
  spread: {
    classes: { from, step, counts },
  },
  tolerance,
}: {
  spread: RowSpread;
  tolerance: number;
}) {
  const most = Math.max(...counts);
  return (
    <svg
      className="rows"
      viewBox={`0 0 ${counts.length} 20`}
      preserveAspectRatio="none"
      role="img"
      aria-label="How many rows come out how wide"
    >
      {counts.map((count, i) => (
        <rect
          key={i}
          x={i + 0.08}
          width={0.84}
          y={20 - (20 * count) / most}
          height={(20 * count) / most}
          data-in={Math.abs(from + (i + 0.5) * step) <= tolerance || undefined}
        />
      ))}
    </svg>
  );
}

/** The answer of the worker to the latest question; null until there is one. */
function useChance(job: ChanceJob): RowSpread | null {
  const [spread, setSpread] = useState<RowSpread | null>(null);
  const asked = JSON.stringify(job);
  useEffect(() => {
    const worker = new Worker(new URL('../../rooms/workers/chance.worker.ts', import.meta.url), {
      type: 'module',
    });
    worker.onmessage = ({ data }: MessageEvent<RowSpread>) => setSpread(data);
    worker.postMessage(JSON.parse(asked));
    return () => worker.terminate();
  }, [asked]);
  return spread;
}
