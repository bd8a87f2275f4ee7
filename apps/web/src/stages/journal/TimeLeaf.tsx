import { type Work, WORK_WORDS, WORKS } from '@lattice/core';
import { useState } from 'react';
import styled from 'styled-components';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { clockStarted, selectSittings, timeNoted } from '../../rooms/clock/clock.ts';
import { StopClock } from '../../rooms/clock/ClockButton.tsx';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { CountField } from '../../design/controls/CountField.tsx';
import { SwitchField } from '../../design/controls/SwitchField.tsx';
import { WordsField } from '../../design/controls/WordsField.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { selectPlan } from '../../state/selectors.ts';

const Runs = styled.p`
  margin: 8px 0;
  font-size: var(--size-read);
`;

const works = WORKS.map((id) => ({ id, name: WORK_WORDS[id].name }));

/** The clock, and time written down afterwards. */
export function TimeLeaf() {
  const { running } = useAppSelector(selectSittings);
  const id = useAppSelector((s) => s.saving.id);
  const dispatch = useAppDispatch();
  const [work, setWork] = useState<Work>('sew');
  return (
    <>
      <Section title="The clock">
        {running ? (
          <>
            <Runs role="status">
              {WORK_WORDS[running.work].name}
              {running.quilt !== id && ', at another quilt'}
              {running.step !== null && `, ${running.step}`}: the clock runs.
            </Runs>
            <StopClock running={running} />
          </>
        ) : (
          <>
            <ChoiceField
              label="To do"
              labelled
              value={work}
              choices={works}
              onChange={(next) => setWork(next as Work)}
            />
            <Button look="main" onPress={() => void dispatch(clockStarted(work))}>
              Start the clock
            </Button>
          </>
        )}
      </Section>
      <WriteDown />
    </>
  );
}

function WriteDown() {
  const dispatch = useAppDispatch();
  const [work, setWork] = useState<Work>('sew');
  const [minutes, setMinutes] = useState(60);
  const [counted, setCounted] = useState(false);
  const [amount, setAmount] = useState(10);
  const [step, setStep] = useState('');
  const { sittings } = useAppSelector(selectSittings);
  const steps = [...new Set(sittings.flatMap((sitting) => sitting.steps.map((one) => one.step)))];
  const unit = useAppSelector((state) => selectPlan(state).unit);
  const { one, holds } = WORK_WORDS[work].per[unit];
  return (
    <Section title="Write time down">
      <ChoiceField
        label="Spent on"
        labelled
        value={work}
        choices={works}
        onChange={(next) => setWork(next as Work)}
      />
      <CountField
        label="Minutes"
        value={minutes}
        onCommit={(value) => {
          if (value < 1 || value > 24 * 60) return 'From one minute to a day.';
          setMinutes(value);
          return null;
        }}
      />
      <WordsField
        label="At which step, if you like"
        value={step}
        onChange={setStep}
        maxLength={200}
        list="steps-before"
      />
      <datalist id="steps-before">
        {steps.map((one) => (
          <option key={one} value={one} />
        ))}
      </datalist>
      {work !== 'other' && (
        <SwitchField label="I know how much was done" value={counted} onChange={setCounted} />
      )}
      {counted && work !== 'other' && (
        <CountField
          label={`Done, each ${one} counts one`}
          value={amount}
          onCommit={(value) => {
            if (value < 1 || value > 100_000) return 'At least one.';
            setAmount(value);
            return null;
          }}
        />
      )}
      <Button
        onPress={() =>
          void dispatch(
            timeNoted(work, minutes, counted && work !== 'other' ? amount * holds : null, step.trim()),
          )
        }
      >
        Write it down
      </Button>
    </Section>
  );
}
