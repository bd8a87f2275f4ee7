import { parseDate } from '@internationalized/date';
import { DateField, DateInput, DateSegment, I18nProvider, Label } from 'react-aria-components';
import styled, { css } from 'styled-components';
import { fieldRow } from './fieldStyles.ts';

/** A box of parts that are typed one after another: of a date, of a time of day. */
export const segments = css`
  .segments {
    display: flex;
    padding: 5px 8px;
    border: 1px solid var(--line);
    border-radius: 8px;
    background: var(--field);
    font-size: var(--size-text);
    font-variant-numeric: tabular-nums;
  }
  .segment {
    padding: 0 2px;
    border-radius: 4px;
    outline: none;
    &[data-focused] {
      background: var(--chalk-wash);
    }
    &[data-placeholder] {
      color: var(--soft);
    }
  }
`;
const Row = styled(DateField)`
  ${fieldRow}
  ${segments}
`;

/** The parts of it, to go in a field of a date or a time. */
export const Segments = () => (
  <DateInput className="segments">
    {(segment) => <DateSegment className="segment" segment={segment} />}
  </DateInput>
);

/** A date, typed part by part; none until all of it is there. Dates are `2026-11-27`. */
export function DayField({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string | null;
  onChange: (date: string | null) => void;
}) {
  return (
    <I18nProvider locale="en-GB">
      <Row
        value={value === null ? null : parseDate(value)}
        onChange={(date) => onChange(date === null ? null : date.toString())}
      >
        <Label>{label}</Label>
        <Segments />
      </Row>
    </I18nProvider>
  );
}
