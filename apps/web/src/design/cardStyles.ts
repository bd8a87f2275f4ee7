import { css } from 'styled-components';

/** A card to choose: its border tells whether it is chosen, pointed at or reached by keyboard. */
export const cardStates = css`
  border: 1.5px solid var(--line);
  border-radius: 9px;
  cursor: pointer;
  &[data-hovered] {
    border-color: var(--soft);
  }
  &[data-selected] {
    border-color: var(--ink);
    box-shadow: inset 0 0 0 0.5px var(--ink);
  }
  &[data-focus-visible] {
    outline: 2px solid var(--chalk);
    outline-offset: 2px;
  }
`;

/** One with its drawing over its name. */
export const pictureCard = css`
  ${cardStates}
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 6px;
  padding: 9px 4px 8px;
  font-size: var(--size-note);
  line-height: 1.2;
  text-align: center;
  &[data-selected] {
    font-weight: 650;
  }
`;

/** The ring round what is chosen among several, and round what the keyboard is at. */
export const chosenRing = css`
  &[data-selected] {
    border-color: var(--ink);
    outline: 1px solid var(--ink);
  }
  &[data-focus-visible] {
    outline: 2px solid var(--chalk);
    outline-offset: 2px;
  }
`;
