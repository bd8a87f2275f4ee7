import { Button as AriaButton, type ButtonProps } from 'react-aria-components';
import styled, { css } from 'styled-components';
import { touch } from '../media.ts';

const looks = {
  plain: css`
    background: var(--card);
    border-color: var(--line);
    &[data-hovered] {
      border-color: var(--soft);
    }
  `,
  main: css`
    background: var(--thread);
    border-color: var(--thread);
    color: var(--on-thread);
    &[data-hovered] {
      filter: brightness(1.06);
    }
  `,
  quiet: css`
    background: transparent;
    border-color: transparent;
    &[data-hovered] {
      background: var(--chalk-wash);
    }
  `,
};

const Face = styled(AriaButton)<{ $look: keyof typeof looks }>`
  display: inline-flex;
  align-items: center;
  justify-content: center;
  gap: 6px;
  min-height: 32px;
  padding: 4px 12px;
  border: 1px solid;
  border-radius: 8px;
  font-weight: 600;
  font-size: var(--size-text);
  cursor: pointer;
  white-space: nowrap;
  ${({ $look }) => looks[$look]}
  &[data-disabled] {
    opacity: 0.45;
    cursor: default;
  }
  ${touch} {
    min-height: var(--finger);
    min-width: var(--finger);
  }
`;

/** A verb on a button: `main` for the one thing to do, `plain` for the rest, `quiet` beside a field. */
export function Button({
  look = 'plain',
  ...props
}: Omit<ButtonProps, 'style' | 'className'> & { look?: keyof typeof looks }) {
  return <Face {...props} $look={look} />;
}
