import { type Giver, giversOf, numberOf, VERDICT_NAMES } from '@lattice/core';
import { ArrowLeft, Gift, Printer } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { CountField } from '../../design/controls/CountField.tsx';
import { DayField } from '../../design/controls/DayField.tsx';
import { WordsField } from '../../design/controls/WordsField.tsx';
import { selectPlan } from '../../state/selectors.ts';
import { writeLog } from '../../sync/outbox/writeLog.ts';
import { sayDate } from '../journal/useJournal.ts';
import { narrow } from '../../design/media.ts';

const Page = styled.div`
  height: 100%;
  overflow: auto;
  padding: 18px 24px 48px;
  .top {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px 18px;
    margin-bottom: 6px;
    h1 {
      margin-right: auto;
      font: 650 var(--size-head)/1.25 var(--name);
    }
    a {
      display: inline-flex;
      align-items: center;
      gap: 6px;
      font-weight: 600;
      font-size: var(--size-text);
    }
  }
  .says {
    max-width: 70ch;
    margin-bottom: 14px;
    color: var(--soft);
  }
  ${narrow} {
    padding: 14px 16px 36px;
  }
`;
const People = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(260px, 1fr));
  gap: 10px;
  margin: 0;
  padding: 0;
  list-style: none;
  li {
    display: grid;
    gap: 2px;
    align-content: start;
    padding: 10px 14px;
    border: 1px solid var(--line);
    border-radius: 10px;
    background: var(--card);
    font-size: var(--size-text);
  }
  strong {
    font-size: var(--size-lead);
  }
  li[data-missing] {
    border-style: dashed;
    border-color: var(--brass);
  }
  .soft {
    color: var(--soft);
  }
  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 0 4px;
    margin-left: -12px;
  }
`;
const Ask = styled.form`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 10px 16px;
  margin: 22px 0 0;
  padding: 14px;
  border: 1px solid var(--line);
  border-radius: 10px;
  h2 {
    flex-basis: 100%;
    font-size: var(--size-read);
  }
`;

/** Everyone who gives blocks: what was asked, what came back, what is to be done with it, who is still to be thanked. */
export function GroupPage() {
  const plan = useAppSelector(selectPlan);
  const log = useAppSelector((s) => s.log);
  const id = useAppSelector((s) => s.saving.id)!;
  const givers = useMemo(() => giversOf(plan, log, id), [plan, log, id]);
  const missing = givers.reduce((sum, giver) => sum + giver.missing, 0);
  const unthanked = givers.filter(({ came, thanked }) => came.length > 0 && !thanked).length;
  return (
    <Page>
      <div className="top">
        <Link to={`/quilts/${id}/blocks`}>
          <ArrowLeft size={15} aria-hidden /> Blocks
        </Link>
        <h1>The group</h1>
        <Link to={`/quilts/${id}/request`}>
          <Printer size={15} aria-hidden /> What is asked of them
        </Link>
        <Link to={`/quilts/${id}/sewing-day`}>
          <Printer size={15} aria-hidden /> Sheets for a sewing day
        </Link>
      </div>
      <p className="says" role="status">
        {givers.length === 0
          ? 'Nobody yet. Name who made a block under Blocks, or ask somebody for some here. Names stay with your own app.'
          : `${numberOf(givers.length, 'person', 'people')}; ${missing === 0 ? 'every block that was asked for is here' : `${numberOf(missing, 'block')} still to come`}; ${unthanked === 0 ? 'everyone is thanked' : `${unthanked} still to be thanked`}.`}
      </p>
      <People aria-label="By maker">
        {givers.map((giver) => (
          <Person key={giver.who} giver={giver} />
        ))}
      </People>
      <AskSomebody />
    </Page>
  );
}

function Person({ giver: { who, asked, by, came, missing, thanked } }: { giver: Giver }) {
  const dispatch = useAppDispatch();
  const id = useAppSelector((s) => s.saving.id)!;
  return (
    <li data-missing={missing > 0 || undefined}>
      <strong>{who}</strong>
      {asked > 0 && (
        <span className="soft">
          asked for {numberOf(asked, 'block')}
          {by !== null && `, by ${sayDate(by)}`}
          {missing > 0 && `; ${missing} to come`}
        </span>
      )}
      {came.map(({ block, verdict }) => (
        <span key={block.id}>
          <Link to={`/quilts/${id}/blocks?sheet=${encodeURIComponent(`block ${block.id}`)}`}>
            {block.name}
          </Link>
          : {block.settled ? 'done' : VERDICT_NAMES[verdict.kind].toLowerCase()}
        </span>
      ))}
      <span className="ways">
        {came.length > 0 && (
          <Button
            look="quiet"
            aria-label={`${thanked ? 'Thanked' : 'Thank them'}: ${who}`}
            onPress={() =>
              void dispatch(writeLog([{ kind: 'maker-thanked', body: { who, thanked: !thanked } }]))
            }
          >
            <Gift size={15} aria-hidden />
            {thanked ? 'Thanked' : 'Thank them'}
          </Button>
        )}
        {asked > 0 && missing > 0 && (
          <Button
            look="quiet"
            aria-label={`No more from them: ${who}`}
            onPress={() =>
              void dispatch(writeLog([{ kind: 'blocks-asked', body: { who, count: came.length, by } }]))
            }
          >
            No more from them
          </Button>
        )}
      </span>
    </li>
  );
}

function AskSomebody() {
  const dispatch = useAppDispatch();
  const [who, setWho] = useState('');
  const [count, setCount] = useState(1);
  const [by, setBy] = useState<string | null>(null);
  const plain = who.trim();
  return (
    <Ask
      aria-label="Ask somebody"
      onSubmit={(event) => {
        event.preventDefault();
        if (plain === '') return;
        void dispatch(writeLog([{ kind: 'blocks-asked', body: { who: plain, count, by } }]));
        setWho('');
      }}
    >
      <h2>Ask somebody for blocks</h2>
      <WordsField label="Who" value={who} onChange={setWho} maxLength={80} />
      <CountField
        label="How many"
        value={count}
        onCommit={(value) => {
          if (value < 1 || value > 500) return 'From 1 to 500.';
          setCount(value);
          return null;
        }}
      />
      <DayField label="By the day" value={by} onChange={setBy} />
      <Button type="submit" look="main" isDisabled={plain === ''}>
        Ask
      </Button>
    </Ask>
  );
}
