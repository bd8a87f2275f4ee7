import styled, { css } from 'styled-components';
import { tight } from '../../design/media.ts';

/** What a photo's sheets have in common: acts in a row, what is said, what went wrong. */
export const saidAndDone = css`
  .acts {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px;
    margin: 10px 0;
  }
  .says {
    margin: 4px 0 8px;
    font-size: var(--size-text);
    color: var(--soft);
  }
  .wrong {
    margin: 8px 0;
    font-size: var(--size-text);
    color: var(--wrong);
  }
`;

/** The photo on the left, what it tells on the right; one above the other where there is little room. */
export const Halves = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 325px;
  gap: 20px;
  align-items: start;
  ${saidAndDone}
  ${tight} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
