import { centreWithSeamError, formatFine } from '@lattice/core';
import { useMemo, useState } from 'react';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { outlinePath } from '../../rooms/drawing/paths.ts';
import { Section } from '../../rooms/figures/Section.tsx';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import type { AtSewing } from './useSewing.ts';

const Picture = styled.svg`
  width: 100%;
  max-height: 260px;
  margin: 8px 0;
`;
/** The difference is drawn so many times as large, or nobody would see it. */
const TIMES = 10;
const STEPS = [-2, -1, 0, 1, 2, 3];

/** "Your seam is 1/32 fat": the centre as it will come out, where rows will not meet, what points lose. */
export function FatSeam({ sewing: { sewing } }: { sewing: AtSewing }) {
  const plan = useAppSelector(selectPlan);
  const { layout } = useAppSelector(selectQuilt);
  const [step, setStep] = useState(1);
  const { unit } = plan;
  const one = unit === 'in' ? 1 / 32 : 0.05;
  const { pieces, says } = useMemo(
    () => centreWithSeamError(plan, sewing.top, step * one, TIMES),
    [plan, sewing.top, step, one],
  );
  const { width, height } = layout.finished;
  const colour = (piece: number) => {
    const from = layout.parts[sewing.top.pieces[piece]!.part]!.cutFrom;
    return from ? plan.fabrics.find(({ id }) => id === from.fabric)!.colour : 'var(--line)';
  };
  return (
    <Section title="If the seam is off">
      <ChoiceField
        label="Each seam is"
        labelled
        value={String(step)}
        choices={STEPS.map((steps) => ({
          id: String(steps),
          name:
            steps === 0
              ? 'as it is meant'
              : `${formatFine(Math.abs(steps * one), unit)} ${steps > 0 ? 'fat' : 'scant'}`,
        }))}
        onChange={(to) => setStep(Number(to))}
      />
      <Picture
        viewBox={`0 0 ${width.value} ${height.value}`}
        role="img"
        aria-label={`The centre as it comes out, the difference drawn ${TIMES} times as large. ${says.join(' ')}`}
      >
        {pieces.map(({ piece, outline }) => (
          <path
            key={piece}
            d={outlinePath({ outline })}
            fill={colour(piece)}
            stroke="var(--soft)"
            strokeWidth="0.6"
            vectorEffect="non-scaling-stroke"
          />
        ))}
      </Picture>
      {says.map((line) => (
        <p key={line}>
          <Lengths text={line} />
        </p>
      ))}
    </Section>
  );
}
