import {
  formatLength,
  formatWithUnit,
  isSpacerSewn,
  near,
  repeatsOf,
  spacerFits,
  withSpacer,
} from '@lattice/core';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { Why } from '../../design/controls/Why.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { newId } from '../../browser/tabs.ts';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';

const Fits = styled.div`
  padding: 4px 0 8px;
  font-size: var(--size-note);
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

/**
 * How often what repeats in a border goes into its sides, and the border inside that makes it whole.
 *
 * @param one what repeats: "repeat", or one unit that belongs together
 * @param sewn what to do where what lies inside is sewn already
 */
export function SpacerFits({
  index,
  one,
  many,
  sewn,
}: {
  index: number;
  one: string;
  many: string;
  sewn: string;
}) {
  const plan = useAppSelector(selectPlan);
  const { layout } = useAppSelector(selectQuilt);
  const edit = useEdit();
  const { unit } = plan;
  const repeats = repeatsOf(plan, layout.sizes, index);
  if (!repeats) return null;
  const fits = repeats.fits ? [] : spacerFits(plan, layout.sizes, index);
  const whole = (count: number) => String(Math.round(count * 100) / 100);
  const said = (count: number) => `${whole(count)} ${count === 1 ? one : many}`;
  return (
    <Fits>
      {repeats.fits ? (
        <p role="status">
          Comes out even: {said(repeats.across)} across, {whole(repeats.down)} down.
        </p>
      ) : (
        <p role="status">
          {said(repeats.across)} across and {whole(repeats.down)} down.{' '}
          {isSpacerSewn(plan, index)
            ? sewn
            : `${index > 0 ? `Border ${index} as a spacer` : 'A spacer inside'} makes it even:`}
        </p>
      )}
      <ul>
        {fits.map((fit) => {
          const even = near(fit.sides.value, fit.ends.value);
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
                    text={`${fit.across} × ${fit.down} ${many}${fit.onRuler ? '' : `, cut to the nearest mark`}`}
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
  );
}
