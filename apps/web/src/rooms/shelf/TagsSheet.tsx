import { TAG_LIMIT } from '@lattice/core';
import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import { Form } from 'react-aria-components';
import styled from 'styled-components';
import { Button } from '../../design/controls/Button.tsx';
import { WordsField } from '../../design/controls/WordsField.tsx';
import { Sheet } from '../../design/Sheet.tsx';

const Tags = styled.ul`
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 12px 0;
  li {
    display: inline-flex;
    align-items: center;
    gap: 2px;
    padding-left: 10px;
    border: 1px solid var(--line);
    border-radius: 17px;
    font-size: var(--size-text);
  }
`;
const Adding = styled(Form)`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 8px;
  /* On one line with the field, which has room of its own round it. */
  > button {
    margin-bottom: 5px;
  }
`;
const Ways = styled.div`
  display: flex;
  justify-content: flex-end;
  gap: 8px;
  margin-top: 18px;
`;

/** The tags of one quilt, in the maker's own words; those of other quilts to press. */
export function TagsSheet({
  title,
  tags: had,
  known,
  onKeep,
  onClose,
}: {
  title: string;
  tags: readonly string[];
  known: readonly string[];
  onKeep: (tags: readonly string[]) => void;
  onClose: () => void;
}) {
  const [tags, setTags] = useState(had);
  const [text, setText] = useState('');
  const full = tags.length >= TAG_LIMIT;
  const add = (tag: string) => {
    const plain = tag.trim().slice(0, 30);
    if (plain !== '' && !full && !tags.includes(plain)) setTags([...tags, plain]);
    setText('');
  };
  const others = known.filter((tag) => !tags.includes(tag));
  return (
    <Sheet title={`Tags of ${title}`} width={520} isOpen onClose={onClose}>
      <p>A tag groups quilts on the shelf: a guild, presents, a year.</p>
      <Tags aria-label="Its tags">
        {tags.map((tag) => (
          <li key={tag}>
            {tag}
            <Button
              look="quiet"
              aria-label={`Take off the tag ${tag}`}
              onPress={() => setTags(tags.filter((other) => other !== tag))}
            >
              <X size={14} aria-hidden />
            </Button>
          </li>
        ))}
      </Tags>
      <Adding
        onSubmit={(event) => {
          event.preventDefault();
          add(text);
        }}
      >
        <WordsField
          label="Another tag"
          value={text}
          onChange={setText}
          maxLength={30}
          autoFocus
          isDisabled={full}
        />
        <Button type="submit" isDisabled={full || text.trim() === ''}>
          <Plus size={15} aria-hidden />
          Add
        </Button>
      </Adding>
      {others.length > 0 && !full && (
        <Tags aria-label="Tags of other quilts">
          {others.map((tag) => (
            <Button key={tag} look="quiet" onPress={() => add(tag)}>
              {tag}
            </Button>
          ))}
        </Tags>
      )}
      <Ways>
        <Button onPress={onClose}>Leave them as they were</Button>
        <Button
          look="main"
          onPress={() => onKeep(text.trim() === '' ? tags : [...new Set([...tags, text.trim()])])}
        >
          Keep these tags
        </Button>
      </Ways>
    </Sheet>
  );
}
