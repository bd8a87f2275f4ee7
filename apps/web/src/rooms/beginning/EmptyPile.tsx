import { formatSize, numberOf, settingOf } from '@lattice/core';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { withUnmeasured } from '../../state/pileEdits.ts';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';
import { AddByLine } from './AddByLine.tsx';

const Card = styled.section`
  display: grid;
  gap: 14px;
  width: min(560px, 100%);
  margin: 0 auto;
  padding: 18px 20px;
  border: 1px solid var(--line);
  border-radius: 12px;
  background: var(--card);
  h2 {
    font: 650 var(--size-title)/1.25 var(--name);
  }
  .or {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px 12px;
    font-size: var(--size-text);
    color: var(--soft);
  }
`;

/** Where no block is entered yet: what to do about it, in one line or one press. */
export function EmptyPile({ autoFocus = false }: { autoFocus?: boolean }) {
  const plan = useAppSelector(selectPlan);
  const { pile } = useAppSelector(selectQuilt);
  const { id } = useParams();
  const edit = useEdit();
  if (settingOf(plan.setting.kind).whole)
    return (
      <Card aria-label="No blocks here">
        <h2>This one is made already</h2>
        <p>
          It goes by its measured size, so there are no blocks to enter or lay out. What it still wants is
          under <Link to={`/quilts/${id}/edge`}>Edge</Link>.
        </p>
      </Card>
    );
  return (
    <Card aria-label="No blocks yet">
      <h2>No blocks are entered yet</h2>
      <AddByLine autoFocus={autoFocus} />
      <p className="or">
        <Button onPress={() => edit((p) => withUnmeasured(p, pile.needed))}>
          Just enough: {numberOf(pile.needed, 'block')}
        </Button>
        <Lengths
          text={`of ${formatSize(plan.block.width, plan.block.height, plan.unit)} finished, as this setting takes them.`}
        />
      </p>
    </Card>
  );
}
