import { Radio, RadioGroup } from 'react-aria-components';
import styled from 'styled-components';
import { cardStates } from '../cardStyles.ts';

/** Choices that are weighed against each other, side by side with what each costs. */
export const SideBySide = styled(RadioGroup)`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(120px, 1fr));
  gap: 8px;
  .react-aria-Label {
    grid-column: 1 / -1;
    font-size: var(--size-text);
  }
`;

/** One of them: its name, then its figures. */
export const Side = styled(Radio)`
  ${cardStates}
  display: grid;
  gap: 2px;
  align-content: start;
  padding: 8px 10px;
  font-size: var(--size-note);
  color: var(--soft);
  strong {
    font-size: var(--size-text);
    color: var(--ink);
  }
`;
