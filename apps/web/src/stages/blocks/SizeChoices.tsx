import {
  blockChoices,
  changesBetween,
  computeQuilt,
  type CutTo,
  formatSize,
  formatWithUnit,
  near,
  type SizeChoice,
} from '@lattice/core';
import { Radio, RadioGroup } from 'react-aria-components';
import { useMemo } from 'react';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';

const Choices = styled(RadioGroup)`
  display: grid;
  gap: 8px;
  margin: 4px 0 8px;
`;
const Choice = styled(Radio)`
  display: block;
  padding: 9px 12px;
  border: 1.5px solid var(--line);
  border-radius: 10px;
  font-size: var(--size-note);
  cursor: pointer;
  strong {
    display: flex;
    justify-content: space-between;
    gap: 8px;
    font-size: var(--size-read);
    font-stretch: 92%;
  }
  .best {
    padding: 0 8px;
    border-radius: 9px;
    background: var(--good-wash);
    color: var(--good);
    font-size: var(--size-mark);
    font-weight: 650;
    line-height: 20px;
  }
  .cost {
    color: var(--soft);
  }
  &[data-hovered] {
    border-color: var(--soft);
  }
  &[data-selected] {
    border-color: var(--ink);
    box-shadow: inset 0 0 0 0.5px var(--ink);
  }
  &[data-focus-visible] {
    outline: 2px solid var(--chalk);
    outline-offset: 2px;
  }
`;
const Changes = styled.ul`
  margin: 8px 0;
  font-size: var(--size-note);
  color: var(--soft);
  b {
    font-weight: 600;
    color: var(--ink);
  }
`;

/** What a choice costs, counted. */
function costOf(
  { remade, coped, counts, pointsLost, quilt }: SizeChoice,
  show: (v: number) => string,
): string {
  const grows = !near(quilt.width, 0) || !near(quilt.height, 0);
  const change = (v: number) => `${v > 0 ? '+' : '−'}${show(Math.abs(v))}`;
  return [
    remade > 0 ? `${remade} to remake` : coped > 0 ? `${coped} to frame` : 'none remade',
    counts.trim > 0 ? `${counts.trim} to trim` : '',
    counts.ease > 0 ? `${counts.ease} to ease` : '',
    counts.crooked > 0 ? `${counts.crooked} to unpick` : '',
    pointsLost > 0 ? `${pointsLost} lose points` : '',
    grows ? `centre ${change(quilt.width)} wide, ${change(quilt.height)} long` : '',
  ]
    .filter(Boolean)
    .join(' · ');
}

/** The sizes all could be cut to, the proposed one first with its reason, and taking one as the block of the plan. */
export function SizeChoices({ cut, onCut }: { cut: CutTo; onCut: (cut: CutTo) => void }) {
  const plan = useAppSelector(selectPlan);
  const quilt = useAppSelector(selectQuilt);
  const edit = useEdit();
  const { unit, seam, block } = plan;
  const { choices } = useMemo(() => blockChoices(plan), [plan]);
  const show = (v: number) => formatWithUnit(v, unit);
  const finished = { width: cut.width - 2 * seam, height: cut.height - 2 * seam };
  const same = near(finished.width, block.width) && near(finished.height, block.height);
  const changes = useMemo(
    () =>
      same
        ? []
        : changesBetween(
            quilt,
            computeQuilt({
              ...plan,
              block: { width: cut.width - 2 * plan.seam, height: cut.height - 2 * plan.seam },
            }),
            plan.unit,
          ),
    [plan, quilt, same, cut.width, cut.height],
  );
  if (choices.length === 0) return null;
  const chosen =
    choices.find((c) => near(c.cut.width, cut.width) && near(c.cut.height, cut.height))?.key ?? null;
  return (
    <Section title="What to cut them to">
      <Choices
        aria-label="What to cut the blocks to"
        value={chosen}
        onChange={(key) => onCut(choices.find((c) => c.key === key)!.cut)}
      >
        {choices.map((choice, i) => (
          <Choice key={choice.key} value={choice.key} data-testid={`choice-${choice.key}`}>
            <strong>
              <Lengths text={choice.name} />
              {i === 0 && <span className="best">proposed</span>}
            </strong>
            <span>
              <Lengths text={choice.says} />
            </span>
            <br />
            <span className="cost">
              <Lengths text={costOf(choice, show)} />
            </span>
          </Choice>
        ))}
      </Choices>
      {same ? (
        <p>
          <small>The plan is made for blocks of this size.</small>
        </p>
      ) : (
        <>
          <Button look="main" onPress={() => edit((p) => ({ ...p, block: finished }))}>
            Make the quilt for <Lengths text={formatSize(cut.width, cut.height, unit)} />
          </Button>
          <Changes aria-label="What would change">
            {changes.slice(0, 8).map(({ what, before, after }) => (
              <li key={what}>
                <b>{what}</b> <Lengths text={`${before} → ${after}`} />
              </li>
            ))}
          </Changes>
        </>
      )}
    </Section>
  );
}
