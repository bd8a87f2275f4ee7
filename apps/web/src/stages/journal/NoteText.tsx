import { useState } from 'react';
import { Label, TextArea, TextField } from 'react-aria-components';
import styled from 'styled-components';
import { Button } from '../../design/controls/Button.tsx';

const Field = styled(TextField)`
  display: grid;
  gap: 4px;
  font-size: 14px;
  textarea {
    min-height: 92px;
    padding: 8px 10px;
    border: 1px solid var(--line);
    border-radius: 8px;
    background: var(--field);
    font: inherit;
    font-size: 15px;
    resize: vertical;
  }
`;
const Ways = styled.div`
  display: flex;
  gap: 8px;
  margin-top: 8px;
`;

/** The longest note the log takes. */
const MOST = 10_000;

/** The words of a note, being written. */
export function NoteText({
  label,
  initial = '',
  action,
  onKeep,
  onLeave,
}: {
  label: string;
  initial?: string;
  action: string;
  onKeep: (text: string) => void;
  onLeave?: () => void;
}) {
  const [text, setText] = useState(initial);
  const plain = text.trim();
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (plain === '') return;
        onKeep(plain);
        setText('');
      }}
    >
      <Field value={text} onChange={setText} maxLength={MOST}>
        <Label>{label}</Label>
        <TextArea />
      </Field>
      <Ways>
        <Button type="submit" look="main" isDisabled={plain === ''}>
          {action}
        </Button>
        {onLeave && <Button onPress={onLeave}>Leave it</Button>}
      </Ways>
    </form>
  );
}
