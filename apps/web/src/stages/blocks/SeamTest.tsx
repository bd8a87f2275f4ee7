import { formatFine, formatWithUnit, fromInches, seamDrift, testStrip, testTarget } from '@lattice/core';
import { useState } from 'react';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { Why } from '../../design/controls/Why.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { selectPlan } from '../../state/selectors.ts';
import { Chance } from './Chance.tsx';

const Words = styled.div`
  font-size: var(--size-note);
  color: var(--soft);
  li {
    padding: 3px 0;
    color: var(--ink);
  }
  dl {
    display: grid;
    grid-template-columns: 1fr auto;
    gap: 3px 10px;
    margin: 6px 0;
  }
  dd {
    margin: 0;
    font-weight: 650;
    font-stretch: 88%;
    color: var(--ink);
  }
`;

/** Three strips sewn side by side tell how wide the seam really is, what that does to this quilt, and how rows come out by chance. */
export function SeamTest() {
  const plan = useAppSelector(selectPlan);
  const { unit, seam } = plan;
  const target = testTarget(seam, unit);
  const [measured, setMeasured] = useState<number | null>(null);
  const drift = seamDrift(plan, measured ?? target);
  const show = (v: number) => formatWithUnit(Math.abs(v), unit);
  const close = fromInches(1, unit);
  return (
    <Section title="Test the seam">
      <Words>
        <p>
          Sew three strips cut <Lengths text={formatWithUnit(testStrip(unit), unit)} /> wide side by side.
          Together they should measure <Lengths text={formatWithUnit(target, unit)} />.
        </p>
        <LengthField
          label="They measure"
          value={measured ?? target}
          unit={unit}
          step={unit === 'in' ? 1 / 16 : 0.05}
          onCommit={(value) =>
            Math.abs(value - target) < close
              ? (setMeasured(value), null)
              : `Three such strips cannot measure ${show(value)}.`
          }
        />
        {measured !== null && (
          <>
            <dl>
              <dt>The seam takes up</dt>
              <dd>
                <Why figure={drift.seam} text={formatFine(drift.seam.value, unit)} what="this seam" />
              </dd>
              <dt>A row is off by</dt>
              <dd>
                <Why
                  figure={drift.row}
                  text={formatFine(Math.abs(drift.row.value), unit)}
                  what="this much across"
                />
              </dd>
              <dt>A column by</dt>
              <dd>
                <Why
                  figure={drift.column}
                  text={formatFine(Math.abs(drift.column.value), unit)}
                  what="this much down"
                />
              </dd>
            </dl>
            <ul>
              {drift.says.map((line) => (
                <li key={line}>
                  <Lengths text={line} />
                </li>
              ))}
            </ul>
          </>
        )}
      </Words>
      <Chance fat={drift.fat.value} />
    </Section>
  );
}
