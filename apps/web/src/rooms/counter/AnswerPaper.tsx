import type { Figure, Unit } from '@lattice/core';
import styled from 'styled-components';
import { Lengths } from '../../design/Lengths.tsx';
import { figureText } from '../figures/Line.tsx';

const Paper = styled.div`
  h2 {
    margin: 0;
    font: 650 var(--size-head)/1.2 var(--name);
  }
  h3 {
    margin: 18px 0 4px;
    font-size: var(--size-read);
  }
  .headline {
    margin: 10px 0;
    font-size: var(--size-large);
    font-weight: 700;
    font-stretch: 86%;
  }
  svg {
    display: block;
    width: 4in;
    max-height: 1.8in;
  }
  table {
    border-collapse: collapse;
    font-size: var(--size-text);
  }
  td {
    padding: 3px 24px 3px 0;
    vertical-align: top;
  }
  td:nth-child(2) {
    font-weight: 650;
    white-space: nowrap;
  }
  small {
    display: block;
    font-size: var(--size-mark);
    color: #333;
  }
`;

/** An answer as one hands it over the counter: what was asked, what it comes to and how, with the day. */
export function AnswerPaper({
  name,
  asked,
  headline,
  said,
  unit,
  children,
}: {
  readonly name: string;
  /** What was asked, in words. */
  readonly asked: readonly (readonly [what: string, says: string])[];
  readonly headline: string;
  readonly said: readonly { readonly what: string; readonly figure: Figure }[];
  readonly unit: Unit;
  /** The answer drawn. */
  readonly children: React.ReactNode;
}) {
  return (
    <Paper>
      <h2>{name}</h2>
      <p>{new Intl.DateTimeFormat('en-GB', { dateStyle: 'long' }).format(new Date())}</p>
      <p className="headline">
        <Lengths text={headline} />
      </p>
      {children}
      <h3>Asked</h3>
      <table>
        <tbody>
          {asked.map(([what, says]) => (
            <tr key={what}>
              <td>{what}</td>
              <td>
                <Lengths text={says} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <h3>Answered</h3>
      <table>
        <tbody>
          {said.map(({ what, figure }, i) => (
            <tr key={i}>
              <td>
                <Lengths text={what} />
                <small>
                  <Lengths text={figure.working.join('; ')} />
                </small>
              </td>
              <td>
                <Lengths text={figureText(figure, unit)} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Paper>
  );
}
