import type { Figure } from '@lattice/core';
import { Button, Dialog, DialogTrigger, Heading, OverlayArrow, Popover } from 'react-aria-components';
import styled from 'styled-components';
import { Lengths } from '../Lengths.tsx';
import { fingerHigh } from '../media.ts';

const Number = styled(Button)`
  padding: 0 1px;
  border: 0;
  text-decoration: underline 2px dotted var(--chalk);
  text-underline-offset: 5px;
  background: transparent;
  font: inherit;
  font-weight: inherit;
  color: inherit;
  cursor: help;
  border-radius: 0;
  &[data-hovered] {
    background: var(--chalk-wash);
  }
  ${fingerHigh}
`;
const Card = styled(Popover)`
  max-width: 320px;
  padding: 12px 14px;
  border: 1px solid var(--chalk);
  border-radius: 10px;
  background: var(--chalk-wash);
  color: var(--ink);
  box-shadow: var(--shadow);
  font-size: var(--size-text);
  line-height: 1.5;
  h3 {
    margin-bottom: 4px;
    font-size: var(--size-text);
    font-weight: 650;
  }
  p + p {
    margin-top: 2px;
  }
  [role='dialog'] {
    outline: none;
  }
  .arrow svg {
    display: block;
    fill: var(--chalk-wash);
    stroke: var(--chalk);
  }
`;

/** A figure that answers "why?": pressing it shows its working. `what` finishes "Why …". */
export function Why({
  figure,
  text,
  what,
  onPoint,
}: {
  figure: Figure;
  text: string;
  what: string;
  onPoint?: (pointing: boolean) => void;
}) {
  return (
    <DialogTrigger>
      <Number aria-label={`${text}: why ${what}`} {...(onPoint ? { onHoverChange: onPoint } : {})}>
        <Lengths text={text} />
      </Number>
      <Card placement="bottom" offset={10}>
        <OverlayArrow className="arrow">
          <svg width={12} height={7} viewBox="0 0 12 7" style={{ transform: 'rotate(180deg)' }}>
            <path d="M0 0 6 6 12 0" />
          </svg>
        </OverlayArrow>
        <Dialog>
          <Heading slot="title" level={3}>
            <Lengths text={`Why ${what}`} />
          </Heading>
          {figure.working.map((line) => (
            <p key={line}>
              <Lengths text={line} />
            </p>
          ))}
        </Dialog>
      </Card>
    </DialogTrigger>
  );
}
