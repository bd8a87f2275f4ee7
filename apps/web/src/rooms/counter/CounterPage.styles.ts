import { TextField } from 'react-aria-components';
import styled from 'styled-components';
import { fieldRow } from '../../design/controls/fieldStyles.ts';
import { narrow, onPaper, touch } from '../../design/media.ts';

export const Topics = styled.nav`
  display: flex;
  gap: 6px;
  overflow-x: auto;
  padding: 2px 2px 10px;
  a {
    flex: none;
    padding: 8px 14px;
    border: 1.5px solid var(--line);
    border-radius: 20px;
    background: var(--card);
    font-size: var(--size-text);
    font-weight: 600;
    text-decoration: none;
  }
  a:hover {
    border-color: var(--soft);
  }
  a[aria-current='page'] {
    border-color: var(--ink);
    background: var(--ink);
    color: var(--card);
  }
  ${touch} {
    a {
      min-height: var(--finger);
      padding: 11px 16px;
    }
  }
  ${onPaper} {
    display: none;
  }
`;
export const Counter = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.2fr);
  gap: 24px;
  ${narrow} {
    grid-template-columns: minmax(0, 1fr);
    /* The answer lies under the thumb's reach of the fields, and over them on the screen. */
    .answer {
      order: -1;
    }
  }
  ${onPaper} {
    display: none;
  }
`;
export const Answered = styled.section`
  padding: 18px 20px;
  border-radius: 14px;
  background: var(--card);
  box-shadow: var(--shadow);
  .headline {
    font-size: var(--size-large);
    font-weight: 700;
    font-stretch: 86%;
    line-height: 1.15;
  }
  .problem {
    color: var(--wrong);
    font-weight: 600;
  }
  .drawing {
    margin: 12px 0;
  }
  .drawing svg {
    display: block;
    width: 100%;
    height: auto;
    max-height: 200px;
  }
  dl {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 6px 14px;
    /* A figure stands beside its name, not across the sheet from it. */
    max-width: 440px;
    margin: 12px 0;
    font-size: var(--size-text);
  }
  dl > div {
    display: contents;
  }
  dt {
    color: var(--soft);
  }
  dd {
    margin: 0;
    text-align: right;
    font-weight: 650;
    font-stretch: 88%;
  }
  ${narrow} {
    dl {
      display: block;
    }
    dl > div {
      display: flex;
      flex-wrap: wrap;
      align-items: baseline;
      gap: 2px 10px;
      padding: 5px 0;
      border-bottom: 1px solid var(--line);
    }
    dd {
      text-align: left;
    }
  }
`;
export const Row = styled(TextField)`
  ${fieldRow}
  input {
    width: 124px;
    height: 36px;
    padding: 0 10px;
    border: 1px solid var(--line);
    border-radius: 8px;
    background: var(--field);
    text-align: right;
    font-weight: 650;
    font-stretch: 88%;
  }
  input:focus {
    outline: none;
    border-color: var(--chalk);
    box-shadow: 0 0 0 1px var(--chalk);
  }
  &[data-invalid] input {
    border-color: var(--wrong);
    box-shadow: 0 0 0 1px var(--wrong);
  }
  ${touch} {
    input {
      height: 46px;
      width: 140px;
      font-size: var(--size-lead);
    }
  }
`;
