import { fabricFor, type FabricUse, withFabric } from '@lattice/core';
import { useAppSelector } from '../../state/hooks.ts';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { selectPlan } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';

/** Which of the plan's fabrics does a job. */
export function FabricChoice({
  use,
  label,
  labelled = false,
}: {
  use: FabricUse;
  label: string;
  labelled?: boolean;
}) {
  const plan = useAppSelector(selectPlan);
  const edit = useEdit();
  return (
    <ChoiceField
      label={label}
      labelled={labelled}
      value={fabricFor(plan, use)}
      choices={plan.fabrics}
      onChange={(id) => edit((p) => withFabric(p, use, id))}
    />
  );
}
