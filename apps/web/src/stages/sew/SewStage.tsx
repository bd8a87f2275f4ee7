import {
  CLOSING_STEPS,
  easeSays,
  type GuideStep,
  judgePart,
  numberOf,
  partSays,
  type PartSize,
  type Work,
  settingOf,
} from '@lattice/core';
import { Check, Play } from 'lucide-react';
import { useState } from 'react';
import { TabList, TabPanel } from 'react-aria-components';
import { Link } from 'react-router';
import styled from 'styled-components';
import { useLeaf } from '../../browser/useInAddress.ts';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { ClockButton } from '../../rooms/clock/ClockButton.tsx';
import { Button } from '../../design/controls/Button.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { Leaf, Leaves } from '../../design/Leaf.ts';
import { Lengths } from '../../design/Lengths.tsx';
import { Verdict } from '../../design/Verdict.ts';
import { Caution } from '../../rooms/figures/Caution.tsx';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { TapePanel } from '../blocks/TapePanel.tsx';
import { MeasureSection } from '../borders/MeasureSection.tsx';
import { StageGrid, StageSide } from '../stageLayout.ts';
import { FatSeam } from './FatSeam.tsx';
import { GrowingQuilt } from './GrowingQuilt.tsx';
import { actsDone, actsUndone, partMeasured } from './sewing.ts';
import { actTitle, lowered } from './actTitle.ts';
import { TwoSides } from './TwoSides.tsx';
import { type AtSewing, useSewing } from './useSewing.ts';
import { WaysToSew } from './WaysToSew.tsx';
import { narrow, touch } from '../../design/media.ts';

const Board = styled.div`
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  min-width: 0;
  min-height: 0;
  padding: 12px 26px 14px;
  .head {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: space-between;
    gap: 6px 16px;
    margin-bottom: 10px;
  }
  h1 {
    font-size: var(--size-lead);
    font-weight: 650;
  }
  .says {
    margin-top: 8px;
    font-size: var(--size-note);
    color: var(--soft);
  }
  ${narrow} {
    grid-template-rows: auto min(100vw, 60vh) auto;
    padding: 12px 14px;
  }
`;
const ToMachine = styled(Link)`
  display: inline-flex;
  align-items: center;
  gap: 8px;
  padding: 9px 18px;
  border-radius: 9px;
  background: var(--thread);
  color: var(--on-thread);
  font-weight: 700;
  text-decoration: none;
  &:focus-visible {
    outline: 2px solid var(--chalk);
    outline-offset: 2px;
  }
`;
const Steps = styled.ol`
  list-style: none;
  padding: 0;
  > li {
    border-top: 1px solid var(--line);
  }
  .name {
    display: grid;
    grid-template-columns: 26px minmax(0, 1fr) auto;
    gap: 8px;
    width: 100%;
    padding: 10px 0;
    border: 0;
    background: none;
    font: inherit;
    font-size: var(--size-read);
    text-align: left;
    cursor: pointer;
    color: var(--ink);
  }
  .name:focus-visible {
    outline: 2px solid var(--chalk);
    outline-offset: -2px;
  }
  .name[aria-expanded='true'] {
    font-weight: 650;
  }
  .number {
    color: var(--soft);
    font-variant-numeric: tabular-nums;
  }
  .count {
    font-size: var(--size-note);
    color: var(--soft);
    white-space: nowrap;
  }
  .body {
    padding: 0 0 12px 34px;
    font-size: var(--size-text);
  }
  .body p {
    margin: 4px 0;
  }
  .lies {
    height: 190px;
    margin: 6px 0 10px;
    font-size: var(--size-note);
  }
  .lies figure {
    height: 100%;
    font-size: var(--size-note);
  }
  .wrong {
    color: var(--soft);
    font-size: var(--size-note);
  }
  ${touch} {
    .name {
      min-height: 48px;
    }
  }
`;
const Note = styled.p`
  margin: 8px 0;
  padding: 10px 12px;
  border-radius: 10px;
  background: var(--brass-wash);
  font-size: var(--size-text);
`;

/** Sew: the steps in their order with the quilt growing, ways to choose from, what to measure on the way. */
export function SewStage() {
  const heard = useSewing();
  if ('says' in heard)
    return (
      <StageGrid>
        <Board>
          <p role="status" aria-busy={heard.waiting || undefined}>
            {heard.says}
          </p>
        </Board>
      </StageGrid>
    );
  return <Sewing sewing={heard} />;
}

