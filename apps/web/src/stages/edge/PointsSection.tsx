import {
  CAUTIONS,
  type EdgePoints,
  FOLD_NAMES,
  type Plan,
  POINT_FOLDS,
  POINTS_SEWN,
  type PointsSewn,
  pointsSewnSays,
  SEWN_NAMES,
} from '@lattice/core';
import { useAppSelector } from '../../state/hooks.ts';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { AdviceFor } from '../../rooms/figures/AdviceFor.tsx';
import { Caution } from '../../rooms/figures/Caution.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { FigureLine } from '../../rooms/figures/Line.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { PointCloths } from './PointCloths.tsx';
import { PointFigures } from './PointFigures.tsx';
import { selectPlan } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';

const folds = POINT_FOLDS.map((id) => ({ id, name: FOLD_NAMES[id] }));
const ways = POINTS_SEWN.map((id) => ({ id, name: SEWN_NAMES[id] }));
const SPREADS = [
  { id: 'all', name: 'Over all' },
  { id: 'last-three', name: 'Over the last three' },
];
/** Prairie points: how they are folded, set and coloured; how many a side, how they meet at the seam, and what they take. */
export function PointsSection({ points }: { points: EdgePoints }) {
  const plan = useAppSelector(selectPlan);
  const edit = useEdit();
  const { unit } = plan;
  const chosen = plan.edge.points;
  const change = (part: Partial<Plan['edge']['points']>) =>
    edit((p) => ({ ...p, edge: { ...p.edge, points: { ...p.edge.points, ...part } } }));
  const { strip } = points;
  return (
    <Section title="Prairie points">
      <ChoiceField
        labelled
        label="Fold"
        value={chosen.fold}
        choices={folds}
        onChange={(fold) => change({ fold: fold as Plan['edge']['points']['fold'] })}
      />
      <LengthField
        label={strip ? 'Cut to the fold every, about' : 'Squares, cut'}
        value={chosen.square}
        unit={unit}
        step={unit === 'in' ? 0.25 : 0.5}
        onCommit={(square) => change({ square })}
      />
      {!strip && (
        <LengthField
          label="Overlap"
          value={chosen.overlap}
          unit={unit}
          onCommit={(overlap) => change({ overlap })}
        />
      )}
      <AdviceFor path="edge.points.overlap" />
      {!strip && (
        <ChoiceField
          labelled
          label="The difference"
          value={chosen.spread}
          choices={SPREADS}
          onChange={(spread) => change({ spread: spread as 'all' })}
        />
      )}
      <AdviceFor path="edge.points.spread" />
      <PointCloths plan={plan} asStrip={strip !== null} onChange={change} />
      <PointFigures plan={plan} points={points} />
      <ChoiceField
        labelled
        label="Sewn on"
        value={chosen.sewn}
        choices={ways}
        onChange={(sewn) => change({ sewn: sewn as PointsSewn })}
      />
      {chosen.sewn === 'turned' && (
        <>
          <LengthField
            label="Opening to turn through"
            value={chosen.opening}
            unit={unit}
            step={unit === 'in' ? 0.5 : 1}
            onCommit={(opening) => change({ opening })}
          />
          <ul>
            <FigureLine name="That is, left open over" figure={points.openOver} unit={unit} after="points" />
          </ul>
        </>
      )}
      <p>
        <small>
          <Lengths text={pointsSewnSays(plan)} />
        </small>
      </p>
      <Caution>{CAUTIONS.baby}</Caution>
    </Section>
  );
}
