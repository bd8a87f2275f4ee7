import { bindingBySchool, formatWithUnit, numberOf, type Plan, SCHOOL_NAMES } from '@lattice/core';
import { useMemo } from 'react';
import { Label } from 'react-aria-components';
import { useAppSelector } from '../../state/hooks.ts';
import { Side, SideBySide } from '../../design/controls/SideBySide.ts';
import { Lengths } from '../../design/Lengths.tsx';
import { selectFinished, selectPlan } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';

/** Schools of reckoning a binding, side by side: what each comes to here. */
export function SchoolChoice() {
  const plan = useAppSelector(selectPlan);
  const { finished } = useAppSelector(selectFinished);
  const edit = useEdit();
  const { unit } = plan;
  const schools = useMemo(
    () => bindingBySchool(plan, { width: finished.width.value, height: finished.height.value }),
    [plan, finished],
  );
  return (
    <SideBySide
      value={plan.binding.school}
      onChange={(school) =>
        edit((p) => ({ ...p, binding: { ...p.binding, school: school as Plan['binding']['school'] } }))
      }
    >
      <Label>Allowance for corners and tails</Label>
      {schools.map(({ school, binding }) => (
        <Side key={school} value={school}>
          <strong>{SCHOOL_NAMES[school][unit]}</strong>
          <Lengths text={formatWithUnit(binding.length.value, unit)} />
          <span>
            {binding.bias
              ? `${formatWithUnit(binding.fabric.value, unit)} of cloth`
              : `in ${numberOf(binding.strips.value, 'whole strip')}`}
          </span>
        </Side>
      ))}
    </SideBySide>
  );
}