function Sewing({ sewing }: { sewing: AtSewing }) {
  const [leaf, setLeaf] = useLeaf(['steps', 'ways', 'measure']);
  const plan = useAppSelector(selectPlan);
  const { layout } = useAppSelector(selectQuilt);
  const id = useAppSelector((s) => s.saving.id)!;
  const { at, guide, way, pressing } = sewing;
  const here = at.next === null ? guide.length - 1 : at.acts[at.next]!.step;
  const [open, setOpen] = useState<number | null>(null);
  const shown = open ?? here;
  const hand = at.next === null ? null : at.acts[at.next]!.seam;
  const { trimmed } = settingOf(plan.setting.kind);
  const seams = guide[shown]?.seams ?? [];
  const told =
    at.next === null
      ? 'All is sewn.'
      : `Next: ${hand === null ? lowered(actTitle(at.acts[at.next]!, sewing)) : actTitle(at.acts[at.next]!, sewing)}`;
  return (
    <StageGrid>
      <Board>
        <div className="head">
          <h1>
            {way.seams.length === 0
              ? `The ${trimmed ? 'quilt' : 'top'} is made already`
              : `${way.method.name}: ${at.sewn} of ${numberOf(way.seams.length, 'seam')} sewn`}
          </h1>
          <ToMachine to={`/quilts/${id}/machine`}>
            <Play size={16} aria-hidden />
            At the machine
          </ToMachine>
        </div>
        <GrowingQuilt
          {...{ plan, layout, sewing, seams, hand }}
          label={`${way.seams.length === 0 ? 'The quilt as it is' : `The quilt as it grows: ${at.sewn} of ${numberOf(way.seams.length, 'seam')} sewn`}. ${told}.`}
        />
        <p className="says">
          {told}.{' '}
          {pressing.crossings > 0 &&
            (pressing.unnested.length === 0
              ? `All ${pressing.crossings} crossings nest.`
              : `${pressing.nested} of ${pressing.crossings} crossings nest; the others are marked.`)}
        </p>
      </Board>
      <StageSide aria-label="Sewing">
        <Leaves selectedKey={leaf} onSelectionChange={(key) => setLeaf(String(key))}>
          <TabList aria-label="Steps, ways, measuring">
            <Leaf id="steps">Steps</Leaf>
            <Leaf id="ways">Ways</Leaf>
            <Leaf id="measure">Measure</Leaf>
          </TabList>
          <TabPanel id="steps">
            {at.noLonger.length > 0 && (
              <Note role="status">
                The quilt changed. {numberOf(at.noLonger.length, 'sewn seam')} no longer{' '}
                {at.noLonger.length === 1 ? 'exists' : 'exist'}:{' '}
                {[...new Set(at.noLonger)].slice(0, 3).join('; ')}
                {at.noLonger.length > 3 && ' …'}
              </Note>
            )}
            <Steps aria-label="Steps">
              {guide.map((step, number) => (
                <li key={step.id}>
                  <button
                    type="button"
                    className="name"
                    aria-expanded={number === shown}
                    onClick={() => setOpen(number === open ? null : number)}
                  >
                    <span className="number">
                      {at.steps[number]!.done === at.steps[number]!.all ? (
                        <Check size={17} aria-label="done" />
                      ) : (
                        number + 1
                      )}
                    </span>
                    <span>{step.title}</span>
                    <span className="count">
                      {step.seams.length > 0 &&
                        `${Math.min(at.steps[number]!.done, step.seams.length)} of ${step.seams.length}`}
                    </span>
                  </button>
                  {number === shown && <StepBody {...{ step, number, sewing }} />}
                </li>
              ))}
            </Steps>
            <p>
              <Link to={`/quilts/${id}/sewing-steps`}>The steps, to print</Link>
            </p>
          </TabPanel>
          <TabPanel id="ways">
            <WaysToSew sewing={sewing} />
          </TabPanel>
          <TabPanel id="measure">
            <MeasureSection />
            <FatSeam sewing={sewing} />
          </TabPanel>
        </Leaves>
      </StageSide>
    </StageGrid>
  );
}

