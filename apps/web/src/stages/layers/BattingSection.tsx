import {
  BATTING_COLOURS,
  type BattingOption,
  FIBRE_IDS,
  FIBRES,
  type Layers,
  type Plan,
} from '@lattice/core';
import { Plus, X } from 'lucide-react';
import styled from 'styled-components';
import { useAppSelector } from '../../app/store.ts';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { AdviceFor } from '../../figures/AdviceFor.tsx';
import { FigureLine } from '../../figures/Line.tsx';
import { Section } from '../../figures/Section.tsx';
import { selectPlan } from '../../quilt/selectors.ts';
import { useEdit } from '../../quilt/useEdit.ts';
import { Ways } from './Ways.tsx';

const Piece = styled.li`
  display: grid;
  grid-template-columns: 1fr auto;
  align-items: center;
  border-top: 1px dashed var(--line);
  > button {
    grid-row: 1 / 3;
    grid-column: 2;
  }
  > div {
    grid-column: 1;
  }
`;
const colours = BATTING_COLOURS.map((id) => ({ id, name: id[0]!.toUpperCase() + id.slice(1) }));
const fibres = FIBRE_IDS.map((id) => ({ id, name: FIBRES[id].name }));
const WHERE = {
  pieces: 'there already',
  package: 'one piece',
  roll: 'one piece',
  joined: 'joined: lap two edges, cut both in a gentle wave, butt and whip them',
} as const;

/** Batting: fibre and colour with what they mean, and every way of having enough of it. */
export function BattingSection({ layers: { batting, chosenBatting } }: { layers: Layers }) {
  const plan = useAppSelector(selectPlan);
  const edit = useEdit();
  const { unit } = plan;
  const change = (part: Partial<Plan['batting']>) =>
    edit((p) => ({ ...p, batting: { ...p.batting, ...part } }));
  const { pieces } = plan.batting;
  return (
    <Section title="Batting">
      <ChoiceField
        labelled
        label="Fibre"
        value={plan.batting.fibre}
        choices={fibres}
        onChange={(fibre) => change({ fibre: fibre as Plan['batting']['fibre'] })}
      />
      <p>
        <small>{FIBRES[plan.batting.fibre].says}</small>
      </p>
      <ChoiceField
        labelled
        label="Colour"
        value={plan.batting.colour}
        choices={colours}
        onChange={(colour) => change({ colour: colour as Plan['batting']['colour'] })}
      />
      <AdviceFor path="batting.colour" />
      <ul>
        <FigureLine name="Batting, across" figure={batting.width} unit={unit} />
        <FigureLine name="Batting, down" figure={batting.height} unit={unit} />
      </ul>
      {chosenBatting === null ? (
        <p role="note">
          No package, roll or join of them is large enough: make the quilt of two, joined once they are
          quilted.
        </p>
      ) : (
        <Ways
          label="Where the batting comes from"
          value={chosenBatting.way}
          onChange={(way) =>
            change({ way: way === batting.options[0]!.way ? 'best' : (way as BattingOption['way']) })
          }
          ways={batting.options.map((option, i) => ({
            id: option.way,
            name: <Lengths text={option.text} />,
            rest: `${i === 0 ? 'best, ' : ''}${WHERE[option.way]}`,
          }))}
        />
      )}
      <LengthField
        label="Roll, wide"
        value={plan.batting.rollWidth}
        unit={unit}
        step={unit === 'in' ? 1 : 5}
        onCommit={(rollWidth) => change({ rollWidth })}
      />
      <Button
        look="quiet"
        isDisabled={pieces.length >= 12}
        onPress={() =>
          change({
            pieces: [...pieces, unit === 'in' ? { width: 45, height: 60 } : { width: 115, height: 150 }],
          })
        }
      >
        <Plus size={15} aria-hidden />A piece that is there
      </Button>
      <ul>
        {pieces.map((piece, i) => {
          const set = (next: Partial<typeof piece>) =>
            change({ pieces: pieces.map((p, at) => (at === i ? { ...p, ...next } : p)) });
          return (
            // A piece of batting has no name of its own.
            <Piece key={i}>
              <LengthField
                label={`Piece ${i + 1}, wide`}
                value={piece.width}
                unit={unit}
                step={unit === 'in' ? 1 : 5}
                onCommit={(width) => set({ width })}
              />
              <LengthField
                label={`Piece ${i + 1}, long`}
                value={piece.height}
                unit={unit}
                step={unit === 'in' ? 1 : 5}
                onCommit={(height) => set({ height })}
              />
              <Button
                look="quiet"
                aria-label={`Take piece ${i + 1} off the list`}
                onPress={() => change({ pieces: pieces.filter((_, at) => at !== i) })}
              >
                <X size={15} aria-hidden />
              </Button>
            </Piece>
          );
        })}
      </ul>
    </Section>
  );
}
