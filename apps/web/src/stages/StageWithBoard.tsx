import { useCallback, useMemo } from 'react';
import { Calm } from '../app/Calm.tsx';
import { useFollows } from '../app/useFollows.ts';
import { useAppDispatch, useAppSelector } from '../app/store.ts';
import { QuiltInWords } from '../drawing/QuiltInWords.tsx';
import { QuiltBoard } from '../drawing/QuiltBoard.tsx';
import { selectDrawn, selectFirstDrawn, selectPlan } from '../quilt/selectors.ts';
import { useMoveBand } from '../quilt/useMoveBand.ts';
import { grainMarked, pointedAt, tapeHeld } from '../quilt/viewSlice.ts';
import { BoardGrid, StageSide } from './stageLayout.ts';

/** The quilt to scale with its tapes, and beside it whatever figures the stage has. */
export function StageWithBoard({ children }: { children: React.ReactNode }) {
  const plan = useAppSelector(selectPlan);
  const follows = useFollows();
  const quilt = useAppSelector(follows ? selectDrawn : selectFirstDrawn);
  const pointed = useAppSelector((s) => s.view.pointed);
  const dispatch = useAppDispatch();
  const onPoint = useCallback((parts: readonly string[]) => dispatch(pointedAt(parts)), [dispatch]);
  const grain = useAppSelector((s) => s.view.grain);
  const onHold = useCallback((held: boolean) => dispatch(tapeHeld(held)), [dispatch]);
  const onMove = useMoveBand();
  const known = useMemo(() => pointed.filter((part) => part in quilt.layout.parts), [pointed, quilt.layout]);
  return (
    <BoardGrid>
      <QuiltBoard
        plan={plan}
        quilt={quilt}
        grain={grain}
        onGrain={(on) => dispatch(grainMarked(on))}
        pointed={known}
        onPoint={onPoint}
        onHold={onHold}
        onMove={onMove}
      />
      <Calm>
        {follows ? (
          <>
            {children}
            <QuiltInWords />
          </>
        ) : (
          <StageSide aria-busy />
        )}
      </Calm>
    </BoardGrid>
  );
}
