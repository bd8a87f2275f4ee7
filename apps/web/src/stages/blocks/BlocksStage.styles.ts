import styled from 'styled-components';
import { narrow } from '../../design/media.ts';
import { StageSide } from '../stageLayout.ts';

export const Work = styled.div`
  display: flex;
  flex-direction: column;
  gap: 10px;
  min-width: 0;
  min-height: 0;
  padding: 14px 18px;
  .bar {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px;
  }
  .bar h2 {
    margin-right: auto;
    font: 650 var(--size-title)/1.2 var(--name);
  }
  .problem {
    min-height: 20px;
    font-size: var(--size-note);
    color: var(--wrong);
  }
  .more summary {
    width: max-content;
    padding: 4px 6px;
    font-size: var(--size-text);
    font-weight: 600;
    cursor: pointer;
  }
  .empty {
    padding: 6px 10px;
    text-align: center;
    color: var(--soft);
  }
  ${narrow} {
    height: 90vh;
  }
`;
export const Side = styled(StageSide)`
  .quilt {
    height: 190px;
    margin: 8px 0 6px;
  }
  .counts {
    font-size: var(--size-note);
    color: var(--soft);
  }
  .counts b {
    color: var(--ink);
  }
`;
