import {
  capital,
  CAUTIONS,
  drawsIn,
  formatRun,
  formatWithUnit,
  type Layers,
  MARKING_NAMES,
  MARKINGS,
  type Plan,
  plannedFor,
} from '@lattice/core';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { Why } from '../../design/controls/Why.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { AdviceFor } from '../../rooms/figures/AdviceFor.tsx';
import { Caution } from '../../rooms/figures/Caution.tsx';
import { FigureLine } from '../../rooms/figures/Line.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { selectBooking } from '../../state/bookingSelectors.ts';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';
import { LongArm } from './LongArm.tsx';

const Steps = styled.ol`
  margin: 6px 0;
  padding-left: 20px;
  font-size: var(--size-text);
  li {
    padding: 3px 0;
  }
`;
const BY = [
  { id: 'home', name: 'Quilt it myself' },
  { id: 'long-arm', name: 'Send it to a long-arm service' },
];
const markings = MARKINGS.map((id) => ({ id, name: MARKING_NAMES[id] }));

/** Who quilts it: the service that is asked, or the marking and basting list for quilting at home. */
export function QuiltingSection({ layers }: { layers: Layers }) {
  const plan = useAppSelector(selectPlan);
  const booking = useAppSelector(selectBooking);
  const edit = useEdit();
  return (
    <>
      <Section title="Quilting">
        <ChoiceField
          labelled
          label="Quilted"
          value={plan.quilting.by}
          choices={BY}
          onChange={(by) =>
            edit((p) => ({ ...p, quilting: { ...p.quilting, by: by as Plan['quilting']['by'] } }))
          }
        />
        {/* A booking stays in sight until it is taken back. */}
        {plan.quilting.by === 'home' && booking === null ? (
          <AtHome layers={layers} />
        ) : (
          <LongArm layers={layers} />
        )}
      </Section>
      <DrawsIn />
    </>
  );
}

/** What the quilt is likely to come to, quilted and washed, and what would have to be planned for its target. */
function DrawsIn() {
  const plan = useAppSelector(selectPlan);
  const { finished, target } = useAppSelector(selectQuilt);
  const { quilted, washed, says } = drawsIn(plan, {
    width: finished.width.value,
    height: finished.height.value,
  });
  const planned = target && plannedFor(plan, { width: target.width.value, height: target.height.value });
  const both = (range: typeof washed, what: string) => (
    <p>
      {what}: <Range figures={range.width} what={`${what.toLowerCase()} width`} unit={plan.unit} /> wide,{' '}
      <Range figures={range.height} what={`${what.toLowerCase()} height`} unit={plan.unit} /> high
    </p>
  );
  return (
    <Section title="What it is likely to come to">
      <div data-testid="draws-in">
        {quilted && both(quilted, 'Quilted')}
        {both(washed, 'Washed')}
        <p>
          <small>
            {capital(says)} (from memory; a scrap quilted and washed tells better).
            {planned && <Lengths text={` To come to its target after that, plan ${planned.says}.`} />}
          </small>
        </p>
      </div>
    </Section>
  );
}

/** From the least to the most, each with its working. */
function Range({
  figures: { least, most },
  what,
  unit,
}: {
  figures: ReturnType<typeof drawsIn>['washed']['width'];
  what: string;
  unit: Plan['unit'];
}) {
  return (
    <b>
      <Why figure={least} text={formatWithUnit(least.value, unit)} what={`the least ${what}`} />
      {least.value !== most.value && (
        <>
          {' to '}
          <Why figure={most} text={formatWithUnit(most.value, unit)} what={`the most ${what}`} />
        </>
      )}
    </b>
  );
}

function AtHome({ layers: { marked, batting, backing } }: { layers: Layers }) {
  const plan = useAppSelector(selectPlan);
  const edit = useEdit();
  const { unit, quilting } = plan;
  const change = (part: Partial<Plan['quilting']>) =>
    edit((p) => ({ ...p, quilting: { ...p.quilting, ...part } }));
  const inDitch = quilting.marking === 'ditch';
  const size = `${formatWithUnit(backing.width.value, unit)} by ${formatWithUnit(backing.height.value, unit)}`;
  return (
    <>
      <ChoiceField
        labelled
        label="Lines"
        value={quilting.marking}
        choices={markings}
        onChange={(marking) => change({ marking: marking as Plan['quilting']['marking'] })}
      />
      {!inDitch && (
        <LengthField
          label="Apart"
          value={quilting.spacing}
          unit={unit}
          step={unit === 'in' ? 0.25 : 0.5}
          onCommit={(spacing) => change({ spacing })}
        />
      )}
      <AdviceFor path="quilting.spacing" />
      <ul data-testid="marking">
        {!inDitch && <FigureLine name="Lines to mark" figure={marked.count} unit={unit} />}
        <FigureLine
          name="Quilting, end to end"
          figure={marked.length}
          unit={unit}
          text={formatRun(marked.length.value, unit)}
        />
        <FigureLine
          name="Thread, about"
          figure={marked.thread}
          unit={unit}
          text={formatRun(marked.thread.value, unit)}
        />
        <FigureLine name="Safety pins to baste with" figure={marked.pins} unit={unit} />
      </ul>
      <Steps aria-label="Basting and marking">
        <li>Press the top and trim its threads: dark ones show through.</li>
        {!inDitch && (
          <li>
            Mark the {marked.count.value} lines on the top from the middle outward; try the marker on a scrap
            first.
          </li>
        )}
        <li>
          Press the backing and lay it wrong side up, <Lengths text={size} />; tape its edges, taut and not
          stretched.
        </li>
        <li>
          Lay the batting on it,{' '}
          <Lengths
            text={`${formatWithUnit(batting.width.value, unit)} by ${formatWithUnit(batting.height.value, unit)}`}
          />
          , and smooth it from the middle.
        </li>
        <li>
          Lay the top on, right side up, the same overhang on every side, its sides parallel to the backing’s.
        </li>
        <li>
          Pin from the middle outward, {marked.pins.value} safety pins a hand’s breadth apart, clear of the
          lines; count them in and out again.
        </li>
        <li>
          Quilt from the middle outward; turn the quilt between lines, so that it is not pushed one way.
        </li>
        <li>Trim square once it is quilted, and measure it: the edge follows what it measures.</li>
      </Steps>
      <Caution>
        {CAUTIONS.spray} {CAUTIONS.pins} {CAUTIONS.floor} {CAUTIONS.needle} {CAUTIONS.rest}
      </Caution>
    </>
  );
}
