import { useAppSelector } from '../../state/hooks.ts';
import { Panel } from '../../rooms/panel/Panel.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { StageWithBoard } from '../StageWithBoard.tsx';
import { BoardGrid } from '../stageLayout.ts';
import { BackingSection } from './BackingSection.tsx';
import { BattingSection } from './BattingSection.tsx';
import { LayersBoard } from './LayersBoard.tsx';
import { MadeSection } from './MadeSection.tsx';
import { QuiltingSection } from './QuiltingSection.tsx';

/** Layers: what goes under the top and how it is held together, drawn as it lies. */
export function LayersStage() {
  const plan = useAppSelector(selectPlan);
  const quilt = useAppSelector(selectQuilt);
  const { layers } = quilt;
  if (!layers) {
    return (
      <StageWithBoard>
        <Panel
          choices={
            <Section title="Layers">
              <p>
                These blocks are quilted already: each has its own batting and back, and the strips between
                them have theirs. Nothing goes under the whole quilt.
              </p>
            </Section>
          }
        />
      </StageWithBoard>
    );
  }
  return (
    <BoardGrid>
      <LayersBoard {...{ plan, quilt, layers }} />
      <Panel
        choices={
          <>
            <BackingSection layers={layers} />
            <MadeSection layers={layers} />
            <BattingSection layers={layers} />
            <QuiltingSection layers={layers} />
          </>
        }
      />
    </BoardGrid>
  );
}
