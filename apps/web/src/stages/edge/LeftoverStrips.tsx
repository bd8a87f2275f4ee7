import type { Binding } from '@lattice/core';
import { Plus, X } from 'lucide-react';
import styled from 'styled-components';
import { useAppSelector } from '../../app/store.ts';
import { Button } from '../../design/controls/Button.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { AdviceFor } from '../../figures/AdviceFor.tsx';
import { FigureLine } from '../../figures/Line.tsx';
import { selectPlan } from '../../quilt/selectors.ts';
import { useEdit } from '../../quilt/useEdit.ts';

const Piece = styled.li`
  padding: 4px 0;
  border-top: 1px dashed var(--line);
  .last {
    display: flex;
    justify-content: flex-end;
  }
`;

/** Leftover strips of any width to use up in a binding of many cloths, and what is still wanting. */
export function LeftoverStrips({ binding: { leftovers } }: { binding: Binding }) {
  const { unit, binding } = useAppSelector(selectPlan);
  const edit = useEdit();
  const set = (next: typeof binding.leftovers) =>
    edit((p) => ({ ...p, binding: { ...p.binding, leftovers: next } }));
  const inches = unit === 'in';
  return (
    <div role="group" aria-label="Leftovers to bind with">
      <Button
        look="quiet"
        isDisabled={binding.leftovers.length >= 24}
        onPress={() =>
          void set([...binding.leftovers, { width: binding.stripWidth, length: inches ? 20 : 50 }])
        }
      >
        <Plus size={15} aria-hidden />
        Use up a leftover
      </Button>
      <ul>
        {binding.leftovers.map((piece, i) => (
          // A leftover has no name of its own.
          <Piece key={i}>
            <LengthField
              label={`Leftover ${i + 1}, wide`}
              value={piece.width}
              unit={unit}
              onCommit={(width) => set(binding.leftovers.map((p, at) => (at === i ? { ...p, width } : p)))}
            />
            <LengthField
              label={`Leftover ${i + 1}, long`}
              value={piece.length}
              unit={unit}
              step={inches ? 1 : 5}
              onCommit={(length) => set(binding.leftovers.map((p, at) => (at === i ? { ...p, length } : p)))}
            />
            <AdviceFor path={`binding.leftovers.${i}`} />
            <span className="last">
              <Button
                look="quiet"
                aria-label={`Take leftover ${i + 1} off the list`}
                onPress={() => void set(binding.leftovers.filter((_, at) => at !== i))}
              >
                <X size={15} aria-hidden />
                Take it off
              </Button>
            </span>
          </Piece>
        ))}
      </ul>
      {leftovers && (
        <ul data-testid="leftovers">
          <FigureLine name="The leftovers reach" figure={leftovers.reach} unit={unit} />
          <FigureLine name="Still wanting" figure={leftovers.wanting} unit={unit} />
        </ul>
      )}
    </div>
  );
}
