import { FieldError, Group, Input, Label, Text } from 'react-aria-components';
import styled, { css } from 'styled-components';
import { touch } from '../media.ts';

/** Shared by every field: the label left, the box right, what is wrong or understood below. */
export const fieldRow = css`
  display: grid;
  grid-template-columns: 1fr auto;
  align-items: center;
  column-gap: 12px;
  padding: 5px 0;
`;
export const FieldLabel = styled(Label)`
  font-size: var(--size-text);
`;
export const Box = styled(Group)`
  position: relative;
  display: inline-flex;
  align-items: stretch;
  height: 34px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--field);
  overflow: hidden;
  &[data-focus-within] {
    border-color: var(--chalk);
    box-shadow: 0 0 0 1px var(--chalk);
  }
  &[data-invalid] {
    border-color: var(--wrong);
    box-shadow: 0 0 0 1px var(--wrong);
  }
  button {
    width: 30px;
    border: 0;
    background: transparent;
    color: var(--soft);
    cursor: pointer;
    font-size: var(--size-lead);
  }
  button[data-hovered] {
    background: var(--chalk-wash);
    color: var(--ink);
  }
  button[data-disabled] {
    opacity: 0.35;
  }
  ${touch} {
    height: var(--finger);
    button {
      width: var(--finger);
    }
  }
`;
export const BoxInput = styled(Input)`
  width: 74px;
  border: 0;
  padding: 0 4px;
  background: transparent;
  text-align: center;
  font-weight: 650;
  font-stretch: 88%;
  font-variant-numeric: tabular-nums;
  &:focus {
    outline: none;
  }
`;
const below = `
  grid-column: 1 / -1;
  margin-top: 4px;
  font-size: var(--size-note);
  line-height: 1.35;
`;
export const Wrong = styled(FieldError)`
  ${below}
  color: var(--wrong);
`;
export const Understood = styled(Text)`
  ${below}
  color: var(--chalk);
`;
export const Advice = styled.p`
  ${below}
  padding: 6px 9px;
  border-radius: 6px;
  background: var(--brass-wash);
  color: var(--brass);
`;
