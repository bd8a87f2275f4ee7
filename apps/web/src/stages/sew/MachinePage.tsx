import {
  actsWith,
  capital,
  easeSays,
  formatSize,
  howSidesLie,
  numberOf,
  type PartSize,
  type Plan,
  rawSizeOf,
} from '@lattice/core';
import { useEffect, useRef } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { useSheet } from '../../browser/useInAddress.ts';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { clockMoved } from '../../rooms/clock/clock.ts';
import { ClockButton } from '../../rooms/clock/ClockButton.tsx';
import { Button } from '../../design/controls/Button.tsx';
import { Caution } from '../../rooms/figures/Caution.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { GrowingQuilt } from './GrowingQuilt.tsx';
import { LostPlace } from './LostPlace.tsx';
import { actsDone, actsUndone } from './sewing.ts';
import { type AtSewing, useSewing } from './useSewing.ts';
import { actTitle, lowered } from './actTitle.ts';
import { TwoSides } from './TwoSides.tsx';
import { useWorkAfter } from '../useWorkAfter.ts';
import { useAwake } from './useAwake.ts';
import { small } from '../../design/media.ts';

const Page = styled.div`
  position: fixed;
  z-index: 20;
  inset: 0;
  display: grid;
  grid-template-rows: auto auto minmax(0, 1fr) auto;
  gap: 10px;
  padding: 20px clamp(16px, 3vw, 36px) 24px;
  overflow: auto;
  background: var(--card);
  .bar {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 18px;
    font-size: var(--size-read);
    color: var(--soft);
  }
  .bar .last {
    display: flex;
    align-items: center;
    gap: 6px;
    margin-left: auto;
    font-weight: 650;
  }
  h1 {
    font: 800 var(--size-machine-figure) / 1.05 var(--text);
    text-wrap: balance;
    font-stretch: 82%;
  }
  .says {
    font-size: var(--size-machine-note);
    margin-top: 8px;
  }
  .middle {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(150px, 24vw);
    gap: 24px;
    min-height: 240px;
  }
  .so-far {
    display: grid;
    grid-template-rows: minmax(0, 1fr) auto;
    min-height: 0;
    font-size: var(--size-text);
    color: var(--soft);
  }
  .so-far b {
    display: block;
    font-size: var(--size-machine);
    line-height: 1.15;
    font-stretch: 88%;
    color: var(--ink);
  }
  ${small} {
    grid-template-rows: auto auto auto auto;
    .middle {
      min-height: min-content;
      grid-template-columns: minmax(0, 1fr);
      grid-template-rows: 260px auto;
    }
    .so-far {
      grid-template-rows: 160px auto;
    }
  }
`;
const Foot = styled.div`
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 14px;
  button {
    min-height: 68px;
    padding: 8px 26px;
    border-radius: 14px;
    font-size: var(--size-title);
    white-space: normal;
  }
  .go button,
  .go {
    width: 100%;
  }
  .go button {
    justify-content: space-between;
    font-size: var(--size-machine-note);
    text-align: left;
  }
  kbd {
    padding: 3px 9px;
    border: 1px solid currentColor;
    border-radius: 8px;
    font: 600 var(--size-text)/1.2 var(--text);
  }
  ${small} {
    kbd {
      display: none;
    }
  }
`;

/** At the machine: one act at a time in large type; space, a pedal's key, the arrows or a tap go on. */
export function MachinePage() {
  const heard = useSewing();
  const id = useAppSelector((s) => s.saving.id)!;
  if ('says' in heard)
    return (
      <Page>
        <p role="status">{heard.says}</p>
        <Link to={`/quilts/${id}/sew`}>Back to the steps</Link>
      </Page>
    );
  return <Machine sewing={heard} />;
}

/** Keys that go on, and keys that go back: a pedal sends one of them. */
const ON = new Set(['Space', 'Enter', 'ArrowRight', 'ArrowDown', 'PageDown']);
const BACK = new Set(['ArrowLeft', 'ArrowUp', 'PageUp', 'Backspace']);
const HAS_KEYS = 'input, textarea, select, [role=dialog], [role=listbox], a';

