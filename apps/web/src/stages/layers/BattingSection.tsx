import {
  BATTING_COLOURS,
  type BattingOption,
  capital,
  FIBRE_IDS,
  FIBRES,
  type Layers,
  type Plan,
} from '@lattice/core';
import { useAppSelector } from '../../state/hooks.ts';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { AdviceFor } from '../../rooms/figures/AdviceFor.tsx';
import { FigureLine } from '../../rooms/figures/Line.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { selectPlan } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';
import { StockList } from '../../rooms/stash/StockList.tsx';
import { Ways } from './Ways.tsx';

const colours = BATTING_COLOURS.map((id) => ({ id, name: capital(id) }));
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
      <StockList
        job="batting"
        fits={({ kind }) => kind === 'batting'}
        usual={unit === 'in' ? { width: 45, length: 60 } : { width: 115, length: 150 }}
      />
    </Section>
  );
}
