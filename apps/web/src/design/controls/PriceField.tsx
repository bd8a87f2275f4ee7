import { NumberField } from 'react-aria-components';
import styled from 'styled-components';
import { Box, BoxInput, FieldLabel, fieldRow, Wrong } from './fieldStyles.ts';

const Row = styled(NumberField)`
  ${fieldRow}
`;

/** A price in the quilter's own money, two places after the point; empty while nobody has said. */
export function PriceField({
  label,
  value,
  onCommit,
}: {
  label: string;
  value: number | null;
  onCommit: (value: number | null) => string | null;
}) {
  return (
    <Row
      value={value ?? NaN}
      minValue={0}
      maxValue={1000}
      onChange={(next) => void onCommit(Number.isNaN(next) ? null : next)}
      formatOptions={{ minimumFractionDigits: 2, maximumFractionDigits: 2 }}
    >
      <FieldLabel>{label}</FieldLabel>
      <Box>
        <BoxInput placeholder="not said" />
      </Box>
      <Wrong />
    </Row>
  );
}
