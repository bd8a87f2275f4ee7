import { EDGE_FINISHES, type EdgeFinish, FINISH_NAMES, type Plan } from '@lattice/core';
import { useState } from 'react';
import { ToggleButton } from 'react-aria-components';
import styled from 'styled-components';
import { useAppSelector } from '../../app/store.ts';
import { useAnswered } from '../../design/answered.ts';
import { pictureCard } from '../../design/cardStyles.ts';
import { Button } from '../../design/controls/Button.tsx';
import { Verdict } from '../../design/Verdict.ts';
import { Section } from '../../figures/Section.tsx';
import { selectPlan } from '../../quilt/selectors.ts';
import { useEdit } from '../../quilt/useEdit.ts';

const Cards = styled.div`
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 8px;
  margin: 4px 0 6px;
`;
const Card = styled(ToggleButton)`
  ${pictureCard}
  background: transparent;
  svg {
    width: 54px;
    height: 40px;
    fill: none;
    stroke: var(--soft);
    stroke-width: 1.4;
  }
  &[data-selected] svg {
    stroke: var(--ink);
  }
`;

/** Each finish drawn at a corner. */
const ART: Readonly<Record<EdgeFinish, React.ReactNode>> = {
  binding: (
    <>
      <path d="M4 40V4H54" strokeWidth={1.4} />
      <path d="M13 40V13H54M4 4L13 13" />
    </>
  ),
  flange: (
    <>
      <path d="M4 40V4H54M10 40V10H54" />
      <path d="M17 40V17H54" strokeDasharray="3 2" />
    </>
  ),
  'prairie-points': (
    <path d="M14 40V16H54M14 16L20 6L26 16L32 6L38 16L44 6L50 16M14 16L4 22L14 28L4 34L14 40" />
  ),
};

/** The finishes that go with one that was refused beside what there is: the way out. */
function instead(finish: EdgeFinish): EdgeFinish[] {
  return finish === 'flange' ? ['flange', 'binding'] : [finish];
}

/** What finishes the edge. Two go together where the trade puts them together; otherwise the reason is said, and the way out. */
export function FinishSection() {
  const { edge: now } = useAppSelector(selectPlan);
  const { finishes } = now;
  const edit = useEdit();
  const answered = useAnswered();
  const [said, setRefused] = useState<{ finish: EdgeFinish; why: string; of: Plan['edge'] } | null>(null);
  // What was said of another edge is no longer true of this one.
  const refused = said?.of === now ? said : null;
  const set = (next: readonly EdgeFinish[]) =>
    edit((p) => ({ ...p, edge: { ...p.edge, finishes: EDGE_FINISHES.filter((f) => next.includes(f)) } }));
  const toggle = (finish: EdgeFinish, on: boolean) => {
    const why = answered(set(on ? [...finishes, finish] : finishes.filter((f) => f !== finish)));
    setRefused(why === null ? null : { finish, why, of: now });
  };
  const way = refused && !finishes.includes(refused.finish) ? instead(refused.finish) : null;
  return (
    <Section title="Finished with">
      <Cards role="group" aria-label="Finishes">
        {(['binding', 'flange', 'prairie-points'] as const).map((finish) => (
          <Card key={finish} isSelected={finishes.includes(finish)} onChange={(on) => toggle(finish, on)}>
            <svg viewBox="0 0 56 42" aria-hidden>
              {ART[finish]}
            </svg>
            {FINISH_NAMES[finish]}
          </Card>
        ))}
      </Cards>
      {refused && (
        <>
          <Verdict role="alert" data-kind="ease">
            {refused.why}
          </Verdict>
          {way && (
            <Button
              onPress={() => {
                const why = answered(set(way));
                setRefused(why === null ? null : { finish: refused.finish, why, of: now });
              }}
            >
              Use {way.map((f) => FINISH_NAMES[f].toLowerCase()).join(' and ')} instead
            </Button>
          )}
        </>
      )}
    </Section>
  );
}
