import {
  type ArrangeRules,
  numberOf,
  type Plan,
  type WallJob,
  type WallScore,
  withArrangement,
} from '@lattice/core';
import { memo } from 'react';
import { ProgressBar } from 'react-aria-components';
import styled from 'styled-components';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { CountField } from '../../design/controls/CountField.tsx';
import { SwitchField } from '../../design/controls/SwitchField.tsx';
import { WeightSlider } from '../../design/controls/WeightSlider.tsx';
import { Thumbnail } from '../../rooms/drawing/Thumbnail.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import type { Arranging } from './useArrange.ts';

const Running = styled(ProgressBar)`
  display: flex;
  align-items: center;
  gap: 10px;
  font-size: var(--size-text);
`;
const Proposals = styled.ul`
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 8px;
  margin: 8px 0;
  button {
    display: grid;
    gap: 4px;
    width: 100%;
    padding: 6px;
    border: 1.5px solid var(--line);
    border-radius: 9px;
    background: var(--card);
    font-size: var(--size-mark);
    line-height: 1.3;
    text-align: left;
    cursor: pointer;
  }
  button[aria-pressed='true'] {
    border-color: var(--thread);
    box-shadow: inset 0 0 0 1px var(--thread);
  }
  .art {
    height: 96px;
  }
`;

const WEIGHTS: readonly (readonly [Exclude<keyof ArrangeRules, 'order'>, string])[] = [
  ['kind', 'Kinds apart'],
  ['maker', 'Makers apart'],
  ['colour', 'Colours apart'],
  ['cloth', 'Cloths apart'],
  ['turn', 'Rotations apart'],
  ['spread', 'Spread evenly'],
  ['gradient', 'Light to dark'],
];
const ORDERS = [
  { id: 'across', name: 'From left to right' },
  { id: 'down', name: 'From top to bottom' },
  { id: 'outwards', name: 'From the middle out' },
];

const clashWords = (clashes: number) => (clashes === 0 ? 'no clash' : numberOf(clashes, 'clash', 'clashes'));

/** How evenly alike blocks are spread, beside how they were before: a share, for the sum itself says nothing to a quilter. */
function spreadWords({ unevenness }: WallScore, before: WallScore | null): string {
  if (!before || before.unevenness <= 0) return '';
  const better = Math.round(100 * (1 - unevenness / before.unevenness));
  if (better === 0) return ', spread as evenly as before';
  return better > 0 ? `, spread ${better} % more evenly` : `, spread ${-better} % less evenly`;
}

interface ArrangeSectionProps {
  readonly plan: Plan;
  readonly job: WallJob;
  /** Clashes of what is shown. */
  readonly clashes: number;
  readonly rules: ArrangeRules;
  readonly onRules: (rules: ArrangeRules) => void;
  readonly seed: number;
  readonly onSeed: (seed: number) => void;
  readonly spares: boolean;
  readonly onSpares: (spares: boolean) => void;
  readonly arranging: Arranging | null;
  readonly picked: number;
  readonly onPick: (proposal: number) => void;
  readonly onStart: () => void;
  readonly onStop: () => void;
  readonly onTake: () => void;
  readonly onLeave: () => void;
}

/** What an arrangement weighs, having one made, and choosing among those made. */
export function ArrangeSection(props: ArrangeSectionProps) {
  const {
    plan,
    job,
    clashes,
    rules,
    onRules,
    seed,
    onSeed,
    spares,
    onSpares,
    arranging,
    picked,
    onPick,
    onStart,
    onStop,
    onTake,
    onLeave,
  } = props;
  const proposals = arranging?.proposals ?? [];
  return (
    <Section title="Arrange for me">
      <p data-testid="score">
        <small>
          {arranging?.before ? `Before: ${clashWords(arranging.before.clashes)}. Now: ` : 'As it lies: '}
          {clashWords(clashes)}.
        </small>
      </p>
      {arranging?.running ? (
        <Running aria-label="Arranging" value={100 * arranging.done}>
          {({ valueText }) => (
            <>
              Arranging, {valueText}
              <Button onPress={onStop}>Stop</Button>
            </>
          )}
        </Running>
      ) : (
        <Button
          look={proposals.length > 0 ? 'plain' : 'main'}
          isDisabled={plan.pile.length < 2}
          onPress={onStart}
        >
          {proposals.length > 0 ? 'Arrange again' : 'Arrange for me'}
        </Button>
      )}
      {arranging?.failed && <p role="alert">Arranging stopped working. Try again.</p>}
      {proposals.length > 0 && (
        <>
          <Proposals aria-label="Arrangements to choose from">
            {proposals.map(({ arrangement, score }, i) => (
              <li key={i}>
                <button type="button" aria-pressed={i === picked} onClick={() => onPick(i)}>
                  <span className="art">
                    <Thumbnail plan={withArrangement(plan, arranging!.job, arrangement)} />
                  </span>
                  {clashWords(score.clashes)}
                  {spreadWords(score, arranging!.before)}
                </button>
              </li>
            ))}
          </Proposals>
          <p>
            <small>
              Alike blocks, makers, colours and cloths close to one another count against an arrangement, the
              nearer the more; the share is beside how they lay before.
            </small>
          </p>
          {!arranging!.running && (
            <div style={{ display: 'flex', gap: 8, flexWrap: 'wrap' }}>
              <Button look="main" onPress={onTake}>
                Lay it out like this
              </Button>
              <Button onPress={onLeave}>Leave it as it lies</Button>
            </div>
          )}
        </>
      )}
      <Rules
        {...{ rules, onRules, seed, onSeed, spares, onSpares }}
        anySpare={job.blocks.length > job.at.filter((b) => b >= 0).length}
      />
    </Section>
  );
}

/** The rules themselves, drawn apart: a block that is moved changes none of them. */
const Rules = memo(function Rules({
  rules,
  onRules,
  seed,
  onSeed,
  spares,
  onSpares,
  anySpare,
}: Pick<ArrangeSectionProps, 'rules' | 'onRules' | 'seed' | 'onSeed' | 'spares' | 'onSpares'> & {
  anySpare: boolean;
}) {
  return (
    <>
      {WEIGHTS.map(([key, label]) => (
        <WeightSlider
          key={key}
          label={label}
          value={rules[key]}
          most={10}
          step={0.5}
          onChange={(value) => onRules({ ...rules, [key]: value })}
        />
      ))}
      {rules.gradient > 0 && (
        <ChoiceField
          label="Order"
          labelled
          value={rules.order}
          choices={ORDERS}
          onChange={(order) => onRules({ ...rules, order: order as ArrangeRules['order'] })}
        />
      )}
      {anySpare && <SwitchField label="Bring in blocks from beside" value={spares} onChange={onSpares} />}
      <CountField
        label="Begin from number"
        value={seed}
        onCommit={(value) =>
          value >= 1 && value <= 9999
            ? (onSeed(value), null)
            : 'A number from 1 to 9999: the same one gives the same arrangement.'
        }
      />
    </>
  );
});