/** One step: what to pick up, what to do, what it should measure, what goes wrong. */
function StepBody({ step, number, sewing }: { step: GuideStep; number: number; sewing: AtSewing }) {
  const plan = useAppSelector(selectPlan);
  const { layout } = useAppSelector(selectQuilt);
  const id = useAppSelector((s) => s.saving.id)!;
  const dispatch = useAppDispatch();
  const { at, record, guide } = sewing;
  const { pick, does, measures, wrong, cautions } = step;
  const own = at.acts.filter((act) => act.step === number);
  const open = own.filter(({ done }) => !done);
  // Drawn as it lies: the seam to sew next, or the first of the step.
  const first = (open[0] ?? own[0])?.seam ?? step.seams[0] ?? null;
  return (
    <div className="body">
      <p>
        <Lengths text={pick} />
      </p>
      {first !== null && !step.inOneGo && (
        <div className="lies">
          <TwoSides {...{ plan, layout, sewing }} seam={first} />
        </div>
      )}
      {does.map((line) => (
        <p key={line}>
          <Lengths text={line} />
        </p>
      ))}
      {measures.map((size) => (
        <MeasuredPart key={size.id} size={size} measured={record.measured.get(size.id) ?? null} />
      ))}
      {measuredHere(guide, number) && <MeasureSection />}
      {wrong.map((line) => (
        <p className="wrong" key={line}>
          <Lengths text={line} />
        </p>
      ))}
      {cautions.length > 0 && <Caution>{cautions.join(' ')}</Caution>}
      <p>
        <Link to={`/quilts/${id}/journal?about=${encodeURIComponent(`step:${step.id}`)}`}>
          A note on this step
        </Link>
      </p>
      <ClockButton work={workOf(step)} step={step.title} />
      {open.length > 0 ? (
        <Button onPress={() => void dispatch(actsDone(sewing, open))}>
          {own.length > 1 ? 'All of this is done' : 'Done'}
        </Button>
      ) : (
        <Button look="quiet" onPress={() => void dispatch(actsUndone(own))}>
          Not done after all
        </Button>
      )}
    </div>
  );
}

/** A part that a step makes: what it should measure, what it did, both ways, and what that says. */
function MeasuredPart({
  size,
  measured,
}: {
  size: PartSize;
  measured: { readonly across: number | null; readonly down: number | null } | null;
}) {
  const { unit } = useAppSelector(selectPlan);
  const dispatch = useAppDispatch();
  const { id, what, width, height, ease } = size;
  const ways = [
    { side: 'across', meant: width, other: height, ease: size.ease.width },
    { side: 'down', meant: height, other: width, ease: size.ease.height },
  ] as const;
  const keep = (side: 'across' | 'down', length: number) => {
    if (length <= 0) return 'A part has a length.';
    void dispatch(partMeasured(id, side, length));
    return null;
  };
  // The tape reads what has not been measured yet.
  const next = (measured?.across ?? null) === null ? ways[0] : ways[1];
  return (
    <div role="group" aria-label={what}>
      <p>
        <Lengths
          text={`${partSays(size, unit)}, raw edge to raw edge, as ${size.count > 1 ? 'they lie' : 'it lies'}; ${easeSays(ease, unit)}.`}
        />
      </p>
      {ways.map(({ side, meant, other, ease: give }) => {
        const length = measured?.[side] ?? null;
        const verdict = length === null ? null : judgePart({ meant, other, ease: give }, length, unit);
        return (
          <div key={side}>
            <LengthField
              label={`It measured, ${side}`}
              value={length}
              unit={unit}
              onCommit={(value) => keep(side, value)}
            />
            {verdict && (
              <Verdict data-kind={verdict.kind === 'again' ? 'square-up' : verdict.kind}>
                <Lengths text={verdict.text} />
              </Verdict>
            )}
          </div>
        );
      })}
      <TapePanel unit={unit} meant={next.meant} onReading={(length) => void keep(next.side, length)} />
    </div>
  );
}

/** What kind of work a step is: sewing the top, or what comes after it. */
const workOf = ({ id }: GuideStep): Work =>
  id === 'layer' || id === 'turn'
    ? 'baste'
    : id === 'quilt'
      ? 'quilt'
      : (CLOSING_STEPS as readonly string[]).includes(id)
        ? 'bind'
        : 'sew';

/** Whether the top is measured six ways when a step is done: before a border goes on, and when the last one is. */
function measuredHere(guide: AtSewing['guide'], number: number): boolean {
  const border = (at: number) =>
    /^(border-.+)-(sides|ends|squares|strips|mitres)$/.exec(guide[at]?.id ?? '')?.[1];
  const [here, next] = [border(number), border(number + 1)];
  return guide[number]!.seams.length > 0 && here !== next && (next !== undefined || here !== undefined);
}
