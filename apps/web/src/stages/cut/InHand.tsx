import { type Fold, stepInHand, type TableCloth, type Unit } from '@lattice/core';
import { RotateCcw } from 'lucide-react';
import styled from 'styled-components';
import { Button } from '../../design/controls/Button.tsx';
import { Lengths } from '../../design/Lengths.tsx';

const Now = styled.div`
  padding: 12px 0 4px;
  .which {
    font-size: var(--size-note);
    font-weight: 600;
    color: var(--soft);
  }
  h2 {
    margin: 2px 0 6px;
    font-size: var(--size-far);
    font-weight: 700;
    font-stretch: 78%;
    line-height: 1.05;
    letter-spacing: -0.01em;
    overflow-wrap: anywhere;
  }
  .does {
    font-size: var(--size-lead);
    line-height: 1.4;
  }
  .does + .does {
    margin-top: 4px;
  }
`;
const Great = styled.div`
  margin: 14px 0 8px;
  button {
    display: flex;
    justify-content: space-between;
    width: 100%;
    min-height: 72px;
    padding: 10px 18px;
    border-radius: 14px;
    font-size: var(--size-head);
  }
  kbd {
    padding: 3px 10px;
    border: 1px solid currentcolor;
    border-radius: 7px;
    font: 600 var(--size-text) var(--text);
  }
`;
const Row = styled.div`
  display: flex;
  justify-content: space-between;
  gap: 12px;
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
  font-size: var(--size-read);
  > span:first-child {
    color: var(--soft);
  }
`;

interface Props {
  table: TableCloth;
  fold: Fold;
  unit: Unit;
  onDone: () => void;
  onBack: (() => void) | null;
}

/** The act in hand in large type, the one great button, and what comes after. */
export function InHand({ table, fold, unit, onDone, onBack }: Props) {
  const { steps, next } = table;
  const step = next === null ? null : steps[next]!;
  const back = (
    <Button look="quiet" isDisabled={!onBack} onPress={() => onBack?.()}>
      <RotateCcw size={15} aria-hidden />
      Not cut after all
    </Button>
  );
  if (!step)
    return (
      <Now role="status">
        <p className="which">All {steps.length} on this cloth</p>
        <h2>All cut</h2>
        <p className="does">Nothing more is wanted of this cloth. Close the blade and put it away.</p>
        {back}
      </Now>
    );
  const { title, does } = stepInHand(step, fold, unit);
  const coming = steps.slice(next! + 1).filter(({ done }) => !done);
  return (
    <>
      <Now aria-live="polite">
        <p className="which">
          {next! + 1} of {steps.length} on this cloth
        </p>
        <h2>
          <Lengths text={title} />
        </h2>
        {does.map((line) => (
          <p className="does" key={line}>
            <Lengths text={line} />
          </p>
        ))}
      </Now>
      <Great>
        <Button look="main" onPress={onDone}>
          {step.kind === 'square'
            ? 'Squared'
            : step.cuts.length === 0 && step.kind !== 'strip'
              ? 'Taken'
              : 'Cut'}
          <kbd>space</kbd>
        </Button>
      </Great>
      {back}
      {coming.slice(0, 2).map((one, i) => (
        <Row key={one.id}>
          <span>{i === 0 ? 'Then' : 'After that'}</span>
          <Lengths text={stepInHand(one, fold, unit).title} />
        </Row>
      ))}
    </>
  );
}
