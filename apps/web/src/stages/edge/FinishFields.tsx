import { type EdgeFinish, FACING_CORNER_NAMES, FACING_CORNERS, type Plan } from '@lattice/core';
import { useAppSelector } from '../../state/hooks.ts';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { FabricChoice } from '../../rooms/figures/FabricChoice.tsx';
import { selectPlan } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';

const CORNERS = FACING_CORNERS.map((id) => ({ id, name: FACING_CORNER_NAMES[id] }));

/** What can be chosen of a finish. */
export function FinishFields({ finish }: { finish: EdgeFinish }) {
  if (finish === 'facing') return <FacingFields />;
  if (finish === 'self-binding') return <SelfBindingFields />;
  if (finish === 'piping') return <PipingFields />;
  return null;
}

/** The edge as it stands, and a way to change a part of it. */
function useEdge() {
  const { edge, unit } = useAppSelector(selectPlan);
  const edit = useEdit();
  return {
    edge,
    unit,
    change: (part: Partial<Plan['edge']>) => edit((p) => ({ ...p, edge: { ...p.edge, ...part } })),
  };
}

function FacingFields() {
  const { edge, unit, change } = useEdge();
  const { facing } = edge;
  return (
    <>
      <LengthField
        label="Strips, cut"
        value={facing.width}
        unit={unit}
        onCommit={(width) => change({ facing: { ...facing, width } })}
      />
      <ChoiceField
        labelled
        label="Corners"
        value={facing.corners}
        choices={CORNERS}
        onChange={(corners) =>
          change({ facing: { ...facing, corners: corners as Plan['edge']['facing']['corners'] } })
        }
      />
      <FabricChoice labelled use={{ what: 'facing' }} label="Cloth" />
    </>
  );
}

function SelfBindingFields() {
  const { edge, unit, change } = useEdge();
  const { way } = useAppSelector(selectPlan).backing;
  return (
    <>
      <LengthField
        label="On the front"
        value={edge.selfBinding.shows}
        unit={unit}
        onCommit={(shows) => change({ selfBinding: { shows } })}
      />
      <FabricChoice
        labelled
        use={{ what: way === 'wide' ? 'wide-back' : 'backing' }}
        label="Cloth, the backing’s"
      />
    </>
  );
}

function PipingFields() {
  const { edge, unit, change } = useEdge();
  const { piping } = edge;
  return (
    <>
      <LengthField
        label="Cord, thick"
        value={piping.cord}
        unit={unit}
        step={unit === 'in' ? 1 / 32 : 0.1}
        onCommit={(cord) => change({ piping: { ...piping, cord } })}
      />
      <FabricChoice labelled use={{ what: 'piping' }} label="Cloth" />
    </>
  );
}
