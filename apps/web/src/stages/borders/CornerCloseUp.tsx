import { formatWithUnit } from '@lattice/core';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { Lengths } from '../../design/Lengths.tsx';
import { QuiltArt } from '../../rooms/drawing/QuiltArt.tsx';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';

const Figure = styled.figure`
  margin: 12px 0 4px;
  svg {
    display: block;
    width: 100%;
    border: 1px solid var(--line);
    border-radius: 8px;
    background: var(--ground);
  }
  figcaption {
    margin-top: 6px;
    font-size: var(--size-note);
    color: var(--soft);
  }
`;

/** The top left corner, large: how each border turns it, with the seams where they will be sewn. */
export function CornerCloseUp() {
  const plan = useAppSelector(selectPlan);
  const { layout } = useAppSelector(selectQuilt);
  const sides = plan.borders.reduce((sum, b) => sum + b.sides, 0);
  const ends = plan.borders.reduce((sum, b) => sum + b.ends, 0);
  if (sides === 0) return null;
  // Half as much again as the stack, so that a little of the centre shows what the borders lie against.
  const reach = Math.min(
    1.5 * Math.max(sides, ends),
    layout.finished.width.value,
    layout.finished.height.value,
  );
  const margin = reach * 0.04;
  return (
    <Figure>
      <svg
        viewBox={`${-margin} ${-margin} ${reach + margin} ${reach + margin}`}
        role="img"
        aria-label="The top left corner in close-up"
        data-testid="corner"
      >
        <QuiltArt plan={plan} layout={layout} />
      </svg>
      <figcaption>
        Top left corner, <Lengths text={`${formatWithUnit(reach, plan.unit)} of the quilt across`} />
      </figcaption>
    </Figure>
  );
}
