import { formatSize, type FromStashWay, type StashPiece } from '@lattice/core';
import { useEffect, useMemo, useState } from 'react';
import styled from 'styled-components';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { Thumbnail } from '../drawing/Thumbnail.tsx';
import { Section } from '../figures/Section.tsx';
import { selectPlan } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';
import { moveStash, selectStash } from '../stash/stash.ts';
import type { StashJob } from '../workers/from-stash.worker.ts';

const Ways = styled.ul`
  display: grid;
  gap: 12px;
  margin-top: 8px;
  > li {
    display: grid;
    grid-template-columns: 96px minmax(0, 1fr);
    grid-template-rows: auto auto 1fr;
    gap: 4px 14px;
    padding: 10px;
    border: 1px solid var(--line);
    border-radius: 12px;
    font-size: var(--size-text);
  }
  .picture {
    grid-row: 1 / span 3;
    height: 110px;
  }
  button {
    justify-self: start;
    align-self: start;
  }
  h4 {
    font-size: var(--size-read);
  }
  p {
    font-size: var(--size-note);
    color: var(--soft);
  }
`;

/** "What can I make from this stash?": this quilt and simpler ones, each with the pieces that are enough for its cloths. */
export function StashCould() {
  const plan = useAppSelector(selectPlan);
  const id = useAppSelector((s) => s.saving.id)!;
  const stash = useAppSelector((s) => selectStash(s, plan.unit));
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const [asked, setAsked] = useState(false);
  const ways = useWays(plan, stash, asked);
  const free = useMemo(() => stash.some((piece) => piece.free > 0), [stash]);
  if (!free) return null;
  const take = async (way: FromStashWay) => {
    edit(() => way.plan);
    for (const { piece, cloth, count } of way.matched)
      await dispatch(moveStash({ piece: piece.id, count, to: 'aside', quilt: id, cloth }));
    setAsked(false);
  };
  return (
    <Section
      title="What can the stash make?"
      action={
        <Button look="quiet" aria-expanded={asked} onPress={() => setAsked(!asked)}>
          {asked ? 'Close' : 'See what'}
        </Button>
      }
    >
      {asked && ways === 'looking' && <p role="status">Trying pieces on cloths…</p>}
      {asked && ways === 'failed' && <p role="alert">The search stopped by itself. Ask again.</p>}
      {asked && Array.isArray(ways) && (
        <>
          {ways.length === 0 && (
            <p role="status">Nothing in the stash is enough for all of any one cloth of this quilt.</p>
          )}
          <Ways aria-label="What the stash can make">
            {(ways as readonly FromStashWay[]).map((way) => (
              <li key={way.id}>
                <div className="picture">
                  <Thumbnail plan={way.plan} />
                </div>
                <h4>{way.title}</h4>
                <p>
                  <Lengths text={says(way)} />
                </p>
                <Button aria-label={`Use this way: ${way.title}`} onPress={() => void take(way)}>
                  Use this way
                </Button>
              </li>
            ))}
          </Ways>
        </>
      )}
    </Section>
  );
}

/** "Sash from 2 × Oat linen; border from Harbour. To buy: backing" */
function says({ plan, matched, toBuy }: FromStashWay): string {
  const name = (cloth: string) => plan.fabrics.find(({ id }) => id === cloth)!.name;
  const from = matched.map(
    ({ cloth, piece, count }) =>
      `${name(cloth)} from ${count > 1 ? `${count} × ` : ''}${piece.name}, ${formatSize(piece.width, piece.length, plan.unit)}`,
  );
  const buy = toBuy.length === 0 ? 'Nothing to buy.' : `To buy: ${toBuy.map((f) => f.name).join(', ')}.`;
  return `${from.join('; ')}. ${buy}`;
}

/** Asked of a worker: trying pieces on cloths is a cutting plan each. */
function useWays(
  plan: StashJob['plan'],
  stash: readonly StashPiece[],
  asked: boolean,
): readonly FromStashWay[] | 'looking' | 'failed' {
  const [heard, setHeard] = useState<{
    readonly job: StashJob;
    readonly ways: readonly FromStashWay[] | 'failed';
  } | null>(null);
  const job = useMemo<StashJob>(() => ({ plan, stash }), [plan, stash]);
  useEffect(() => {
    if (!asked) return;
    const worker = new Worker(new URL('../workers/from-stash.worker.ts', import.meta.url), {
      type: 'module',
    });
    worker.onmessage = ({ data }: MessageEvent<FromStashWay[]>) => setHeard({ job, ways: data });
    worker.onerror = () => setHeard({ job, ways: 'failed' });
    worker.postMessage(job);
    return () => worker.terminate();
  }, [asked, job]);
  // An answer to what is no longer asked is none.
  return heard?.job === job ? heard.ways : 'looking';
}
