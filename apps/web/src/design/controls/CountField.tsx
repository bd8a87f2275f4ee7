import { useState } from 'react';
import { Button, NumberField } from 'react-aria-components';
import styled from 'styled-components';
import { useAnswered } from '../answered.ts';
import { Box, BoxInput, FieldLabel, fieldRow, Wrong } from './fieldStyles.ts';

const Row = styled(NumberField)`
  ${fieldRow}
`;

interface CountFieldProps {
  readonly label: string;
  readonly value: number;
  readonly onCommit: (value: number) => string | null;
}

/** A whole number, typed or stepped. A number that cannot be stays in the box with its reason; the last good one stays in force. */
export function CountField({ label, value, onCommit }: CountFieldProps) {
  const answered = useAnswered();
  const [rejected, setRejected] = useState<{ value: number; problem: string } | null>(null);
  const change = (next: number) => {
    const problem = Number.isNaN(next) ? 'A number is missing here.' : answered(onCommit(next));
    setRejected(problem === null ? null : { value: next, problem });
  };
  return (
    <Row
      value={rejected ? rejected.value : value}
      onChange={change}
      step={1}
      isInvalid={rejected !== null}
      validationBehavior="aria"
    >
      <FieldLabel>{label}</FieldLabel>
      <Box isInvalid={rejected !== null}>
        <Button slot="decrement" aria-label={`Fewer: ${label}`}>
          −
        </Button>
        <BoxInput />
        <Button slot="increment" aria-label={`More: ${label}`}>
          +
        </Button>
      </Box>
      <Wrong>{rejected?.problem}</Wrong>
    </Row>
  );
}
