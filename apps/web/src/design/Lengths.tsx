import { Fragment } from 'react';
import styled from 'styled-components';

const Fraction = styled.span`
  font-feature-settings: 'frac';
`;
const Figures = styled.span`
  font-variant-numeric: tabular-nums;
`;

const FRACTION = /(\d+ )?(\d+\/\d+)/g;

/**
 * Text with its fractions typeset: `58 1/2″` keeps the 58 at full size and sets only the 1/2 as a
 * fraction, closed up to it. Read out as written.
 */
export function Lengths({ text }: { text: string }) {
  const pieces: React.ReactNode[] = [];
  let reached = 0;
  for (const match of text.matchAll(FRACTION)) {
    pieces.push(<Fragment key={reached}>{text.slice(reached, match.index) + (match[1]?.trimEnd() ?? '')}</Fragment>);
    // The thin gap keeps "58 1/2" apart for copying and reading out, without showing a full space.
    pieces.push(
      <Fraction key={`f${match.index}`}>
        {match[1] ? '\u200a' : ''}
        {match[2]}
      </Fraction>,
    );
    reached = match.index + match[0].length;
  }
  pieces.push(<Fragment key="end">{text.slice(reached)}</Fragment>);
  return <Figures>{pieces}</Figures>;
}
