import { computeQuilt, formatSize, numberOf, type Plan, settingOf } from '@lattice/core';
import { useMemo } from 'react';
import styled from 'styled-components';
import { Button } from '../../design/controls/Button.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { Thumbnail } from '../drawing/Thumbnail.tsx';
import { tight } from '../../design/media.ts';

const Sheet = styled.section`
  position: sticky;
  top: 16px;
  align-self: start;
  display: grid;
  gap: 12px;
  padding: 18px 20px 20px;
  border-radius: 14px;
  background: var(--card);
  box-shadow: var(--shadow);
  .art {
    display: grid;
    place-items: center;
    height: min(46vh, 400px);
    padding: 14px;
    border-radius: 10px;
    background: var(--ground);
  }
  .art > svg {
    filter: drop-shadow(0 2px 4px rgb(0 0 0 / 28%));
  }
  .waiting {
    max-width: 34ch;
    text-align: center;
    color: var(--soft);
  }
  .size {
    font-size: var(--size-large);
    font-weight: 700;
    font-stretch: 84%;
    line-height: 1.15;
  }
  .rest {
    min-height: 21px;
    font-size: var(--size-text);
    color: var(--soft);
  }
  /* On a phone it stays in sight below the questions, small, with the button under the thumb. */
  ${tight} {
    top: auto;
    bottom: 8px;
    z-index: 3;
    grid-template-columns: 84px minmax(0, 1fr) auto;
    align-items: center;
    gap: 8px 12px;
    padding: 8px 12px;
    .art {
      height: 84px;
      padding: 4px;
    }
    .art .waiting {
      display: none;
    }
    .size {
      font-size: var(--size-title);
    }
    > ul,
    > p {
      grid-column: 1 / -1;
      grid-row: 2;
    }
  }
`;

/** The quilt as it is being answered: drawn to scale, its size, and what of the blocks it takes. */
export function Drawn({
  plan,
  waiting,
  onMake,
  children,
}: {
  plan: Plan | null;
  waiting: string | null;
  onMake: () => void;
  children?: React.ReactNode;
}) {
  const quilt = useMemo(() => plan && computeQuilt(plan), [plan]);
  const { whole } = plan ? settingOf(plan.setting.kind) : {};
  return (
    <Sheet aria-label="The quilt so far">
      <div className="art">
        {plan ? (
          <Thumbnail plan={plan} edged />
        ) : (
          waiting && (
            <p className="waiting">
              <Lengths text={waiting} />
            </p>
          )
        )}
      </div>
      <div role="status">
        {plan && quilt && (
          <>
            <p className="size" data-testid="begun-size">
              <Lengths
                text={formatSize(quilt.finished.width.value, quilt.finished.height.value, plan.unit)}
              />
            </p>
            <p className="rest">{whole ? 'as it was measured' : blocksWords(plan, quilt.pile)}</p>
          </>
        )}
      </div>
      {children}
      <Button look="main" isDisabled={plan === null} onPress={onMake}>
        Lay it out
      </Button>
    </Sheet>
  );
}

/** "5 × 6, 30 blocks, none spare". */
function blocksWords({ grid, pile }: Plan, { needed }: { needed: number }): string {
  const laid = `${grid.across} × ${grid.down}, ${numberOf(needed, 'block')}`;
  if (pile.length === 0) return `${laid} to make`;
  const spare = pile.length - needed;
  if (spare < 0) return `${laid}: ${-spare} more to make`;
  return spare === 0 ? `${laid}, none spare` : `${laid} used, ${spare} spare`;
}
