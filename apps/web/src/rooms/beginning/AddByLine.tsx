import { type Unit, blankPlan, withSaidPile } from '@lattice/core';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { newId } from '../../browser/tabs.ts';
import { selectPlan } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';
import { PileLineField } from './PileLineField.tsx';
import { usePileLine } from './usePileLine.ts';

const Row = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 4px 8px;
  align-items: start;
  > span {
    padding-top: 27px;
  }
`;

/** Blocks put to the pile in one line: twelve equal ones are one act. The first ones set the quilt's size and grid too. */
export function AddByLine({ autoFocus = false, onAdded }: { autoFocus?: boolean; onAdded?: () => void }) {
  const plan = useAppSelector(selectPlan);
  const edit = useEdit();
  const said = usePileLine(plan.unit);
  const [problem, setProblem] = useState<string | null>(null);
  const add = () => {
    const { line } = said;
    if (!line) return;
    const wrong = edit((p) => withSaidPile(p, line, newId));
    setProblem(wrong);
    if (wrong !== null) return;
    said.setText('');
    onAdded?.();
  };
  const seam = (unit: Unit) => (unit === plan.unit ? plan.seam : blankPlan(unit).seam);
  return (
    <Row>
      <PileLineField
        said={said}
        seam={seam}
        unit={plan.unit}
        label={
          plan.pile.length === 0 ? 'How many blocks have you, and how large?' : 'More blocks, in one line'
        }
        autoFocus={autoFocus}
        onEnter={add}
      />
      <span>
        <Button look="main" isDisabled={!said.line} onPress={add}>
          <Plus size={15} aria-hidden />
          Add them
        </Button>
      </span>
      {problem && <p role="alert">{problem}</p>}
    </Row>
  );
}
