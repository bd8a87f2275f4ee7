import { Switch } from 'react-aria-components';
import styled from 'styled-components';

const Row = styled(Switch)`
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
  min-height: 42px;
  font-size: var(--size-text);
  cursor: pointer;
  .track {
    flex: none;
    width: 34px;
    height: 20px;
    padding: 2px;
    border: 1px solid var(--soft);
    border-radius: 10px;
    transition: background 120ms;
  }
  .knob {
    display: block;
    width: 14px;
    height: 14px;
    border-radius: 50%;
    background: var(--soft);
    transition: transform 120ms;
  }
  &[data-selected] .track {
    background: var(--ink);
    border-color: var(--ink);
  }
  &[data-selected] .knob {
    transform: translateX(14px);
    background: var(--card);
  }
  &[data-focus-visible] .track {
    outline: 2px solid var(--chalk);
    outline-offset: 2px;
  }
`;

/** On or off. The knob's place tells it, not only the colour. */
export function SwitchField({
  label,
  value,
  onChange,
}: {
  label: string;
  value: boolean;
  onChange: (value: boolean) => void;
}) {
  return (
    <Row isSelected={value} onChange={onChange}>
      {label}
      <span className="track">
        <span className="knob" />
      </span>
    </Row>
  );
}
