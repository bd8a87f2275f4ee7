import styled from 'styled-components';

/** The ground a quilt lies on: it fills the room it is given, and drawings lie in it one over the other. */
export const Board = styled.div`
  position: relative;
  width: 100%;
  height: 100%;
  min-height: 280px;
  overflow: hidden;
  background: var(--ground);
`;
