import styled from 'styled-components';
import { Halves } from './sheetStyles.ts';

export const Body = styled(Halves)`
  .state {
    margin: 8px 0 0;
    font-size: var(--size-note);
    color: var(--soft);
  }
  .doubts {
    margin: 6px 0;
    padding: 0;
    list-style: none;
    font-size: var(--size-note);
    li {
      padding: 6px 8px;
      border-left: 3px solid var(--brass);
      background: var(--brass-wash);
      margin-bottom: 4px;
    }
  }
`;
export const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  font-size: var(--size-text);
  caption {
    text-align: left;
    font-size: var(--size-note);
    color: var(--soft);
  }
  th {
    font-weight: 500;
    color: var(--soft);
    text-align: left;
  }
  td {
    padding: 3px 0;
    text-align: right;
    font-weight: 650;
    font-stretch: 88%;
  }
`;
