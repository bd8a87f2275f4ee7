import { StageWithBoard } from '../StageWithBoard.tsx';
import { Panel } from '../../rooms/panel/Panel.tsx';
import { BordersSection } from './BordersSection.tsx';
import { CornerCloseUp } from './CornerCloseUp.tsx';
import { MeasureSection } from './MeasureSection.tsx';

/** Borders: the stack from the centre out, each corner style, and the corner in close-up. */
export function BordersStage() {
  return (
    <StageWithBoard>
      <Panel
        choices={
          <>
            <CornerCloseUp />
            <BordersSection whole />
            <MeasureSection />
          </>
        }
      />
    </StageWithBoard>
  );
}
