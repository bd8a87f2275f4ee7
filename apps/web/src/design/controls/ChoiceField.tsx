import { Check, ChevronDown } from 'lucide-react';
import { Button, Label, ListBox, ListBoxItem, Popover, Select, SelectValue } from 'react-aria-components';
import styled from 'styled-components';
import { FieldLabel, fieldRow } from './fieldStyles.ts';
import { fingerHigh } from '../media.ts';

const Trigger = styled(Button)`
  display: inline-flex;
  align-items: center;
  gap: 6px;
  max-width: 100%;
  min-height: 26px;
  padding: 2px 6px;
  border: 1px solid transparent;
  border-radius: 6px;
  background: transparent;
  cursor: pointer;
  font-size: var(--size-note);
  color: var(--soft);
  &[data-hovered] {
    border-color: var(--line);
  }
  svg {
    flex: none;
  }
  ${fingerHigh}
`;
const List = styled(Popover)`
  min-width: 190px;
  padding: 4px;
  border: 1px solid var(--line);
  border-radius: 10px;
  background: var(--card);
  color: var(--ink);
  box-shadow: var(--shadow);
  font-size: var(--size-text);
`;
const Item = styled(ListBoxItem)`
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 7px 9px;
  border-radius: 6px;
  cursor: pointer;
  outline: none;
  &[data-focused] {
    background: var(--chalk-wash);
  }
  svg {
    margin-left: auto;
  }
`;
const Swatch = styled.span<{ $colour: string }>`
  flex: none;
  width: 14px;
  height: 14px;
  border: 1px solid rgb(0 0 0 / 25%);
  border-radius: 3px;
  background: ${({ $colour }) => $colour};
`;
const Chosen = styled.span`
  display: inline-flex;
  align-items: center;
  gap: 6px;
`;
const Hidden = styled(Label)`
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
`;

export interface Choice {
  readonly id: string;
  readonly name: string;
  /** For cloth: shown as a swatch beside the name. */
  readonly colour?: string;
}

interface ChoiceFieldProps {
  readonly label: string;
  /** The label stands before the choice; otherwise it is only read out. */
  readonly labelled?: boolean;
  readonly value: string;
  readonly choices: readonly Choice[];
  readonly onChange: (id: string) => void;
}

const Row = styled(Select)`
  &[data-labelled] {
    ${fieldRow}
  }
`;

const face = ({ colour, name }: Choice) => (
  <>
    {colour && <Swatch $colour={colour} />}
    {name}
  </>
);

/** One of a few: a fabric by its colour and name, or a way of doing something by its name. */
export function ChoiceField({ label, labelled = false, value, choices, onChange }: ChoiceFieldProps) {
  return (
    <Row value={value} onChange={(key) => onChange(String(key))} data-labelled={labelled || undefined}>
      {labelled ? <FieldLabel>{label}</FieldLabel> : <Hidden>{label}</Hidden>}
      <Trigger>
        <SelectValue>{() => <Chosen>{face(choices.find((c) => c.id === value)!)}</Chosen>}</SelectValue>
        <ChevronDown size={13} aria-hidden />
      </Trigger>
      <List placement="bottom end">
        <ListBox items={choices}>
          {(choice) => (
            <Item id={choice.id} textValue={choice.name}>
              {({ isSelected }) => (
                <>
                  {face(choice)}
                  {isSelected && <Check size={14} aria-hidden />}
                </>
              )}
            </Item>
          )}
        </ListBox>
      </List>
    </Row>
  );
}
