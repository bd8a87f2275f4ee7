import { LIMITS } from '@lattice/core';
import { useState } from 'react';
import styled from 'styled-components';
import { Button } from '../../design/controls/Button.tsx';
import { WordsField } from '../../design/controls/WordsField.tsx';

const Ways = styled.div`
  display: flex;
  gap: 8px;
  margin-top: 8px;
`;

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
      <WordsField label={label} long value={text} onChange={setText} maxLength={LIMITS.note} />
      <Ways>
        <Button type="submit" look="main" isDisabled={plain === ''}>
          {action}
        </Button>
        {onLeave && <Button onPress={onLeave}>Keep as it was</Button>}
      </Ways>
    </form>
  );
}
