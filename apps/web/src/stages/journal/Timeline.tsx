import { type JournalLine, JOURNAL_KINDS, type JournalKind, STAGES } from '@lattice/core';
import {
  CalendarCheck,
  Gift,
  NotebookPen,
  PenLine,
  Ruler,
  Scissors,
  ShoppingBasket,
  Spool,
  Timer,
  Wrench,
} from 'lucide-react';
import { useMemo, useState } from 'react';
import { Input, SearchField } from 'react-aria-components';
import { Link, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { STAGE_NAMES } from '../../state/stageNames.ts';
import { selectPlan } from '../../state/selectors.ts';
import { noteReworded, noteStruck } from './journal.ts';
import { NoteText } from './NoteText.tsx';
import { placeOf } from './place.ts';
import { Photo } from './Photo.tsx';
import { useJournal, whenOf } from '../../rooms/journal/useJournal.ts';
import { KIND_WORDS } from './words.ts';
import { narrow } from '../../design/media.ts';

const Tools = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 14px;
  margin-bottom: 10px;
  h1 {
    margin-right: auto;
    font: 650 var(--size-head)/1.25 var(--name);
  }
  input {
    width: 170px;
    min-height: 32px;
    padding: 4px 10px;
    border: 1px solid var(--line);
    border-radius: 8px;
    background: var(--field);
  }
`;
const Day = styled.section`
  > h2 {
    position: sticky;
    top: -18px;
    z-index: 1;
    padding: 12px 0 6px;
    font-size: var(--size-note);
    font-weight: 600;
    color: var(--soft);
    background: var(--ground);
  }
  ol {
    margin: 0;
    padding: 0;
    list-style: none;
    /* The running stitch that holds a day together. */
    border-left: 2px dashed var(--line);
  }
`;
const Line = styled.li`
  display: grid;
  grid-template-columns: 28px 48px minmax(0, 1fr) auto;
  gap: 4px 8px;
  align-items: start;
  margin-left: -14px;
  padding: 6px 0;
  font-size: var(--size-read);
  .mark {
    display: grid;
    place-items: center;
    width: 26px;
    height: 26px;
    border: 1px solid var(--line);
    border-radius: 50%;
    background: var(--card);
    color: var(--soft);
  }
  &[data-kind='note'] .mark,
  &[data-kind='verdict'] .mark {
    border-color: var(--thread);
    color: var(--thread);
  }
  &[data-kind='measure'] .mark {
    border-color: var(--chalk);
    color: var(--chalk);
  }
  time {
    padding-top: 3px;
    font-size: var(--size-note);
    font-variant-numeric: tabular-nums;
    color: var(--soft);
  }
  .text {
    padding-top: 1px;
    overflow-wrap: anywhere;
    white-space: pre-line;
  }
  &[data-struck] .text > span {
    text-decoration: line-through;
    color: var(--soft);
  }
  .text small {
    display: block;
    font-size: var(--size-note);
    color: var(--soft);
  }
  .photos {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin-top: 6px;
  }
  img {
    max-height: 150px;
    border: 1px solid var(--line);
    border-radius: 8px;
  }
  .ways {
    display: flex;
    flex-wrap: wrap;
    justify-content: flex-end;
    font-size: var(--size-note);
    a {
      padding: 4px 8px;
    }
  }
  ${narrow} {
    grid-template-columns: 28px 44px minmax(0, 1fr);
    .ways {
      grid-column: 3;
      justify-content: flex-start;
    }
  }
`;
const Empty = styled.p`
  max-width: 46ch;
  margin: 40px 0;
  color: var(--soft);
`;

const MARKS: Readonly<Record<JournalKind, typeof Ruler>> = {
  note: NotebookPen,
  change: PenLine,
  measure: Ruler,
  verdict: Wrench,
  cut: Scissors,
  sewn: Spool,
  bought: ShoppingBasket,
  booked: CalendarCheck,
  time: Timer,
  group: Gift,
};
const ANY = { id: '', name: 'Everything' };
const kinds = [ANY, ...JOURNAL_KINDS.map((id) => ({ id, name: KIND_WORDS[id] }))];
const stages = [
  { id: '', name: 'At any stage' },
  ...STAGES.filter((id) => id !== 'journal').map((id) => ({ id, name: `At ${STAGE_NAMES[id]}` })),
];

/** One line of time, the latest first: searched, filtered, and each thing leads to its place on the quilt. */
export function Timeline({ onPoint }: { onPoint: (line: JournalLine | null) => void }) {
  const lines = useJournal();
  const [params, setParams] = useSearchParams();
  const [words, setWords] = useState('');
  const kind = params.get('kind') ?? '';
  const stage = params.get('at') ?? '';
  const set = (key: string, value: string) =>
    setParams(
      (had) => {
        const next = new URLSearchParams(had);
        if (value === '') next.delete(key);
        else next.set(key, value);
        return next;
      },
      { replace: true },
    );
  const days = useMemo(() => {
    const looked = words.trim().toLowerCase();
    const found = lines.filter(
      (line) =>
        (kind === '' || line.kind === kind) &&
        (stage === '' || line.stage === stage) &&
        (looked === '' || `${line.text} ${line.earlier.join(' ')}`.toLowerCase().includes(looked)),
    );
    const by = new Map<string, JournalLine[]>();
    for (const line of [...found].reverse()) {
      const { day } = whenOf(line.at);
      by.set(day, [...(by.get(day) ?? []), line]);
    }
    return [...by];
  }, [lines, kind, stage, words]);
  return (
    <>
      <Tools>
        <h1>Journal</h1>
        <SearchField aria-label="Look in the journal" value={words} onChange={setWords}>
          <Input placeholder="Look for a word" />
        </SearchField>
        <ChoiceField label="What is shown" value={kind} choices={kinds} onChange={(id) => set('kind', id)} />
        <ChoiceField label="Of which stage" value={stage} choices={stages} onChange={(id) => set('at', id)} />
      </Tools>
      {days.length === 0 && (
        <Empty>
          {lines.length === 0
            ? 'Nothing has happened yet. Whatever is measured, decided, cut, sewn and bought writes itself down here; notes and photos are yours to add.'
            : 'Nothing like it. Look for another word, or show everything.'}
        </Empty>
      )}
      {days.map(([day, of]) => (
        <Day key={day}>
          <h2>{day}</h2>
          <ol>
            {of.map((line) => (
              <TimeLine key={line.id} line={line} onPoint={onPoint} />
            ))}
          </ol>
        </Day>
      ))}
    </>
  );
}

function TimeLine({ line, onPoint }: { line: JournalLine; onPoint: (line: JournalLine | null) => void }) {
  const { id, at, kind, text, earlier, struck, pictures } = line;
  const quilt = useAppSelector((s) => s.saving.id)!;
  const plan = useAppSelector(selectPlan);
  const dispatch = useAppDispatch();
  const [rewording, setRewording] = useState(false);
  const Mark = MARKS[kind];
  const place = placeOf(plan, line);
  return (
    <Line
      data-kind={kind}
      data-struck={struck || undefined}
      onPointerEnter={() => onPoint(line)}
      onPointerLeave={() => onPoint(null)}
      onFocus={() => onPoint(line)}
    >
      <span className="mark">
        <Mark size={14} aria-hidden />
      </span>
      <time dateTime={at}>{whenOf(at).time}</time>
      <div className="text">
        {rewording ? (
          <NoteText
            label="What the note says"
            initial={text}
            action="Keep it so"
            onKeep={(next) => {
              if (next !== text) void dispatch(noteReworded(id, next));
              setRewording(false);
            }}
            onLeave={() => setRewording(false)}
          />
        ) : (
          <span>
            {place?.name !== undefined && kind === 'note' && <b>{place.name}: </b>}
            <Lengths text={text} />
            {struck && ' (struck out)'}
          </span>
        )}
        {earlier.map((before, i) => (
          <small key={i}>before: {before}</small>
        ))}
        {pictures.length > 0 && (
          <span className="photos">
            {pictures.map((picture, i) => (
              <Photo key={picture} id={picture} alt={`Photo ${i + 1} of the note: ${text.slice(0, 60)}`} />
            ))}
          </span>
        )}
      </div>
      <span className="ways">
        {place && (
          <Link to={`/quilts/${quilt}/${place.to}`} aria-label={`Go to it: ${place.name}`}>
            Go to it
          </Link>
        )}
        {kind === 'note' && !rewording && (
          <>
            <Button
              look="quiet"
              aria-label={`Reword: ${text.slice(0, 40)}`}
              onPress={() => setRewording(true)}
            >
              Reword
            </Button>
            <Button
              look="quiet"
              aria-label={`${struck ? 'Keep it' : 'Strike out'}: ${text.slice(0, 40)}`}
              onPress={() => void dispatch(noteStruck(id, !struck))}
            >
              {struck ? 'Keep it' : 'Strike out'}
            </Button>
          </>
        )}
      </span>
    </Line>
  );
}
