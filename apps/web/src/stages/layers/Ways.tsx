import { Label, Radio, RadioGroup } from 'react-aria-components';
import styled from 'styled-components';
import { cardStates } from '../../design/cardStyles.ts';

const Group = styled(RadioGroup)`
  display: grid;
  gap: 6px;
  margin: 6px 0 8px;
`;
const Card = styled(Radio)`
  ${cardStates}
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  align-items: center;
  gap: 4px 10px;
  padding: 7px 10px;
  font-size: var(--size-note);
  line-height: 1.25;
  svg {
    display: block;
    width: 40px;
    height: 46px;
  }
  .figures {
    font-weight: 650;
    font-stretch: 88%;
    text-align: right;
    white-space: nowrap;
  }
  .rest {
    display: block;
    font-size: var(--size-note);
    color: var(--soft);
  }
`;

/** One of the ways of doing something: drawn small, named, with its figures. */
export interface Way {
  readonly id: string;
  readonly art?: React.ReactNode;
  readonly name: React.ReactNode;
  readonly rest?: React.ReactNode;
  readonly figures?: React.ReactNode;
}

/** Ways to choose from, the best first. */
export function Ways({
  label,
  value,
  ways,
  onChange,
}: {
  label: string;
  value: string;
  ways: readonly Way[];
  onChange: (id: string) => void;
}) {
  return (
    <Group value={value} onChange={onChange}>
      <Label style={{ display: 'none' }}>{label}</Label>
      {ways.map(({ id, art, name, rest, figures }) => (
        <Card key={id} value={id}>
          <span aria-hidden>{art}</span>
          <span>
            {name}
            {rest && <span className="rest">{rest}</span>}
          </span>
          <span className="figures">{figures}</span>
        </Card>
      ))}
    </Group>
  );
}
