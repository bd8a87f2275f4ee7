import type { Plan } from '@lattice/core';
import { Dices, Plus, X } from 'lucide-react';
import styled from 'styled-components';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { FabricChoice } from '../../rooms/figures/FabricChoice.tsx';

const Cloth = styled.li`
  display: flex;
  align-items: center;
  justify-content: space-between;
`;
const ORDERS = [
  { id: 'sequence', name: 'One after another' },
  { id: 'scattered', name: 'Scattered' },
];

interface PointClothsProps {
  readonly plan: Plan;
  /** Folded from one strip, which has two edges. */
  readonly asStrip: boolean;
  readonly onChange: (part: Partial<Plan['edge']['points']>) => void;
}

/** Cloths of the points, and how they follow one another. */
export function PointCloths({ plan, asStrip: strip, onChange: change }: PointClothsProps) {
  const chosen = plan.edge.points;
  const another = plan.fabrics.find((f) => !chosen.fabrics.includes(f.id)) ?? plan.fabrics[0];
  return (
    <>
      <ul>
        {chosen.fabrics.map((_, i) => (
          // The same fabric may stand in the list twice.
          <Cloth key={i}>
            <FabricChoice use={{ what: 'point', index: i }} label={`Cloth ${i + 1} of the points`} />
            {chosen.fabrics.length > 1 && (
              <Button
                look="quiet"
                aria-label={`Take cloth ${i + 1} out of the points`}
                onPress={() => change({ fabrics: chosen.fabrics.filter((__, at) => at !== i) })}
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
        onPress={() => another && change({ fabrics: [...chosen.fabrics, another.id] })}
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
        <Button look="quiet" onPress={() => change({ seed: chosen.seed + 1 })}>
          <Dices size={15} aria-hidden />
          Scatter again
        </Button>
      )}
    </>
  );
}
