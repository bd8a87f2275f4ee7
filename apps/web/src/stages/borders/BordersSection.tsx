import { addedBorder, BORDER_LIMIT, piecedKind, type Plan, settingOf, withFabric } from '@lattice/core';
import { Plus, X } from 'lucide-react';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { Named } from '../../design/Named.ts';
import { withBorder, withBorderWidth, withoutBorder } from '../../state/borderEdits.ts';
import { newId } from '../../browser/tabs.ts';
import { selectPlan } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';
import { AdviceFor } from '../../rooms/figures/AdviceFor.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { PiecedFields } from './PiecedFields.tsx';
import { StripFields } from './StripFields.tsx';

const Row = styled.li`
  & + &[data-whole] {
    margin-top: 8px;
    padding-top: 8px;
    border-top: 1px dashed var(--line);
  }
  .cloth {
    display: flex;
    align-items: center;
    justify-content: space-between;
  }
`;

/** Plain squares stand at its corners. */
const hasCornerSquares = ({ corners, pieced }: Plan['borders'][number]): boolean =>
  corners === 'squares' && !(pieced?.corner === 'unit' && piecedKind(pieced.kind).turnsCorner);

/**
 * The stack of borders from the centre out. Beside the setting only width and cloth; `whole` adds what
 * it is made of, how its corners turn, how strips are cut and joined, and what repeats in it.
 */
export function BordersSection({ whole = false }: { whole?: boolean }) {
  const plan = useAppSelector(selectPlan);
  const edit = useEdit();
  const { borders, fabrics, unit } = plan;
  const add = () =>
    edit((p) => ({
      ...p,
      borders: [...p.borders, addedBorder(p, newId(), unit === 'in' ? 3 : 8)],
    }));
  const change = (i: number, part: Partial<Plan['borders'][number]>) => edit((p) => withBorder(p, i, part));
  return (
    <Section
      title="Borders, from the centre out"
      action={
        <Button look="quiet" isDisabled={borders.length >= BORDER_LIMIT} onPress={add}>
          <Plus size={15} aria-hidden />
          Add
        </Button>
      }
    >
      {whole && borders.length > 0 && (
        <LengthField
          label="Extra length, trimmed after sewing"
          value={plan.overLong.borders}
          unit={unit}
          step={unit === 'in' ? 0.5 : 1}
          onCommit={(over) => edit((p) => ({ ...p, overLong: { ...p.overLong, borders: over } }))}
        />
      )}
      {whole && borders.length === 0 && <p>No border yet: the binding goes straight onto the centre.</p>}
      <ul>
        {borders.map((border, i) => {
          const even = border.sides === border.ends;
          const name = `Border ${i + 1}`;
          return (
            // A border has no name of its own: its place in the stack is what it is.
            <Row key={i} data-whole={whole || undefined}>
              <Named aria-label={name}>
                <LengthField
                  label={even ? `${name}, finished` : `${name}, sides`}
                  value={border.sides}
                  unit={unit}
                  onCommit={(width) => edit((p) => withBorderWidth(p, i, 'sides', width))}
                />
                {!even && (
                  <LengthField
                    label={`${name}, top and bottom`}
                    value={border.ends}
                    unit={unit}
                    onCommit={(width) => edit((p) => withBorderWidth(p, i, 'ends', width))}
                  />
                )}
                {whole && !settingOf(plan.setting.kind).quilted && <PiecedFields index={i} />}
                {whole && !border.pieced && <StripFields index={i} />}
                <div className="cloth">
                  <ChoiceField
                    label={border.pieced ? `First cloth of border ${i + 1}` : `Cloth of border ${i + 1}`}
                    value={border.fabric}
                    choices={fabrics}
                    onChange={(fabric) => change(i, { fabric })}
                  />
                  {whole && border.pieced && (
                    <ChoiceField
                      label={`Second cloth of border ${i + 1}`}
                      value={border.pieced.fabric}
                      choices={fabrics}
                      onChange={(fabric) =>
                        edit((p) => withFabric(p, { what: 'border-second', border: border.id }, fabric))
                      }
                    />
                  )}
                  {whole && hasCornerSquares(border) && (
                    <ChoiceField
                      label={`Cloth of the corner squares of border ${i + 1}`}
                      value={border.cornerFabric}
                      choices={fabrics}
                      onChange={(cornerFabric) => change(i, { cornerFabric })}
                    />
                  )}
                  <Button
                    look="quiet"
                    aria-label={`Take border ${i + 1} off`}
                    onPress={() => edit((p) => withoutBorder(p, i))}
                  >
                    <X size={15} aria-hidden />
                  </Button>
                </div>
                <AdviceFor path={`borders.${i}.sides`} />
                <AdviceFor path={`borders.${i}.cut`} />
              </Named>
            </Row>
          );
        })}
      </ul>
    </Section>
  );
}
