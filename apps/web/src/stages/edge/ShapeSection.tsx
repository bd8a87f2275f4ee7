import {
  type Edge,
  EDGE_SHAPE_NAMES,
  EDGE_SHAPES,
  type EdgeShape,
  isCornered,
  type Plan,
} from '@lattice/core';
import { useState } from 'react';
import { useAppSelector } from '../../state/hooks.ts';
import { useAnswered } from '../../design/answered.ts';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { Verdict } from '../../design/Verdict.ts';
import { Section } from '../../rooms/figures/Section.tsx';
import { selectPlan } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';
import { AllRoundLength, ByTheBed, type Change, CornerLengths } from './ShapeLengths.tsx';
import { ScallopsAsked } from './ScallopsAsked.tsx';

const shapes = EDGE_SHAPES.map((id) => ({ id, name: EDGE_SHAPE_NAMES[id] }));
const WHICH = [
  { id: 'all', name: 'All four' },
  { id: 'foot', name: 'The two at the foot' },
];

/** The edge's shape with what it is shaped by; its length computed, or measured with a tape. */
export function ShapeSection({ edge }: { edge: Edge }) {
  const plan = useAppSelector(selectPlan);
  const edit = useEdit();
  const answered = useAnswered();
  const [refused, setRefused] = useState<{ why: string; of: Plan['edge'] } | null>(null);
  const problem = refused?.of === plan.edge ? refused.why : null;
  const { unit } = plan;
  const { shape, corners, scallop } = plan.edge;
  const change: Change = (part) => edit((p) => ({ ...p, edge: { ...p.edge, ...part } }));
  /** A change that may be refused: why is said here. */
  const ask = (part: Partial<Plan['edge']>) => {
    const why = answered(change(part));
    setRefused(why === null ? null : { why, of: plan.edge });
  };
  /** Scallops of the width asked for cannot always be divided; the next narrower ones that can be are taken, to be changed. */
  const scallopsThatFit = (): boolean => {
    const step = unit === 'in' ? 0.5 : 1;
    for (let width = scallop.width; width >= 4 * step; width -= step) {
      const depth = Math.min(scallop.depth, width / 4);
      if (change({ shape: 'scalloped', scallop: { ...scallop, width, depth } }) === null) return true;
    }
    return false;
  };
  const { scallops } = edge.outline;
  const cornered = isCornered(shape);
  return (
    <Section title="Shape">
      <ChoiceField
        labelled
        label="Edge"
        value={shape}
        choices={shapes}
        onChange={(to) => {
          const why = answered(
            // A bed has its posts at the foot; the head lies behind the pillows.
            change({ shape: to as EdgeShape, ...(to === 'posts' ? { corners: 'foot' } : {}) }),
          );
          const fits = why !== null && to === 'scalloped' && scallopsThatFit();
          setRefused(why === null || fits ? null : { why, of: plan.edge });
        }}
      />
      {problem && (
        <Verdict role="alert" data-kind="ease">
          {problem}
        </Verdict>
      )}
      <ByTheBed plan={plan} onAsk={ask} />
      {cornered && (
        <ChoiceField
          labelled
          label="Which corners"
          value={corners}
          choices={WHICH}
          onChange={(to) => change({ corners: to as 'all' })}
        />
      )}
      <CornerLengths plan={plan} onChange={change} />
      {scallops && <ScallopsAsked plan={plan} scallops={scallops} onChange={change} />}
      <AllRoundLength plan={plan} around={edge.around} onChange={change} />
    </Section>
  );
}
