import { formatWithUnit, numberOf, PRESS_RULES, type SewRecord, type Unit } from '@lattice/core';
import { Radio, RadioGroup } from 'react-aria-components';
import styled from 'styled-components';
import { chosenRing } from '../../design/cardStyles.ts';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { SwitchField } from '../../design/controls/SwitchField.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { selectPlan } from '../../state/selectors.ts';
import { PressedByHand } from './PressedByHand.tsx';
import { sewingChosen } from './sewing.ts';
import type { AtSewing } from './useSewing.ts';

const Ways = styled(RadioGroup)`
  display: grid;
  gap: 8px;
`;
const Way = styled(Radio)`
  display: block;
  padding: 10px 12px;
  border: 1.5px solid var(--line);
  border-radius: 11px;
  font-size: var(--size-text);
  cursor: pointer;
  b {
    font-size: var(--size-read);
  }
  small {
    display: block;
    font-size: var(--size-note);
    color: var(--soft);
  }
  .best {
    color: var(--good);
    font-weight: 650;
  }
  ${chosenRing}
`;
const WEIGHTS = [
  { id: 'off', name: 'off' },
  { id: 'usual', name: 'as usual' },
  { id: 'more', name: 'more than usual' },
];
const MORE = 4;

/** Every way that suits the top, the best marked; from which end; and what pressing goes by. */
export function WaysToSew({ sewing }: { sewing: AtSewing }) {
  const { unit } = useAppSelector(selectPlan);
  const dispatch = useAppDispatch();
  const {
    sewing: { ways, best },
    way,
    record,
    pressing,
  } = sewing;
  const chosen = record.chosen ?? USUAL;
  const change = (to: Partial<NonNullable<SewRecord['chosen']>>) =>
    void dispatch(sewingChosen({ ...chosen, method: way.method.id, ...to }));
  return (
    <>
      <Section title="How it is sewn">
        <Ways aria-label="How it is sewn" value={way.method.id} onChange={(method) => change({ method })}>
          {ways.map(({ method: { id, name, says }, effort }) => (
            <Way key={id} value={id}>
              <b>{name}</b>
              <small>{says}</small>
              <small>
                <Lengths
                  text={`${numberOf(effort.seams, 'seam')}, the longest ${formatWithUnit(effort.longest, unit)}; ${numberOf(effort.trips, 'trip')} to the iron; ${onNeedle(effort.heaviest, unit)}; about ${numberOf(effort.minutes, 'minute')}`}
                />
              </small>
              {best?.id === id && (
                <small className="best">
                  <Lengths text={`The best. ${best.why}`} />
                </small>
              )}
            </Way>
          ))}
        </Ways>
        <SwitchField
          label="From the right, or with the left hand"
          value={chosen.fromRight}
          onChange={(fromRight) => change({ fromRight })}
        />
        <SwitchField
          label="Every other row from its other end"
          value={chosen.alternate}
          onChange={(alternate) => change({ alternate })}
        />
      </Section>
      <Section title="Pressing goes by">
        {PRESS_RULES.map(({ id, name, weight }) => {
          const now = chosen.weights[id];
          return (
            <ChoiceField
              key={id}
              label={name}
              labelled
              value={now === undefined || now === weight ? 'usual' : now === 0 ? 'off' : 'more'}
              choices={WEIGHTS}
              onChange={(to) => {
                const others = Object.fromEntries(Object.entries(chosen.weights).filter(([of]) => of !== id));
                const weights =
                  to === 'usual' ? others : { ...others, [id]: to === 'off' ? 0 : MORE * weight };
                change({ weights });
              }}
            />
          );
        })}
        <p role="status">
          {pressing.crossings === 0
            ? 'No seams cross here.'
            : `${pressing.nested} of ${pressing.crossings} crossings nest.`}
        </p>
        {[...new Set(pressing.unnested.map(({ why }) => why))].map((why) => (
          <p key={why}>{why}</p>
        ))}
        {way.seams.length > 0 && (
          <PressedByHand
            sewing={sewing}
            pressed={chosen.pressed}
            onChange={(pressed) => change({ pressed })}
          />
        )}
      </Section>
    </>
  );
}

/** How heavy the heaviest seam is: what hangs on the needle at it. */
const onNeedle = (area: number, unit: Unit): string =>
  unit === 'in'
    ? `up to ${(area / 144).toFixed(0)} square feet on the needle`
    : `up to ${(area / 10_000).toFixed(1)} square metres on the needle`;

const USUAL: NonNullable<SewRecord['chosen']> = {
  method: '',
  fromRight: false,
  alternate: false,
  weights: {},
  pressed: {},
};
