import styled from 'styled-components';
import { narrow } from '../../design/media.ts';

/** What is done to the chosen, the wall, and what lies beside it. */
export const Hanging = styled.div`
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  min-width: 0;
  min-height: 0;
  .tools {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px;
    min-height: 48px;
    padding: 7px 18px;
    border-bottom: 1px solid var(--line);
    background: var(--card);
  }
  .tools .said {
    flex: 1 1 200px;
    font-size: var(--size-text);
  }
  ${narrow} {
    grid-template-rows: auto min(110vw, 60vh) auto;
  }
`;
