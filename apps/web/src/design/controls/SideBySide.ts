import { Radio, RadioGroup } from 'react-aria-components';
import styled from 'styled-components';

/** Choices that are weighed against each other, side by side with what each costs. */
export const SideBySide = styled(RadioGroup)`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(120px, 1fr));
  gap: 8px;
`;

/** One of them: its name, then its figures. */
export const Side = styled(Radio)`
  display: grid;
  gap: 2px;
  align-content: start;
  padding: 8px 10px;
  border: 1.5px solid var(--line);
  border-radius: 10px;
  font-size: 13px;
  color: var(--soft);
  cursor: pointer;
  strong {
    font-size: 14px;
    color: var(--ink);
  }
  &[data-selected] {
    border-color: var(--ink);
    outline: 1px solid var(--ink);
  }
  &[data-focus-visible] {
    outline: 2px solid var(--chalk);
    outline-offset: 2px;
  }
`;
