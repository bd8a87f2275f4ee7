import { useCallback, useMemo } from 'react';
import { useAppDispatch } from '../sync/thunk.ts';
import { useLiveSelector } from '../state/hooks.ts';
import { useAfterFirstPaint } from '../browser/useAfterFirstPaint.ts';
import { QuiltInWords } from '../rooms/drawing/QuiltInWords.tsx';
import { QuiltBoard } from '../rooms/drawing/QuiltBoard.tsx';
import { selectDrawn, selectPlan } from '../state/selectors.ts';
import { useMoveBand } from '../state/useMoveBand.ts';
import { grainMarked, pointedAt, tapeHeld } from '../state/viewSlice.ts';
import { Joins } from './Joins.tsx';
import { BoardGrid } from './stageLayout.ts';

/** The quilt to scale with its tapes, which follow the hand, and beside it whatever figures the stage has. */
export function StageWithBoard({ children }: { children: React.ReactNode }) {
  const plan = useLiveSelector(selectPlan);
  const follows = useAfterFirstPaint();
  const quilt = useLiveSelector(selectDrawn);
  const pointed = useLiveSelector((s) => s.view.pointed);
  const dispatch = useAppDispatch();
  const onPoint = useCallback((parts: readonly string[]) => dispatch(pointedAt(parts)), [dispatch]);
  const grain = useLiveSelector((s) => s.view.grain);
  const onHold = useCallback((held: boolean) => dispatch(tapeHeld(held)), [dispatch]);
  const onMove = useMoveBand();
  const known = useMemo(() => pointed.filter((part) => part in quilt.layout.parts), [pointed, quilt.layout]);
  return (
    <BoardGrid>
      <QuiltBoard
        plan={plan}
        joins={follows && <Joins />}
        quilt={quilt}
        grain={grain}
        onGrain={(on) => dispatch(grainMarked(on))}
        pointed={known}
        onPoint={onPoint}
        onHold={onHold}
        onMove={onMove}
      />
      {children}
      {follows && <QuiltInWords />}
    </BoardGrid>
  );
}
