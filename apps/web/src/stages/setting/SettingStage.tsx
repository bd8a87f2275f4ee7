import { StageWithBoard } from '../StageWithBoard.tsx';
import { Choices } from './Choices.tsx';
import { Panel } from '../../rooms/panel/Panel.tsx';

/** Setting: the quilt to scale with its tapes, and beside it every choice and figure that makes it so. */
export function SettingStage() {
  return (
    <StageWithBoard>
      <Panel choices={<Choices />} />
    </StageWithBoard>
  );
}
