import { Tab, Tabs } from 'react-aria-components';
import styled from 'styled-components';
import { fingerHigh, forcedColours } from './media.ts';

/** A leaf of a panel: the one that lies open is underlined. */
export const Leaf = styled(Tab)`
  padding: 8px 12px;
  border-bottom: 3px solid transparent;
  font-size: var(--size-text);
  font-weight: 600;
  color: var(--soft);
  cursor: pointer;
  &[data-selected] {
    color: var(--ink);
    border-bottom-color: var(--thread);
  }
  &[data-focus-visible] {
    outline: 2px solid var(--chalk);
    outline-offset: -2px;
  }
  ${fingerHigh}
  ${forcedColours} {
    border-bottom-color: Canvas;
    &[data-selected] {
      border-bottom-color: Highlight;
    }
  }
`;

/** A panel of leaves, one beside the other. */
export const Leaves = styled(Tabs)`
  > [role='tablist'] {
    display: flex;
    gap: 4px;
    border-bottom: 1px solid var(--line);
  }
`;
