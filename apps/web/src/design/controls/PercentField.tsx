import { NumberField } from 'react-aria-components';
import styled from 'styled-components';
import { Box, BoxInput, FieldLabel, fieldRow, Wrong } from './fieldStyles.ts';

const Row = styled(NumberField)`
  ${fieldRow}
`;

/** A share in per cent, to the half; 0 for none. */
export function PercentField({
  label,
  value,
  most,
  onCommit,
}: {
  label: string;
  value: number;
  most: number;
  onCommit: (value: number) => string | null;
}) {
  return (
    <Row
      value={value}
      minValue={0}
      maxValue={most}
      step={0.5}
      onChange={(next) => void onCommit(Number.isNaN(next) ? 0 : next)}
      formatOptions={{ maximumFractionDigits: 1 }}
    >
      <FieldLabel>{label}</FieldLabel>
      <Box>
        <BoxInput />
      </Box>
      <Wrong />
    </Row>
  );
}
