import { useAppSelector } from '../../state/hooks.ts';
import { Panel } from '../../rooms/panel/Panel.tsx';
import { selectPlan, selectQuiltAsCut } from '../../state/selectors.ts';
import { BoardGrid } from '../stageLayout.ts';
import { BindingSection } from './BindingSection.tsx';
import { EdgeBoard } from './EdgeBoard.tsx';
import { FinishSection } from './FinishSection.tsx';
import { FlangeSection } from './FlangeSection.tsx';
import { HangingSection } from './HangingSection.tsx';
import { JoinsSection } from './JoinsSection.tsx';
import { PointsSection } from './PointsSection.tsx';
import { ShapeSection } from './ShapeSection.tsx';
import { WholeFinishSection } from './WholeFinishSection.tsx';

/** Edge: its shape, what finishes it, and the strips that takes, drawn at the corner. */
export function EdgeStage() {
  const plan = useAppSelector(selectPlan);
  const quilt = useAppSelector(selectQuiltAsCut);
  const { binding, flange, points, finished } = quilt.edge;
  return (
    <BoardGrid>
      <EdgeBoard {...{ plan, quilt }} />
      <Panel
        choices={
          <>
            <FinishSection />
            <ShapeSection edge={quilt.edge} />
            {flange && <FlangeSection flange={flange} />}
            {binding && <BindingSection binding={binding} />}
            {points && <PointsSection points={points} />}
            {finished.map((one) => (
              <WholeFinishSection key={one.finish} finished={one} />
            ))}
            <HangingSection edge={quilt.edge} />
            <JoinsSection quilt={quilt} />
          </>
        }
      />
    </BoardGrid>
  );
}
