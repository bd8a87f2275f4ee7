import { type RecordField, recordSaidIn, usualCare } from '@lattice/core';
import { Printer, Tag } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { WordsField } from '../../design/controls/WordsField.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { selectPlan } from '../../state/selectors.ts';
import { recordFieldSet } from './journal.ts';
import { MeasuresNow } from './MeasuresNow.tsx';

const Ways = styled.p`
  display: grid;
  gap: 8px;
  a {
    display: inline-flex;
    align-items: center;
    gap: 6px;
    min-height: 32px;
    font-weight: 600;
    font-size: var(--size-text);
  }
`;

const FIELDS: readonly { readonly field: RecordField; readonly label: string; readonly long?: true }[] = [
  { field: 'maker', label: 'Made by' },
  { field: 'for', label: 'For' },
  { field: 'place', label: 'Where' },
  { field: 'thread', label: 'Thread' },
  { field: 'quilted', label: 'How it is quilted' },
  { field: 'care', label: 'Care', long: true },
  { field: 'story', label: 'Its story', long: true },
];

/** What only the maker can say of it, and the ways to paper and cloth. */
export function RecordLeaf() {
  const id = useAppSelector((s) => s.saving.id)!;
  const plan = useAppSelector(selectPlan);
  const log = useAppSelector((s) => s.log);
  const said = recordSaidIn(log, id);
  return (
    <>
      <Section title="On paper and cloth">
        <Ways>
          <Link to={`/quilts/${id}/record`}>
            <Printer size={15} aria-hidden />
            The record card, to print
          </Link>
          <Link to={`/quilts/${id}/label`}>
            <Tag size={15} aria-hidden />A label, true to size
          </Link>
        </Ways>
      </Section>
      <MeasuresNow />
      <Section title="What only you can say">
        {FIELDS.map(({ field, label, long }) => (
          <Said
            key={`${field} ${said[field]}`}
            {...{ field, label }}
            long={long ?? false}
            value={said[field]}
            usual={field === 'care' ? usualCare(plan) : ''}
          />
        ))}
      </Section>
    </>
  );
}

/** One of them: kept when the field is left. */
function Said({
  field,
  label,
  long,
  value,
  usual,
}: {
  field: RecordField;
  label: string;
  long: boolean;
  value: string;
  usual: string;
}) {
  const dispatch = useAppDispatch();
  const [text, setText] = useState(value);
  const keep = () => {
    if (text.trim() !== value) void dispatch(recordFieldSet(field, text.trim()));
  };
  return (
    <WordsField
      {...{ label, long }}
      placeholder={usual}
      value={text}
      onChange={setText}
      onBlur={keep}
      maxLength={2000}
    />
  );
}
