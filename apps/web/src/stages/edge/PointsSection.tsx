import {
  CAUTIONS,
  type EdgePoints,
  fabricById,
  FOLD_NAMES,
  formatWithUnit,
  numberOf,
  type Plan,
  POINT_FOLDS,
  POINTS_SEWN,
  type PointsSewn,
  pointsSewnSays,
  SEWN_NAMES,
} from '@lattice/core';
import { Dices, Plus, X } from 'lucide-react';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { AdviceFor } from '../../rooms/figures/AdviceFor.tsx';
import { Caution } from '../../rooms/figures/Caution.tsx';
import { FabricChoice } from '../../rooms/figures/FabricChoice.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { FigureLine } from '../../rooms/figures/Line.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { selectPlan } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';

const Cloth = styled.li`
  display: flex;
  align-items: center;
  justify-content: space-between;
`;
const folds = POINT_FOLDS.map((id) => ({ id, name: FOLD_NAMES[id] }));
const ways = POINTS_SEWN.map((id) => ({ id, name: SEWN_NAMES[id] }));
const SPREADS = [
  { id: 'all', name: 'Over all' },
  { id: 'last-three', name: 'Over the last three' },
];
const ORDERS = [
  { id: 'sequence', name: 'One after another' },
  { id: 'scattered', name: 'Scattered' },
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
  const sides = [
    ['across', points.across],
    ['down', points.down],
  ] as const;
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
      <ul>
        {chosen.fabrics.map((_, i) => (
          // The same fabric may stand in the list twice.
          <Cloth key={i}>
            <FabricChoice use={{ what: 'point', index: i }} label={`Cloth ${i + 1} of the points`} />
            {chosen.fabrics.length > 1 && (
              <Button
                look="quiet"
                aria-label={`Take cloth ${i + 1} out of the points`}
                onPress={() => void change({ fabrics: chosen.fabrics.filter((__, at) => at !== i) })}
              >
                <X size={15} aria-hidden />
              </Button>
            )}
          </Cloth>
        ))}
      </ul>
      <Button
        look="quiet"
        isDisabled={chosen.fabrics.length >= (strip ? 2 : 8)}
        onPress={() =>
          void change({
            fabrics: [
              ...chosen.fabrics,
              (plan.fabrics.find((f) => !chosen.fabrics.includes(f.id)) ?? plan.fabrics[0]!).id,
            ],
          })
        }
      >
        <Plus size={15} aria-hidden />
        Another cloth
      </Button>
      {strip && chosen.fabrics.length > 2 && (
        <p>
          <small>A strip has two edges and takes the first two of these.</small>
        </p>
      )}
      {!strip && chosen.fabrics.length > 1 && (
        <ChoiceField
          labelled
          label="Colours"
          value={chosen.order}
          choices={ORDERS}
          onChange={(order) => change({ order: order as 'sequence' })}
        />
      )}
      {!strip && chosen.order === 'scattered' && chosen.fabrics.length > 2 && (
        <Button look="quiet" onPress={() => void change({ seed: chosen.seed + 1 })}>
          <Dices size={15} aria-hidden />
          Scatter again
        </Button>
      )}
      <ul data-testid="points">
        <FigureLine name="Points in all" figure={points.total} unit={unit} />
        {sides.map(([way, side]) => (
          <FigureLine key={way} name={`Points ${way}`} figure={side.count} unit={unit} />
        ))}
        {sides.map(([way, side]) => (
          <FigureLine key={way} name={`Overlap ${way}`} figure={side.overlap} unit={unit} />
        ))}
        {sides.map(([way, side]) => (
          <FigureLine
            key={way}
            name={side.gap.value < -1e-6 ? `Lie over one another ${way}` : `Gap at the seam ${way}`}
            figure={{ ...side.gap, value: Math.abs(side.gap.value) }}
            unit={unit}
          />
        ))}
        {strip && (
          <FigureLine name="Cut to the fold every, across" figure={strip.cutEvery.across} unit={unit} />
        )}
        {strip && <FigureLine name="Cut to the fold every, down" figure={strip.cutEvery.down} unit={unit} />}
        {points.cloths.map((cloth, i) => (
          <FigureLine
            key={i}
            name={`Strips of ${fabricById(plan, cloth.fabric).name.toLowerCase()}`}
            figure={cloth.strips}
            unit={unit}
            after={`at ${formatWithUnit(cloth.cutWidth, unit)}`}
            {...(cloth.squares ? { rest: numberOf(cloth.squares.value, 'square') } : {})}
          />
        ))}
      </ul>
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
