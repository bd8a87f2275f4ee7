import styled from 'styled-components';
import { onPaper, small } from '../../design/media.ts';

/** A list on paper, each line with a box to tick with a pencil. */
export const Ticks = styled.ul`
  margin: 0;
  padding: 0;
  columns: 2;
  column-gap: 0.3in;
  list-style: none;
  font-size: var(--size-note);
  line-height: 1.35;
  li {
    display: grid;
    grid-template-columns: 15px minmax(0, 1fr);
    gap: 7px;
    padding: 2px 0;
    break-inside: avoid;
  }
  li::before {
    content: '';
    width: 11px;
    height: 11px;
    margin-top: 3px;
    border: 1.3px solid currentColor;
    border-radius: 2px;
  }
  b {
    font-weight: 650;
  }
  small {
    display: block;
    color: var(--soft);
  }
  ${small} {
    columns: 1;
  }
  ${onPaper} {
    small {
      color: #333;
    }
  }
`;
