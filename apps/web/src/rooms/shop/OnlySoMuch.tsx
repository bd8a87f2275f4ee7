import {
  changesBetween,
  computeQuilt,
  type Fabric,
  formatWithUnit,
  isEnough,
  type WayToUseLess,
  type Plan,
} from '@lattice/core';
import { useEffect, useMemo, useState } from 'react';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { useSheet } from '../../browser/useInAddress.ts';
import { Button } from '../../design/controls/Button.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { Sheet } from '../../design/Sheet.tsx';
import { Thumbnail } from '../drawing/Thumbnail.tsx';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';
import type { ShortJob } from '../workers/short.worker.ts';

const Ways = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: 14px;
  margin-top: 14px;
  li {
    display: grid;
    grid-template-rows: 150px auto auto 1fr;
    gap: 6px;
    padding: 12px;
    border: 1px solid var(--line);
    border-radius: 12px;
    font-size: var(--size-text);
  }
  h3 {
    font-size: var(--size-read);
  }
  p {
    color: var(--soft);
    font-size: var(--size-note);
  }
  button {
    align-self: end;
  }
`;
/** What the worker said, and to which question. */
interface Heard {
  readonly plan: Plan;
  readonly length: number;
  readonly ways: readonly WayToUseLess[] | 'failed';
}

/** So many changes are told for each way; the rest is in the lists. */
const TOLD = 4;

/** "I have only so much of this": ways out, each drawn, with what it changes. */
export function OnlySoMuch({ fabric, needed }: { fabric: Fabric; needed: number }) {
  const { open, show, close } = useSheet('only');
  return (
    <>
      <Button look="quiet" onPress={() => show(fabric.id)}>
        I have only…
      </Button>
      {open === fabric.id && <Asking fabric={fabric} needed={needed} onClose={close} />}
    </>
  );
}

function Asking({ fabric, needed, onClose }: { fabric: Fabric; needed: number; onClose: () => void }) {
  const plan = useAppSelector(selectPlan);
  const quilt = useAppSelector(selectQuilt);
  const { unit } = plan;
  const [length, setLength] = useState(Math.max(1, Math.floor(needed * 0.9)));
  const [heard, setHeard] = useState<Heard | null>(null);
  const edit = useEdit();
  const enough = isEnough(plan, quilt, { cloth: fabric.id, length });
  useEffect(() => {
    if (enough) return;
    const worker = new Worker(new URL('../workers/short.worker.ts', import.meta.url), { type: 'module' });
    const hear = (ways: Heard['ways']) => setHeard({ plan, length, ways });
    worker.onmessage = ({ data }: MessageEvent<WayToUseLess[]>) => hear(data);
    worker.onerror = () => hear('failed');
    worker.postMessage({ plan, cloth: fabric.id, length } satisfies ShortJob);
    return () => worker.terminate();
  }, [plan, fabric.id, length, enough]);
  // An answer to what is no longer asked is none.
  const ways = heard?.plan === plan && heard.length === length ? heard.ways : 'looking';
  return (
    <Sheet title={`Only so much of ${fabric.name}`} width={820} isOpen onClose={onClose}>
      <LengthField
        label="There is"
        value={length}
        unit={unit}
        onCommit={(next) => {
          setLength(next);
          return null;
        }}
      />
      <p role="status">
        <Lengths
          text={
            enough
              ? `That is enough: ${formatWithUnit(needed, unit)} is needed.`
              : ways === 'looking'
                ? 'Looking for ways out…'
                : ways === 'failed'
                  ? 'The search stopped by itself. Try another length.'
                  : ways.length === 0
                    ? 'Nothing smaller makes do with so little: choose another cloth for it.'
                    : 'What changes the quilt least comes first.'
          }
        />
      </p>
      {!enough && Array.isArray(ways) && (
        <Ways aria-label="Ways to make do">
          {(ways as readonly WayToUseLess[]).map((way) => (
            <Way
              key={way.id}
              way={way}
              onTake={() => {
                edit(() => way.plan);
                onClose();
              }}
            />
          ))}
        </Ways>
      )}
    </Sheet>
  );
}

function Way({ way, onTake }: { way: WayToUseLess; onTake: () => void }) {
  const plan = useAppSelector(selectPlan);
  const quilt = useAppSelector(selectQuilt);
  const changes = useMemo(
    () => changesBetween(quilt, computeQuilt(way.plan), plan.unit),
    [quilt, way.plan, plan.unit],
  );
  return (
    <li>
      <Thumbnail plan={way.plan} />
      <h3>
        <Lengths text={way.title} />
      </h3>
      <p>
        <Lengths text={`${way.says}.`} />{' '}
        <Lengths
          text={changes
            .slice(0, TOLD)
            .map(({ what, before, after }) => `${what} ${before} → ${after}`)
            .join('; ')}
        />
      </p>
      <Button onPress={onTake}>Use this way</Button>
    </li>
  );
}
