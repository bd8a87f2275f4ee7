import { Check } from 'lucide-react';
import { Checkbox } from 'react-aria-components';
import styled from 'styled-components';
import { fingerHigh } from '../media.ts';

const Row = styled(Checkbox)`
  display: flex;
  align-items: center;
  gap: 9px;
  min-height: 32px;
  cursor: pointer;
  .box {
    flex: none;
    display: grid;
    place-items: center;
    width: 19px;
    height: 19px;
    border: 2px solid var(--soft);
    border-radius: 5px;
    color: transparent;
  }
  &[data-selected] .box {
    background: var(--ink);
    border-color: var(--ink);
    color: var(--card);
  }
  &[data-done][data-selected] .box {
    background: var(--good);
    border-color: var(--good);
  }
  &[data-done][data-selected] .words {
    text-decoration: line-through;
    color: var(--soft);
  }
  &[data-focus-visible] .box {
    outline: 2px solid var(--chalk);
    outline-offset: 2px;
  }
  ${fingerHigh}
`;

interface TickProps {
  readonly children: React.ReactNode;
  /** One of a group: what it stands for there. */
  readonly value?: string;
  readonly isSelected?: boolean;
  readonly onChange?: (on: boolean) => void;
  /** What is ticked is done, and struck through. */
  readonly done?: boolean;
}

/** A box to tick: one of several that are wanted, or something done. */
export const Tick = ({ children, done, ...props }: TickProps) => (
  <Row {...props} data-done={done || undefined}>
    <span className="box" aria-hidden>
      <Check size={13} strokeWidth={3.5} />
    </span>
    <span className="words">{children}</span>
  </Row>
);
