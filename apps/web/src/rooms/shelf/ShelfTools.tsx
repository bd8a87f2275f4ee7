import { type Stage, STAGES } from '@lattice/core';
import styled from 'styled-components';
import type { ShelfAsked } from '../../sync/api.ts';
import { STAGE_NAMES } from '../../state/stageNames.ts';
import { touch } from '../../design/media.ts';

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
  select {
    min-height: 34px;
    padding: 4px 8px;
    border: 1px solid var(--line);
    border-radius: 8px;
    background: var(--card);
    font-size: var(--size-text);
  }
  input {
    width: 22ch;
    max-width: 100%;
    min-height: 34px;
    padding: 5px 10px;
    border: 1px solid var(--line);
    border-radius: 8px;
    background: var(--card);
  }
  ${touch} {
    input,
    select {
      min-height: var(--finger);
    }
  }
`;

const SORTS = [
  { id: 'recent', name: 'Last worked on first' },
  { id: 'name', name: 'By name' },
  { id: 'newest', name: 'Newest first' },
] as const;
const STAGE_CHOICES = [
  { id: '', name: 'At any stage' },
  ...STAGES.map((id: Stage) => ({ id, name: `At ${STAGE_NAMES[id]}` })),
];

/** What of the shelf is shown, and in which order. */
export function ShelfTools({
  asked,
  tags,
  onAsk,
}: {
  asked: ShelfAsked;
  tags: readonly string[];
  onAsk: (change: Partial<ShelfAsked>) => void;
}) {
  const { words = '', sort = 'recent', stage = '', tag = '' } = asked;
  const known = tag !== '' && !tags.includes(tag) ? [tag, ...tags] : tags;
  return (
    <Row role="search" aria-label="On the shelf">
      <input
        type="search"
        aria-label="Find by name or tag"
        placeholder="Find by name or tag"
        value={words}
        onChange={({ target }) => onAsk({ words: target.value })}
      />
      <Pick label="Order" value={sort} choices={SORTS} onPick={(to) => onAsk({ sort: to as 'recent' })} />
      <Pick
        label="Stage"
        value={stage}
        choices={STAGE_CHOICES}
        onPick={(to) => onAsk({ stage: to as Stage | '' })}
      />
      {known.length > 0 && (
        <Pick
          label="Tag"
          value={tag}
          choices={[{ id: '', name: 'Any tag' }, ...known.map((id) => ({ id, name: id }))]}
          onPick={(to) => onAsk({ tag: to })}
        />
      )}
    </Row>
  );
}

/** The browser’s own list: the first screen brings no other. */
function Pick({
  label,
  value,
  choices,
  onPick,
}: {
  label: string;
  value: string;
  choices: readonly { readonly id: string; readonly name: string }[];
  onPick: (id: string) => void;
}) {
  return (
    <select aria-label={label} value={value} onChange={({ target }) => onPick(target.value)}>
      {choices.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </select>
  );
}
