import styled from 'styled-components';
import { Landmark } from '../design/Landmark.tsx';
import { narrow, tight } from '../design/media.ts';

/** A stage: what is worked on at the left, what is chosen and said of it at the right; on a phone one below the other. */
export const StageGrid = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 336px;
  height: 100%;
  ${tight} {
    grid-template-columns: minmax(0, 1fr) 300px;
  }
  ${narrow} {
    grid-template-columns: minmax(0, 1fr);
    height: auto;
  }
`;

/** A stage whose left side is a drawing: on a phone it has a height of its own. */
export const BoardGrid = styled(StageGrid)`
  ${narrow} {
    grid-template-rows: min(110vw, 62vh) auto;
  }
`;

/** The right side of a stage that scrolls by itself. */
export const StageSide = styled(Landmark).attrs({ of: 'complementary' })`
  position: relative;
  overflow-y: auto;
  padding: 6px 18px 28px;
  background: var(--card);
  border-left: 1px solid var(--line);
  ${narrow} {
    overflow: visible;
    border-left: 0;
    border-top: 1px solid var(--line);
  }
`;
