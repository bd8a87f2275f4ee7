import { formatLength, formatWithUnit, isSpacerSewn, repeatsOf, spacerFits, withSpacer } from '@lattice/core';
import styled from 'styled-components';
import { useAppSelector } from '../../app/store.ts';
import { Button } from '../../design/controls/Button.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { SwitchField } from '../../design/controls/SwitchField.tsx';
import { Why } from '../../design/controls/Why.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { withBorder } from '../../quilt/borderEdits.ts';
import { newId } from '../../outbox/tabs.ts';
import { selectPlan, selectQuilt } from '../../quilt/selectors.ts';
import { useEdit } from '../../quilt/useEdit.ts';

const Fits = styled.div`
  padding: 4px 0 8px;
  font-size: 13px;
  color: var(--soft);
  li {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: 8px;
    padding: 3px 0;
    color: var(--ink);
  }
`;

/** A border whose print or piecing repeats: how many repeats its strips hold, and the border inside that makes them whole. */
export function RepeatFields({ index }: { index: number }) {
  const plan = useAppSelector(selectPlan);
  const { layout } = useAppSelector(selectQuilt);
  const edit = useEdit();
  const { unit } = plan;
  const { repeat } = plan.borders[index]!;
  const set = (value: number | null) => edit((p) => withBorder(p, index, { repeat: value }));
  const repeats = repeatsOf(plan, layout.sizes, index);
  const fits = repeats && !repeats.fits ? spacerFits(plan, layout.sizes, index) : [];
  const whole = (count: number) => String(Math.round(count * 100) / 100);
  return (
    <>
      <SwitchField
        label="Cloth or piecing that repeats"
        value={repeat !== null}
        onChange={(on) => set(on ? (unit === 'in' ? 4 : 10) : null)}
      />
      {repeat !== null && (
        <LengthField label={`Repeat of border ${index + 1}`} value={repeat} unit={unit} onCommit={set} />
      )}
      {repeats && (
        <Fits>
          {repeats.fits ? (
            <p role="status">
              Comes out even: {whole(repeats.across)} repeats across, {whole(repeats.down)} down.
            </p>
          ) : (
            <p role="status">
              {whole(repeats.across)} repeats across and {whole(repeats.down)} down.{' '}
              {isSpacerSewn(plan, index)
                ? 'What lies inside it is sewn and measured: spread the print from the middle of each side.'
                : `${index > 0 ? `Border ${index} as a spacer` : 'A spacer inside'} makes it even:`}
            </p>
          )}
          <ul>
            {fits.map((fit) => {
              const even = Math.abs(fit.sides.value - fit.ends.value) < 1e-6;
              return (
                <li key={`${fit.across}-${fit.down}`}>
                  <span>
                    <Why
                      figure={fit.sides}
                      text={formatWithUnit(fit.sides.value, unit)}
                      what="this width at the sides"
                    />
                    {even ? (
                      ' all round'
                    ) : (
                      <>
                        {' '}
                        sides,{' '}
                        <Why
                          figure={fit.ends}
                          text={formatWithUnit(fit.ends.value, unit)}
                          what="this width at the ends"
                        />{' '}
                        ends
                      </>
                    )}
                    <br />
                    <small>
                      <Lengths
                        text={`${fit.across} × ${fit.down} repeats${fit.onRuler ? '' : `, cut to the nearest mark`}`}
                      />
                    </small>
                  </span>
                  <Button
                    onPress={() => edit((p) => withSpacer(p, index, fit, newId()))}
                    aria-label={`Use a spacer of ${formatLength(fit.sides.value, unit)} at the sides and ${formatLength(fit.ends.value, unit)} at the ends`}
                  >
                    Use
                  </Button>
                </li>
              );
            })}
          </ul>
        </Fits>
      )}
    </>
  );
}