function Machine({ sewing }: { sewing: AtSewing }) {
  const plan = useAppSelector(selectPlan);
  const { layout } = useAppSelector(selectQuilt);
  const id = useAppSelector((s) => s.saving.id)!;
  const offline = useAppSelector((s) => s.outbox.message !== null);
  const dispatch = useAppDispatch();
  const lost = useSheet('lost');
  useAwake();
  const go = useRef<HTMLSpanElement>(null);
  useWorkAfter(lost.open !== null, go);
  const { at, way, guide, words, parts } = sewing;
  const act = at.next === null ? null : at.acts[at.next]!;
  const last = at.acts.findLast(({ done }) => done) ?? null;
  const now = act ? actsWith(at, guide, act) : [];
  const after = act ? (at.acts[at.acts.indexOf(now.at(-1)!) + 1] ?? null) : null;
  const done = () => {
    if (!act) return;
    void dispatch(actsDone(sewing, now));
    if (after) void dispatch(clockMoved('sew', guide[after.step]!.title));
  };
  const back = () => last && void dispatch(actsUndone(actsWith(at, guide, last)));
  useKeys(lost.open !== null ? null : done, lost.open !== null ? null : back);
  const step = act ? guide[act.step]! : null;
  // What is sewn in one go is told and drawn as a step.
  const hand = step?.inOneGo ? null : (act?.seam ?? null);
  const seam = hand === null ? null : way.seams[hand]!;
  const inHand = sizesInHand(sewing, plan, hand, step);
  const title = act ? actTitle(act, sewing) : 'All is done';
  return (
    <Page>
      <div className="bar">
        <span>
          {plan.title} · {way.method.name.toLowerCase()} · seam {Math.min(at.sewn + 1, way.seams.length)} of{' '}
          {way.seams.length}
          {offline && ' · kept here until the server is back'}
        </span>
        <span className="last">
          <ClockButton work="sew" step={step?.title} />
          <Button look="quiet" onPress={() => lost.show()}>
            I have lost my place
          </Button>
          <Link to={`/quilts/${id}/sew`}>The steps</Link>
        </span>
      </div>
      <div aria-live="polite">
        <h1>{title}</h1>
        <p className="says">
          <Lengths
            text={
              hand !== null && seam
                ? howSidesLie(sewing.sewing.top, seam).says(words, parts[hand]!)
                : saysOf(act, step)
            }
          />
        </p>
      </div>
      <div className="middle">
        {hand !== null ? (
          <TwoSides {...{ plan, layout, sewing }} seam={hand} />
        ) : (
          <GrowingQuilt
            {...{ plan, layout, sewing }}
            seams={step?.seams ?? NONE}
            hand={null}
            label="The seams of this step, with the way each is pressed"
          />
        )}
        <div className="so-far">
          <GrowingQuilt
            {...{ plan, layout, sewing }}
            seams={NONE}
            hand={hand}
            label={`The quilt so far: ${at.sewn} of ${numberOf(way.seams.length, 'seam')}`}
          />
          {inHand.map(({ id: of, what, width, height, ease }) => (
            <p key={of}>
              {what}, when pressed
              <b>
                <Lengths text={formatSize(width, height, plan.unit)} />
              </b>
              <Lengths text={`edge to edge${ease === null ? '' : `; ${easeSays(ease, plan.unit)}`}`} />
            </p>
          ))}
          {step && act && at.steps[act.step]!.done === 0 && step.cautions.length > 0 && (
            <Caution>{step.cautions.join(' ')}</Caution>
          )}
        </div>
      </div>
      <Foot>
        <Button isDisabled={last === null} onPress={back}>
          Back
        </Button>
        <span className="go" ref={go}>
          <Button look="main" isDisabled={act === null} onPress={done}>
            {act === null
              ? 'Nothing more to do'
              : `${act.kind === 'seam' ? 'Sewn' : act.kind === 'press' ? 'Pressed' : 'Done'}.${after ? ` Next: ${lowered(actTitle(after, sewing))}` : ''}`}
            <kbd>space or pedal</kbd>
          </Button>
        </span>
      </Foot>
      {lost.open !== null && <LostPlace {...{ plan, layout, sewing }} onClose={lost.close} />}
    </Page>
  );
}

const NONE: readonly number[] = [];

/** What is in hand when this seam is sewn; when a step is pressed, what it made. A mitre leaves its strips over-long. */
function sizesInHand(
  { parts, words, way }: AtSewing,
  { seam }: Plan,
  hand: number | null,
  step: AtSewing['guide'][number] | null,
): (Pick<PartSize, 'id' | 'what' | 'width' | 'height'> & { readonly ease: PartSize['ease'] | null })[] {
  if (hand === null) return step?.measures.slice(0, 3) ?? [];
  const { made } = parts[hand]!;
  if (way.seams[hand]!.mitre || step?.id.endsWith('-strips')) return [];
  const { the } = words.part(made);
  return [{ id: the, what: capital(the), ...rawSizeOf(made, seam), ease: null }];
}

function saysOf(act: AtSewing['at']['acts'][number] | null, step: AtSewing['guide'][number] | null): string {
  if (!act || !step) return 'Every seam is sewn and every step done. Put your feet up.';
  // From the iron on: a unit is trimmed when it is pressed.
  if (act.kind === 'press')
    return step.does.slice(step.does.findLastIndex((does) => /^(Press|Set) /.test(does))).join(' ');
  return [step.pick, ...step.does].join(' ');
}

/** Keys go on and back, unless something else has the keyboard. */
function useKeys(on: (() => unknown) | null, back: (() => unknown) | null): void {
  useEffect(() => {
    if (!on || !back) return;
    const pressed = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (event.repeat || target.closest(HAS_KEYS)) return;
      const act = ON.has(event.code) ? on : BACK.has(event.code) ? back : null;
      // A button that has the keyboard does its own work.
      if (!act || (target.closest('button') && (event.code === 'Space' || event.code === 'Enter'))) return;
      event.preventDefault();
      act();
    };
    document.addEventListener('keydown', pressed);
    return () => document.removeEventListener('keydown', pressed);
  });
}
