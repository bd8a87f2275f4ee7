import styled from 'styled-components';

/** Where cloth is drawn at the table: as large as there is room. */
export const TableBoard = styled.div`
  position: relative;
  min-height: 0;
  svg {
    position: absolute;
    inset: 0;
  }
  text {
    font-family: var(--text);
    font-size: var(--size-note);
  }
`;

/** Strokes aslant, for cloth that is left over, or waits. */
export function Hatch({ id }: { id: string }) {
  return (
    <pattern id={id} width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <path d="M0 0V8" stroke="var(--soft)" strokeWidth="1" opacity="0.5" />
    </pattern>
  );
}
