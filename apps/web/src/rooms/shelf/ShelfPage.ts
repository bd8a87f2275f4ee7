import styled from 'styled-components';
import { forcedColours, slim } from '../../design/media.ts';

/** The page of the shelf, and of what was taken off it. */
export const ShelfPage = styled.div`
  max-width: 1180px;
  margin: 0 auto;
  padding: 0 24px 64px;
  ${slim} {
    padding: 0 14px 48px;
  }
  header {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 10px;
    padding: 22px 0 6px;
  }
  h1 {
    font: 700 var(--size-large)/1.1 var(--name);
    margin-right: auto;
  }
  .ask {
    display: inline-flex;
    align-items: center;
    gap: 6px;
    padding: 5px 12px;
    font-size: var(--size-text);
    font-weight: 600;
  }
  .new {
    display: inline-flex;
    align-items: center;
    gap: 8px;
    min-height: 44px;
    padding: 8px 20px;
    border-radius: 10px;
    background: var(--thread);
    color: var(--on-thread);
    font-size: var(--size-lead);
    font-weight: 650;
    text-decoration: none;
  }
  .first {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: space-between;
    gap: 12px 20px;
    padding: 14px 0 16px;
  }
  .more {
    margin-top: 18px;
    text-align: center;
  }
  .foot {
    margin-top: 26px;
    font-size: var(--size-text);
    color: var(--soft);
  }
  h2 {
    margin: 4px 0 12px;
    font-size: var(--size-text);
    font-weight: 600;
    color: var(--soft);
  }
  ${forcedColours} {
    .new {
      border: 2px solid ButtonText;
    }
  }
`;
