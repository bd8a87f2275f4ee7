import { formatWithUnit, joinedStrips, type Quilt } from '@lattice/core';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { AdviceFor } from '../../rooms/figures/AdviceFor.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { selectPlan } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';
import { JoinWords } from './AllRound.tsx';

const List = styled.div`
  font-size: var(--size-note);
  ol,
  ul {
    margin: 4px 0 8px;
    padding-left: 18px;
    list-style: disc;
  }
  li {
    padding: 1px 0;
  }
`;

/** Where every join of binding and borders falls, and how to move one off a corner. */
export function JoinsSection({ quilt }: { quilt: Quilt }) {
  const plan = useAppSelector(selectPlan);
  const edit = useEdit();
  const { unit } = plan;
  const { binding } = quilt.edge;
  const strips = joinedStrips(quilt, unit);
  if (!binding && strips.length === 0) return null;
  const begin = (start: number | null) => edit((p) => ({ ...p, binding: { ...p.binding, start } }));
  return (
    <Section
      title="Where joins fall"
      action={
        binding &&
        plan.binding.start !== null && (
          <Button look="quiet" onPress={() => void begin(null)}>
            Farthest from corners
          </Button>
        )
      }
    >
      <List>
        {binding && (
          <>
            <LengthField
              label="Begin, from the left"
              value={binding.joins.start}
              unit={unit}
              step={unit === 'in' ? 0.5 : 1}
              onCommit={begin}
            />
            <AdviceFor path="binding.start" />
            <JoinWords quilt={quilt} unit={unit} />
          </>
        )}
        {strips.length > 0 && (
          <ul data-testid="border-joins">
            {strips.map(({ what, joins, remedy }) => (
              <li key={what}>
                <Lengths
                  text={`${what}: joined ${joins.map((at) => formatWithUnit(at, unit)).join(' and ')} from its end.${remedy ? ` ${remedy}` : ''}`}
                />
              </li>
            ))}
          </ul>
        )}
      </List>
    </Section>
  );
}
