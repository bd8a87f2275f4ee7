import { type Figure, formatFine, formatWithUnit, type Unit } from '@lattice/core';
import styled from 'styled-components';
import { Why } from '../../design/controls/Why.tsx';
import { Lengths } from '../../design/Lengths.tsx';

/** A line of a list: its name left, its figures right, the rest below. */
export const Line = styled.li`
  display: grid;
  grid-template-columns: 1fr auto;
  align-items: baseline;
  gap: 2px 10px;
  padding: 8px 6px;
  margin: 0 -6px;
  border-radius: 6px;
  & + & {
    border-top: 1px solid var(--line);
    border-top-left-radius: 0;
    border-top-right-radius: 0;
  }
  &[data-pointed] {
    background: var(--chalk-wash);
    box-shadow: inset 3px 0 0 var(--chalk);
  }
  .name {
    font-size: var(--size-text);
  }
  .figures {
    font-weight: 650;
    font-stretch: 88%;
    white-space: nowrap;
    text-align: right;
  }
  .rest {
    grid-column: 1 / -1;
    font-size: var(--size-note);
    color: var(--soft);
  }
`;

/** A figure as it is read: a bare count, or a length with its unit; to the 1/32" below an inch. */
export const figureText = ({ kind, value }: Figure, unit: Unit): string =>
  kind === 'count'
    ? String(value)
    : kind === 'money'
      ? value.toFixed(2)
      : Math.abs(value) < 1
        ? formatFine(value, unit)
        : formatWithUnit(value, unit);

interface FigureLineProps {
  readonly name: string;
  readonly figure: Figure;
  readonly unit: Unit;
  /** Stands after the figure: what it is a number of, or at what width. */
  readonly after?: string;
  readonly rest?: string | undefined;
  /** As it is read, where not as a length in inches or centimetres. */
  readonly text?: string;
}

/** One figure with its name and its working. */
export function FigureLine({
  name,
  figure,
  unit,
  after,
  rest,
  text = figureText(figure, unit),
}: FigureLineProps) {
  return (
    <Line>
      <span className="name">
        <Lengths text={name} />
      </span>
      <span className="figures">
        <Why figure={figure} text={text} what={`${name.toLowerCase()} ${text}`} />
        {after && (
          <>
            {' '}
            <Lengths text={after} />
          </>
        )}
      </span>
      {rest && (
        <span className="rest">
          <Lengths text={rest} />
        </span>
      )}
    </Line>
  );
}
