import { DateFormatter, getLocalTimeZone, parseDate } from '@internationalized/date';
import {
  formatSize,
  type Layers,
  LONG_ARM_PATTERNS,
  type LongArmAnswer,
  type LongArmJob,
} from '@lattice/core';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { Verdict } from '../../design/Verdict.ts';
import { Answer, Sent } from './LongArm.styles.ts';
import { useLongArm } from './useLongArm.ts';

const NAMES: Readonly<Record<(typeof LONG_ARM_PATTERNS)[number], string>> = {
  'all-over': 'One pattern all over',
  custom: 'To each block its own',
};
const patterns = LONG_ARM_PATTERNS.map((id) => ({ id, name: NAMES[id] }));
const DAY = new DateFormatter(globalThis.navigator?.language ?? 'en', {
  weekday: 'short',
  day: 'numeric',
  month: 'long',
  year: 'numeric',
});
/** A day as it is said here: "Thu, 10 December 2026". */
const day = (iso: string) => DAY.format(parseDate(iso).toDate(getLocalTimeZone()));

type Service = ReturnType<typeof useLongArm>;

/** The long-arm service: what is sent, what it answers and why, and booking it. */
export function LongArm({ layers }: { layers: Layers }) {
  const service = useLongArm(layers);
  const { job, answer, booked } = service;
  if (booked) return <Booked service={service} booked={booked} />;
  return (
    <>
      <ChoiceField
        labelled
        label="Pattern"
        value={service.pattern}
        choices={patterns}
        onChange={(id) => service.setPattern(id as LongArmJob['pattern'])}
      />
      <SizesSent job={job} made={service.made} />
      {!answer && (
        <Button look="main" isDisabled={service.asking} onPress={() => void service.ask()}>
          Ask the long-arm service
        </Button>
      )}
      <Answer aria-live="polite" data-testid="long-arm">
        <Standing service={service} />
        {answer?.accepted === false && (
          <>
            <h4>It cannot take this job</h4>
            <ul>
              {answer.reasons.map((reason) => (
                <li key={reason}>
                  <Lengths text={reason} />
                </li>
              ))}
            </ul>
            <div className="ways">
              <Button onPress={() => service.goOn('home')}>Quilt it myself instead</Button>
            </div>
          </>
        )}
        {answer?.accepted && (
          <>
            <h4>It takes this job</h4>
            <Terms of={answer} />
            <ul>
              {answer.working.map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
            <div className="ways">
              <Button look="main" isDisabled={service.waits} onPress={() => void service.book()}>
                Book it
              </Button>
              <Button onPress={() => service.goOn('home')}>Quilt it myself instead</Button>
            </div>
          </>
        )}
      </Answer>
    </>
  );
}

/** What is sent of the quilt: nothing but sizes. */
const SizesSent = ({ job: { top, backing, batting, unit }, made }: { job: LongArmJob; made: boolean }) => (
  <Sent aria-label="Sizes that are sent">
    <dt>Top</dt>
    <dd>
      <Lengths text={formatSize(top.width, top.height, unit)} />
    </dd>
    <dt>Backing{made ? ', as made' : ', as planned'}</dt>
    <dd>
      <Lengths text={formatSize(backing.width, backing.height, unit)} />
    </dd>
    <dt>Batting</dt>
    <dd>
      <Lengths text={formatSize(batting.width, batting.height, unit)} />
    </dd>
  </Sent>
);

/** When it begins and is ready, and what it costs. */
const Terms = ({
  of: { starts, ready, price },
}: {
  of: Pick<Extract<LongArmAnswer, { accepted: true }>, 'starts' | 'ready' | 'price'>;
}) => (
  <Sent>
    <dt>Begins</dt>
    <dd>{day(starts)}</dd>
    <dt>Ready</dt>
    <dd>{day(ready)}</dd>
    <dt>Price</dt>
    <dd>{price.toFixed(2)}</dd>
  </Sent>
);

/** What went wrong, or what is on its way. */
const Standing = ({ service: { problem, onItsWay } }: { service: Service }) =>
  (problem ?? onItsWay) && (
    <Verdict role={problem ? 'alert' : 'status'} data-kind={problem ? 'square-up' : 'ease'}>
      {problem ?? onItsWay}
    </Verdict>
  );

/** A job that is booked: its terms, and whether the quilt is still the one that was booked. */
function Booked({ service, booked }: { service: Service; booked: NonNullable<Service['booked']> }) {
  const { top, unit } = service.job;
  return (
    <Answer data-testid="booking">
      <h4>Booked as {booked.number}</h4>
      <Terms of={booked} />
      {service.asBooked ? (
        <Verdict role="status" data-kind="true">
          Send top, backing and batting apart, pressed, not pinned together; mark the top edge of each.
        </Verdict>
      ) : (
        <Verdict role="status" data-kind="square-up">
          <Lengths
            text={`It was booked as ${formatSize(booked.width, booked.height, unit)} and comes to ${formatSize(top.width, top.height, unit)} now. Ask again.`}
          />
        </Verdict>
      )}
      <div className="ways">
        <Button isDisabled={service.waits} onPress={() => service.goOn('long-arm')}>
          {service.asBooked ? 'Cancel the booking' : 'Ask again'}
        </Button>
        <Button isDisabled={service.waits} onPress={() => service.goOn('home')}>
          Quilt it myself instead
        </Button>
      </div>
      <Standing service={service} />
    </Answer>
  );
}
