import type { Plan } from '@lattice/core';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { SwitchField } from '../../design/controls/SwitchField.tsx';
import { AdviceFor } from '../../rooms/figures/AdviceFor.tsx';
import { FabricChoice } from '../../rooms/figures/FabricChoice.tsx';

/** A flange sewn into the binding itself: whether, how much of it is seen, its cloth, and how. */
export function BuiltInFlange({
  plan,
  onChange: change,
}: {
  plan: Plan;
  /** Answers what is wrong with it, or null. */
  onChange: (part: Partial<Plan['binding']>) => string | null;
}) {
  const { unit, binding: chosen } = plan;
  const { flange } = chosen;
  return (
    <>
      <SwitchField
        label="A flange built in"
        value={chosen.flange !== null}
        onChange={(on) =>
          void change({
            flange: on ? { visible: unit === 'in' ? 0.125 : 0.3, fabric: plan.edge.flange.fabric } : null,
          })
        }
      />
      {flange && (
        <>
          <LengthField
            label="Of it to be seen"
            value={flange.visible}
            unit={unit}
            step={unit === 'in' ? 1 / 16 : 0.1}
            onCommit={(visible) => change({ flange: { ...flange, visible } })}
          />
          <FabricChoice labelled use={{ what: 'binding-flange' }} label="Its cloth" />
          <p>
            <small>
              Join the two strips along their length, press the seam open, fold wrong sides together; sew it
              to the back, the main strip up, and turn the flange to the front.
            </small>
          </p>
          <AdviceFor path="binding.flange" />
        </>
      )}
    </>
  );
}
