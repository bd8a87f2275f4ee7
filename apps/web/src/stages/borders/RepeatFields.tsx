import { useAppSelector } from '../../state/hooks.ts';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { SwitchField } from '../../design/controls/SwitchField.tsx';
import { withBorder } from '../../state/borderEdits.ts';
import { selectPlan } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';
import { SpacerFits } from './SpacerFits.tsx';

/** A border whose print or piecing repeats: how many repeats its strips hold, and the border inside that makes them whole. */
export function RepeatFields({ index }: { index: number }) {
  const { unit, borders } = useAppSelector(selectPlan);
  const edit = useEdit();
  const { repeat } = borders[index]!;
  const set = (value: number | null) => edit((p) => withBorder(p, index, { repeat: value }));
  return (
    <>
      <SwitchField
        label="Cloth or piecing that repeats"
        value={repeat !== null}
        onChange={(on) => set(on ? (unit === 'in' ? 4 : 10) : null)}
      />
      {repeat !== null && (
        <LengthField label={`Repeat of border ${index + 1}`} value={repeat} unit={unit} onCommit={set} />
      )}
      <SpacerFits
        index={index}
        one="repeat"
        many="repeats"
        sewn="What lies inside it is sewn and measured: spread the print from the middle of each side."
      />
    </>
  );
}
