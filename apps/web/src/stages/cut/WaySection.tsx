import {
  cutLengthwiseInstead,
  cuttingJob,
  cuttingWay,
  formatWithUnit,
  longer,
  numberOf,
  type TableCloth,
  type Unit,
} from '@lattice/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import styled from 'styled-components';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { Side, SideBySide } from '../../design/controls/SideBySide.ts';
import { Lengths } from '../../design/Lengths.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { type ChosenWay, wayChosen, wayKey } from '../../state/viewSlice.ts';
import { useEdit } from '../../state/useEdit.ts';
import type { CuttingNews } from '../../rooms/workers/cutting.worker.ts';

const Search = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 10px;
  margin-top: 8px;
  font-size: var(--size-note);
  color: var(--soft);
  p {
    flex: 1 1 180px;
  }
`;

/** Thrifty or simple, side by side, and a longer search; for as long as the cloth is not begun. */
export function WaySection({ cloth, table, way }: { cloth: string; table: TableCloth; way: ChosenWay }) {
  const plan = useAppSelector(selectPlan);
  const quilt = useAppSelector(selectQuilt);
  const id = useAppSelector((s) => s.saving.id)!;
  const dispatch = useAppDispatch();
  const { unit } = plan;
  const [thrifty, simple] = useMemo(() => {
    const job = cuttingJob(plan, quilt, cloth);
    return [cuttingWay(job, 'thrifty'), cuttingWay(job, 'simple')];
  }, [plan, quilt, cloth]);
  const along = useMemo(() => cutLengthwiseInstead(plan, quilt, cloth), [plan, quilt, cloth]);
  const edit = useEdit();
  const choose = (next: ChosenWay) => dispatch(wayChosen({ of: wayKey(id, cloth), way: next }));
  const show = (v: number) => formatWithUnit(v, unit);
  const found = way.found !== null && way.found.wants === table.plan.wants ? way.found : null;
  const length = found ? table.placed.needed.value : thrifty.placed.needed.value;
  const saves = simple.placed.needed.value - length;
  return (
    <Section title="Which way to cut it">
      <SideBySide
        aria-label="Which way to cut it"
        value={way.manner}
        onChange={(manner) => choose({ ...way, manner: manner as ChosenWay['manner'] })}
      >
        <Side value="thrifty">
          <strong>Thrifty</strong>
          <Lengths text={`${show(length)} of cloth`} />
          <span>{numberOf(thrifty.settings, 'setting')} of the ruler</span>
          <span>{numberOf(thrifty.cuts, 'cut')}</span>
        </Side>
        <Side value="simple">
          <strong>Simple</strong>
          <Lengths text={`${show(simple.placed.needed.value)} of cloth`} />
          <span>{numberOf(simple.settings, 'setting')} of the ruler</span>
          <span>{numberOf(simple.cuts, 'cut')}</span>
        </Side>
      </SideBySide>
      <Search>
        <p>
          <Lengths
            text={
              longer(saves, 0)
                ? `Thrifty saves ${show(saves)} of cloth and takes ${moreOf(thrifty.settings - simple.settings)}.`
                : 'Thrifty saves nothing here.'
            }
          />{' '}
          <Lengths text={`Nothing takes less than ${show(table.placed.bound)}.`} />
        </p>
      </Search>
      {along && (
        <Search>
          <p>
            <Lengths text={alongSays(along, unit)} />
          </p>
          <Button onPress={() => edit(() => along.plan)}>Cut them along the selvage</Button>
        </Search>
      )}
      {way.manner === 'thrifty' && longer(length, table.placed.bound) && (
        <Longer
          cloth={cloth}
          length={length}
          onFound={(sheet) => choose({ manner: 'thrifty', found: sheet })}
        />
      )}
    </Section>
  );
}

/** What cutting borders along the selvage would do, in words. */
function alongSays({ joins, saves }: { joins: number; saves: number }, unit: Unit): string {
  const cloth =
    saves > 0
      ? `and ${formatWithUnit(saves, unit)} less`
      : saves === 0
        ? 'and no more cloth'
        : `but ${formatWithUnit(-saves, unit)} more`;
  return `Cut along the selvage, its borders need no joins (${joins} now) ${cloth}.`;
}

const moreOf = (settings: number): string =>
  settings > 0 ? `${numberOf(settings, 'setting')} of the ruler more` : 'no more settings of the ruler';

/** The longer search: how far it is, what it saves, and how to stop it. */
function Longer({
  cloth,
  length,
  onFound,
}: {
  cloth: string;
  length: number;
  onFound: (found: CuttingNews['found']) => void;
}) {
  const plan = useAppSelector(selectPlan);
  const [news, setNews] = useState<CuttingNews | null>(null);
  const [state, setState] = useState<'idle' | 'looking' | 'failed'>('idle');
  const worker = useRef<Worker | null>(null);
  const show = (v: number) => formatWithUnit(v, plan.unit);
  const stop = () => {
    worker.current?.terminate();
    worker.current = null;
    setState('idle');
  };
  useEffect(() => () => worker.current?.terminate(), []);
  const start = () => {
    stop();
    const started = new Worker(new URL('../../rooms/workers/cutting.worker.ts', import.meta.url), {
      type: 'module',
    });
    worker.current = started;
    started.onmessage = ({ data }: MessageEvent<CuttingNews>) => {
      setNews(data);
      if (data.finished) stop();
    };
    started.onerror = () => setState('failed');
    started.postMessage({ plan, cloth });
    setNews(null);
    setState('looking');
  };
  const saved = news ? length - news.length : 0;
  return (
    <Search>
      <p role="status">
        {state === 'failed' ? (
          'The search stopped by itself. What was found at once still holds.'
        ) : news ? (
          <Lengths
            text={
              longer(saved, 0)
                ? `${show(news.length)} after ${Math.ceil(news.seconds)} s: ${show(saved)} less.`
                : `${state === 'looking' ? 'Nothing shorter yet' : 'Nothing shorter was found'}, ${Math.ceil(news.seconds)} s.`
            }
          />
        ) : (
          'A longer look may find a shorter way.'
        )}
      </p>
      {state === 'looking' ? (
        <Button onPress={stop}>Stop</Button>
      ) : (
        <Button onPress={start}>Look for a shorter way</Button>
      )}
      {news && longer(saved, 0) && (
        <Button
          look="main"
          onPress={() => {
            stop();
            onFound(news.found);
            setNews(null);
          }}
        >
          Cut it this way
        </Button>
      )}
    </Search>
  );
}
