import type { StoredQuilt } from '@lattice/contract';
import { lazy, Suspense, useCallback, useEffect, useRef, useState } from 'react';
import { Link, Navigate, useLocation, useParams } from 'react-router';
import styled from 'styled-components';
import type { ServerError } from '../../sync/api.ts';
import { DeferWhileDragging } from '../DeferWhileDragging.tsx';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { useAfterFirstPaint } from '../../browser/useAfterFirstPaint.ts';
import { HandInHand } from '../../rooms/beginning/HandInHand.tsx';
import { Answered } from '../../design/answered.ts';
import { Button } from '../../design/controls/Button.tsx';
import { Landmark } from '../../design/Landmark.tsx';
import type { Unreadable } from '../../rooms/mend/UnreadablePage.tsx';
import { Rail, RailToCome } from './Rail.tsx';
import { StagePaper, stageToPrint } from './StagePaper.tsx';
import { usePrinting } from '../../rooms/paper/usePrinting.ts';
import { RefusedNote } from './RefusedNote.tsx';
import { StageAtWork } from './StageAtWork.tsx';
import { openQuilt } from '../../sync/saving.ts';
import { TopBar, TopBarToCome } from './TopBar.tsx';
import { refusalAnswered } from '../../state/viewSlice.ts';
import { narrow, onPaper } from '../../design/media.ts';

const MendPage = lazy(async () => ({ default: (await import('../../rooms/mend/MendPage.tsx')).MendPage }));
const UnreadablePage = lazy(async () => ({
  default: (await import('../../rooms/mend/UnreadablePage.tsx')).UnreadablePage,
}));

const Page = styled.div`
  display: grid;
  grid-template: 52px minmax(0, 1fr) / 150px minmax(0, 1fr);
  grid-template-areas: 'top top' 'rail stage';
  height: 100dvh;
  > header {
    grid-area: top;
  }
  > nav {
    grid-area: rail;
  }
  > main {
    grid-area: stage;
    display: flex;
    flex-direction: column;
    min-width: 0;
    min-height: 0;
  }
  .stage {
    flex: 1;
    min-height: 0;
  }
  /* A stage hands on its lists; it is not itself printed. */
  .stage[data-printed] {
    display: none;
  }
  /* On paper only the stage. */
  ${onPaper} {
    display: block;
    height: auto;
    > header,
    > nav {
      display: none;
    }
    > main,
    .stage:not([data-printed]) {
      display: block;
    }
  }
  ${narrow} {
    grid-template: auto auto minmax(0, 1fr) / minmax(0, 1fr);
    grid-template-areas: 'top' 'rail' 'stage';
    height: auto;
    min-height: 100dvh;
  }
`;
const Waiting = styled.main`
  max-width: 460px;
  margin: 20vh auto;
  padding: 0 20px;
  h1 {
    font: 650 var(--size-head)/1.2 var(--name);
    margin-bottom: 8px;
  }
  .ways {
    display: flex;
    gap: 14px;
    align-items: center;
    margin-top: 16px;
  }
`;

/** One quilt: fetched, then the top bar and the rail round whichever stage is at work. */
export function QuiltPage() {
  const { id } = useParams() as { id: string };
  const { pathname } = useLocation();
  const dispatch = useAppDispatch();
  const opened = useAppSelector((s) => s.saving.id === id && s.plan.present !== null);
  const title = useAppSelector((s) => s.plan.present?.title);
  const [failure, setFailure] = useState<ServerError | null>(null);
  const [attempt, setAttempt] = useState(0);
  const printing = usePrinting() && stageToPrint(pathname) !== null;

  useEffect(() => {
    let current = true;
    dispatch(openQuilt(id)).then(
      () => current && setFailure(null),
      (error: ServerError) => current && setFailure(error),
    );
    return () => {
      current = false;
    };
  }, [dispatch, id, attempt]);
  useEffect(() => {
    document.title = title ? `${title} – Dapper Lattice` : 'Dapper Lattice';
  }, [title]);

  const again = () => {
    setFailure(null);
    setAttempt(attempt + 1);
  };
  if (failure?.code === 'to-mend')
    return (
      <Suspense>
        <MendPage quilt={failure.details as StoredQuilt} onMended={again} />
      </Suspense>
    );
  if (failure?.code === 'unreadable')
    return (
      <Suspense>
        <UnreadablePage quilt={failure.details as Unreadable} onMended={again} />
      </Suspense>
    );
  if (failure) {
    return (
      <Waiting>
        <h1>This quilt cannot be opened</h1>
        <p role="alert">{failure.message}</p>
        <div className="ways">
          <Button look="main" onPress={again}>
            Try again
          </Button>
          <Link to="/">Go to the shelf</Link>
        </div>
      </Waiting>
    );
  }
  if (!opened)
    return (
      <Waiting aria-busy>
        <p role="status">Unfolding the quilt…</p>
      </Waiting>
    );
  if (!/\/quilts\/[^/]+\/./.test(pathname)) return <Navigate to="setting" replace />;
  return <Opened printing={printing} />;
}

/** The quilt of the stage at work, and round it what follows its drawing. */
function Opened({ printing }: { printing: boolean }) {
  const follows = useAfterFirstPaint();
  const work = useRef<HTMLElement>(null);
  const { key } = useLocation();
  const cameFromElsewhere = useRef(key !== 'default');
  // Who comes here from another page of the app goes on from the work, not from the top of the window.
  useEffect(() => {
    if (cameFromElsewhere.current && document.activeElement === document.body)
      work.current?.focus({ preventScroll: true });
  }, []);
  const dispatch = useAppDispatch();
  const answered = useCallback(() => void dispatch(refusalAnswered()), [dispatch]);
  return (
    <DeferWhileDragging>
      <Answered value={answered}>
        <Page>
          {follows ? (
            <>
              <TopBar />
              <Rail />
            </>
          ) : (
            <>
              <TopBarToCome />
              <RailToCome />
            </>
          )}
          <Landmark of="main" ref={work} tabIndex={-1}>
            <HandInHand />
            <div className="stage" data-printed={printing || undefined}>
              <StageAtWork />
            </div>
            {printing && <StagePaper />}
          </Landmark>
        </Page>
        <RefusedNote />
      </Answered>
    </DeferWhileDragging>
  );
}
