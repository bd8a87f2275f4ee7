import styled from 'styled-components';

/** What is measured, said on the drawing; or what is wrong with it. */
export const Bubble = styled.div`
  position: absolute;
  z-index: 3;
  padding: 3px 9px;
  border-radius: 7px;
  background: var(--chalk);
  color: var(--on-chalk);
  font-size: var(--size-note);
  font-weight: 600;
  line-height: 1.4;
  white-space: nowrap;
  pointer-events: none;
  &[data-wrong] {
    background: var(--wrong);
    color: var(--card);
    white-space: normal;
    width: 240px;
  }
`;
