import { Tab, TabList, ToggleButtonGroup } from 'react-aria-components';
import styled from 'styled-components';
import { chosenRing } from '../../design/cardStyles.ts';
import { fingerHigh, narrow, touch } from '../../design/media.ts';

export const Table = styled.div`
  display: grid;
  grid-template-rows: auto minmax(0, 1.25fr) minmax(0, 1fr);
  min-width: 0;
  min-height: 0;
  padding: 12px 0 14px;
  > .head {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: space-between;
    gap: 6px 16px;
    padding: 0 26px;
  }
  h1 {
    font-size: var(--size-lead);
    font-weight: 650;
  }
  .below {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 150px;
    gap: 18px;
    min-height: 0;
    padding: 0 26px;
  }
  .strip {
    display: grid;
    grid-template-rows: auto minmax(0, 1fr);
    min-height: 0;
  }
  .strip p {
    font-size: var(--size-read);
    font-weight: 600;
  }
  ${narrow} {
    grid-template-rows: auto 280px 240px;
    .below {
      grid-template-columns: minmax(0, 1fr) 96px;
      padding: 0 14px;
    }
    > .head {
      padding: 0 14px;
    }
  }
`;
export const Cloths = styled(TabList)`
  display: flex;
  flex-wrap: wrap;
  gap: 7px;
  padding: 10px 0 4px;
`;
export const Cloth = styled(Tab)`
  display: flex;
  align-items: center;
  gap: 7px;
  min-height: 34px;
  padding: 3px 12px 3px 7px;
  border: 1.5px solid var(--line);
  border-radius: 18px;
  font-size: var(--size-note);
  font-weight: 600;
  white-space: nowrap;
  cursor: pointer;
  i {
    width: 17px;
    height: 17px;
    border: 1px solid rgb(0 0 0 / 25%);
    border-radius: 5px;
  }
  ${chosenRing}
  ${fingerHigh}
`;
export const Folds = styled(ToggleButtonGroup)`
  display: flex;
  button {
    padding: 5px 11px;
    border: 1px solid var(--line);
    background: var(--card);
    font-size: var(--size-note);
    font-weight: 600;
    color: var(--soft);
    cursor: pointer;
  }
  button:first-child {
    border-radius: 8px 0 0 8px;
  }
  button:last-child {
    border-radius: 0 8px 8px 0;
  }
  button + button {
    border-left: 0;
  }
  button[data-selected] {
    background: var(--ink);
    border-color: var(--ink);
    color: var(--card);
  }
  ${touch} {
    button {
      min-height: var(--finger);
    }
  }
`;
export const ToPrint = styled.p`
  display: grid;
  a {
    padding: 7px 0;
  }
  ${touch} {
    a {
      padding: 11px 0;
    }
  }
`;
export const Wrong = styled.div`
  padding: 12px 0;
  border-top: 1px solid var(--line);
  button {
    color: var(--chalk);
    font-size: var(--size-lead);
  }
`;
