import { EDGE_FINISHES, type EdgeFinish, FINISH_NAMES, finishOf, type Plan } from '@lattice/core';
import { useState } from 'react';
import { ToggleButton, ToggleButtonGroup } from 'react-aria-components';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { useAnswered } from '../../design/answered.ts';
import { pictureCard } from '../../design/cardStyles.ts';
import { Button } from '../../design/controls/Button.tsx';
import { Verdict } from '../../design/Verdict.ts';
import { Section } from '../../rooms/figures/Section.tsx';
import { selectPlan } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';

const Cards = styled(ToggleButtonGroup)`
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
  // Nothing shows at the front; what lies behind is broken.
  facing: (
    <>
      <path d="M6 40V6H54" />
      <path d="M22 40V22H54M6 6L22 22" strokeDasharray="3 3" />
    </>
  ),
  'self-binding': (
    <>
      <path d="M4 40V4H54M18 40V18H54M4 4L18 18" />
      <path d="M11 40V11H54" strokeDasharray="1 3" />
    </>
  ),
  'turned-edge': (
    <>
      <path d="M6 40V12Q6 6 12 6H54" />
      <path d="M14 40V14H54" strokeDasharray="4 2" />
    </>
  ),
  piping: (
    <>
      <path d="M4 40V4H54" />
      <path d="M14 40V16Q14 12 18 12H54M19 40V21Q19 17 23 17H54" />
    </>
  ),
};

/** As they stand on the cards: the usual ones first. */
const CARDS: readonly EdgeFinish[] = [
  ...(['binding', 'flange', 'prairie-points'] as const),
  ...(['facing', 'self-binding', 'turned-edge', 'piping'] as const),
];

/** The finishes that go with one that was refused beside what there is: the way out. */
function instead(finish: EdgeFinish): EdgeFinish[] {
  // What does not close the edge lies beside what does.
  return finishOf(finish).closes ? [finish] : [finish, 'binding'];
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
      <Cards
        aria-label="Finishes"
        selectionMode="multiple"
        selectedKeys={finishes}
        onSelectionChange={(keys) => {
          const touched = CARDS.find((finish) => keys.has(finish) !== finishes.includes(finish));
          if (touched) toggle(touched, keys.has(touched));
        }}
      >
        {CARDS.map((finish) => (
          <Card key={finish} id={finish}>
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
