import { type Edge, formatWithUnit, isMeasuredBothWays } from '@lattice/core';
import { useAppSelector } from '../../state/hooks.ts';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { FabricChoice } from '../../rooms/figures/FabricChoice.tsx';
import { FigureLine } from '../../rooms/figures/Line.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { selectPlan } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';

/** The flange beside the binding: how much of it shows, and its four strips. */
export function FlangeSection({ flange }: { flange: NonNullable<Edge['flange']> }) {
  const { unit, seam, edge, measured, borders } = useAppSelector(selectPlan);
  const edit = useEdit();
  return (
    <Section title="Flange">
      <LengthField
        label="To be seen"
        value={edge.flange.visible}
        unit={unit}
        step={unit === 'in' ? 1 / 16 : 0.1}
        onCommit={(visible) =>
          edit((p) => ({ ...p, edge: { ...p.edge, flange: { ...p.edge.flange, visible } } }))
        }
      />
      <FabricChoice labelled use={{ what: 'flange' }} label="Cloth" />
      <ul data-testid="flange">
        <FigureLine name="Cut wide" figure={flange.cutWidth} unit={unit} />
        <FigureLine name="Sides, two of" figure={flange.sides} unit={unit} />
        <FigureLine name="Top and bottom, two of" figure={flange.ends} unit={unit} />
        <FigureLine name="Strips, selvage to selvage" figure={flange.strips} unit={unit} />
        <FigureLine name="Cloth" figure={flange.fabric} unit={unit} />
      </ul>
      <p>
        <small>
          {!measured.some((m) => m.borders === borders.length && isMeasuredBothWays(m))
            ? 'Measure each side in three places once it is quilted, and cut to the average: an uncut strip stretches as it is sewn.'
            : 'Cut to the average of what the whole top measured.'}{' '}
          Fold it, sides first, then top and bottom, ends straight; baste with a little less than{' '}
          {formatWithUnit(seam, unit)}, so that the binding’s seam hides it. A walking foot or dual feed keeps
          it even.
        </small>
      </p>
    </Section>
  );
}
