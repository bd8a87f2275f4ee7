import styled, { css } from 'styled-components';

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
    font-size: 14px;
    color: var(--soft);
  }
  .wrong {
    margin: 8px 0;
    font-size: 14px;
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
  @media (max-width: 820px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;
