import { BORDER_CORNERS, type BorderCorners, CORNER_NAMES, type Plan } from '@lattice/core';
import { useAppSelector } from '../../state/hooks.ts';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { withBorder } from '../../state/borderEdits.ts';
import { selectPlan } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';
import { RepeatFields } from './RepeatFields.tsx';

const corners = BORDER_CORNERS.map((id) => ({ id, name: CORNER_NAMES[id] }));
const joins = [
  { id: 'diagonal', name: 'On the diagonal' },
  { id: 'straight', name: 'Straight across' },
];
const directions = [
  { id: 'crosswise', name: 'Across, joined' },
  { id: 'lengthwise', name: 'Along the selvage' },
];

/** A border of whole strips: another width at top and bottom, its corners, how strips are cut and joined, and a print that repeats. */
export function StripFields({ index }: { index: number }) {
  const { borders, unit } = useAppSelector(selectPlan);
  const edit = useEdit();
  const border = borders[index]!;
  const change = (part: Partial<Plan['borders'][number]>) => edit((p) => withBorder(p, index, part));
  return (
    <>
      {border.sides === border.ends && (
        <LengthField
          label={`Border ${index + 1}, top and bottom`}
          value={border.ends}
          unit={unit}
          onCommit={(ends) => change({ ends })}
        />
      )}
      <ChoiceField
        label="Corners"
        labelled
        value={border.corners}
        choices={corners}
        onChange={(id) => change({ corners: id as BorderCorners })}
      />
      <ChoiceField
        label="Cut"
        labelled
        value={border.cut}
        choices={directions}
        onChange={(id) => change({ cut: id as 'crosswise' | 'lengthwise' })}
      />
      {border.cut === 'crosswise' && (
        <ChoiceField
          label="Joined"
          labelled
          value={border.joins}
          choices={joins}
          onChange={(id) => change({ joins: id as 'diagonal' | 'straight' })}
        />
      )}
      <RepeatFields index={index} />
    </>
  );
}
