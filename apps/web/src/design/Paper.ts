import styled from 'styled-components';
import { onPaper } from './media.ts';

/** A page to be printed: what is marked `hide` stays on the screen. */
export const Paper = styled.div`
  height: 100%;
  overflow: auto;
  padding: 18px 24px 40px;
  background: var(--card);
  header {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 12px;
    margin-bottom: 14px;
  }
  h1 {
    margin-right: auto;
    font: 650 var(--size-head)/1.2 var(--name);
  }
  h1 small {
    display: block;
    font: 400 var(--size-note)/1.4 var(--text);
  }
  section {
    break-inside: avoid;
    margin-bottom: 18px;
  }
  ${onPaper} {
    .hide {
      display: none;
    }
    height: auto;
    padding: 0;
    overflow: visible;
    color: #000;
    background: #fff;
  }
`;
