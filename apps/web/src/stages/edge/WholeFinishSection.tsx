import { capital, FINISH_NAMES, type FinishedEdge, wholeFinish } from '@lattice/core';
import { useAppSelector } from '../../state/hooks.ts';
import { Lengths } from '../../design/Lengths.tsx';
import { FigureLine } from '../../rooms/figures/Line.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { selectPlan } from '../../state/selectors.ts';
import { FinishFields } from './FinishFields.tsx';

/** A finish that tells all it is by itself: what can be chosen of it, and what it comes to. */
export function WholeFinishSection({ finished: { finish, lines } }: { finished: FinishedEdge }) {
  const { unit } = useAppSelector(selectPlan);
  return (
    <Section title={FINISH_NAMES[finish]}>
      <p>
        <small>
          <Lengths text={wholeFinish(finish)!.describes} />
        </small>
      </p>
      <FinishFields finish={finish} />
      <ul data-testid={finish}>
        {lines.map((line) => (
          <FigureLine key={line.name} unit={unit} {...line} name={own(line.name, finish)} />
        ))}
      </ul>
    </Section>
  );
}

/** Under its own heading a figure's name need not begin with the finish's. */
function own(name: string, finish: FinishedEdge['finish']): string {
  const begins = `${FINISH_NAMES[finish]}, `;
  if (!name.startsWith(begins)) return name;
  const rest = name.slice(begins.length);
  return capital(rest);
}
