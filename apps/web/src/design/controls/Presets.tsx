import styled from 'styled-components';
import { Lengths } from '../Lengths.tsx';
import { Button } from './Button.tsx';

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 2px 0 4px;
`;

/** Usual values below a field, one press each; the one in force is not pressed again. */
export function Presets({
  presets,
  value,
  onChoose,
}: {
  presets: readonly { readonly name: string; readonly value: number }[];
  value: number;
  onChoose: (value: number) => void;
}) {
  return (
    <Row>
      {presets.map(({ name, value: own }) => (
        <Button key={name} isDisabled={own === value} onPress={() => onChoose(own)}>
          <Lengths text={name} />
        </Button>
      ))}
    </Row>
  );
}
