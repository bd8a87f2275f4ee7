import styled from 'styled-components';
import { Halves } from './sheetStyles.ts';

export const Body = styled(Halves)`
  .empty {
    display: grid;
    place-items: center;
    min-height: 300px;
    border: 2px dashed var(--line);
    border-radius: 12px;
    padding: 20px;
    text-align: center;
    color: var(--soft);
  }
  ul {
    max-height: 34vh;
    margin: 6px 0;
    padding: 0;
    overflow: auto;
    list-style: none;
    font-size: var(--size-text);
  }
  li {
    padding: 5px 8px;
    border-left: 3px solid var(--chalk);
    margin-bottom: 4px;
  }
  li[data-unsure='true'] {
    border-color: var(--brass);
    background: var(--brass-wash);
  }
`;
export const Shown = styled.div`
  position: relative;
  margin: 0 auto;
  canvas {
    display: block;
    width: 100%;
    border-radius: 8px;
  }
  svg {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
  }
  polygon {
    fill: none;
    stroke: rgb(255 255 255 / 75%);
    stroke-width: 1.5;
    vector-effect: non-scaling-stroke;
  }
  polygon[data-is='other'] {
    stroke: var(--chalk);
    stroke-width: 4;
  }
  polygon[data-is='unsure'] {
    stroke: var(--brass);
    stroke-width: 4;
    stroke-dasharray: 7 5;
  }
`;
