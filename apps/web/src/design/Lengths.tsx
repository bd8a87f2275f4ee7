import { Fragment, memo } from 'react';
import styled from 'styled-components';

const Fraction = styled.span`
  font-feature-settings: 'frac';
  letter-spacing: -0.035em;
`;
/** The space between whole and fraction: there to be copied and read out, closed up to the eye. */
const Closed = styled.span`
  font-size: 0;
`;
/** No line ends between a whole and its fraction. */
const Together = styled.span`
  white-space: nowrap;
`;
const Figures = styled.span`
  font-variant-numeric: tabular-nums;
`;

const FRACTION = /(\d+ )?(\d+\/\d+)/g;

/**
 * Text with its fractions typeset: `58 1/2″` keeps the 58 at full size and sets only the 1/2 as a
 * fraction, closed up to it. Read out as written. `drawn`: inside a drawing's text.
 */
export const Lengths = memo(function Lengths({ text, drawn = false }: { text: string; drawn?: boolean }) {
  const as = drawn ? 'tspan' : 'span';
  const pieces: React.ReactNode[] = [];
  let reached = 0;
  for (const match of text.matchAll(FRACTION)) {
    pieces.push(<Fragment key={reached}>{text.slice(reached, match.index)}</Fragment>);
    pieces.push(
      <Together as={as} key={`f${match.index}`}>
        {match[1] && (
          <>
            {match[1].trimEnd()}
            <Closed as={as}> </Closed>
          </>
        )}
        <Fraction as={as}>{match[2]}</Fraction>
      </Together>,
    );
    reached = match.index + match[0].length;
  }
  pieces.push(<Fragment key="end">{text.slice(reached)}</Fragment>);
  return <Figures as={as}>{pieces}</Figures>;
});
