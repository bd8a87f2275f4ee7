import {
  capital,
  type Edge,
  EDGE_SHAPE_NAMES,
  EDGE_SHAPES,
  type EdgeShape,
  footRadius,
  formatSize,
  formatWithUnit,
  isCornered,
  type Plan,
  postCutOut,
  type Scallops,
  type Side,
  SIDES,
  type Unit,
} from '@lattice/core';
import { Printer } from 'lucide-react';
import { useState } from 'react';
import { ToggleButton, ToggleButtonGroup } from 'react-aria-components';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { useAnswered } from '../../design/answered.ts';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { Verdict } from '../../design/Verdict.ts';
import { AdviceFor } from '../../rooms/figures/AdviceFor.tsx';
import { FigureLine } from '../../rooms/figures/Line.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { selectPlan } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';
import { Lengths } from '../../design/Lengths.tsx';
import { fingerHigh } from '../../design/media.ts';

const Sides = styled.span`
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 6px;
  margin: 4px 0;
`;
const SideButton = styled(ToggleButton)`
  min-height: 32px;
  border: 1.5px solid var(--line);
  border-radius: 8px;
  background: transparent;
  font-size: var(--size-note);
  cursor: pointer;
  &[data-selected] {
    border-color: var(--ink);
    background: var(--chalk-wash);
    font-weight: 650;
  }
  &[data-focus-visible] {
    outline: 2px solid var(--chalk);
    outline-offset: 2px;
  }
  ${fingerHigh}
`;

/** How each side is divided, and what becomes of the corners. */
function scallopWords({ sides, across, down, corner }: Scallops, unit: Unit): string {
  const level = sides.filter((s) => s === 'top' || s === 'bottom');
  const upright = sides.filter((s) => s === 'left' || s === 'right');
  const along = (of: readonly Side[], { count, width }: NonNullable<Scallops['across']>) =>
    `${count} along ${of.length === 2 ? (of[0] === 'top' ? 'top and bottom' : 'the sides') : `the ${of[0]}`}, ${formatWithUnit(width, unit)}`;
  const parts = [
    ...(across ? [`${along(level, across)} each`] : []),
    ...(down ? [along(upright, down)] : []),
  ];
  const corners = !corner
    ? 'the other sides straight'
    : sides.length === 4
      ? 'and every corner turned'
      : 'and a corner turned where two of them meet';
  return `${parts.join('; ')}; ${corners}.`;
}

const shapes = EDGE_SHAPES.map((id) => ({ id, name: EDGE_SHAPE_NAMES[id] }));
const WHICH = [
  { id: 'all', name: 'All four' },
  { id: 'foot', name: 'The two at the foot' },
];

/** The edge's shape with what it is shaped by; its length computed, or measured with a tape. */
export function ShapeSection({ edge }: { edge: Edge }) {
  const plan = useAppSelector(selectPlan);
  const edit = useEdit();
  const answered = useAnswered();
  const { id } = useParams();
  /** A tape is being laid round it: the field waits, empty, for what it reads. */
  const [taped, setTaped] = useState(false);
  const [refused, setRefused] = useState<{ why: string; of: Plan['edge'] } | null>(null);
  const problem = refused?.of === plan.edge ? refused.why : null;
  const { unit } = plan;
  const { shape, corners, radius, cutOut, scallop, around } = plan.edge;
  const foot = footRadius(plan.target);
  const change = (part: Partial<Plan['edge']>) => edit((p) => ({ ...p, edge: { ...p.edge, ...part } }));
  /** A change that may be refused: why is said here. */
  const ask = (part: Partial<Plan['edge']>) => {
    const why = answered(change(part));
    setRefused(why === null ? null : { why, of: plan.edge });
  };
  /** Scallops of the width asked for cannot always be divided; the next narrower ones that can be are taken, to be changed. */
  const scallopsThatFit = (): boolean => {
    const step = unit === 'in' ? 0.5 : 1;
    for (let width = scallop.width; width >= 4 * step; width -= step) {
      const depth = Math.min(scallop.depth, width / 4);
      if (change({ shape: 'scalloped', scallop: { ...scallop, width, depth } }) === null) return true;
    }
    return false;
  };
  const { scallops } = edge.outline;
  const posts = postCutOut(plan.target);
  const cornered = isCornered(shape);
  return (
    <Section title="Shape">
      <ChoiceField
        labelled
        label="Edge"
        value={shape}
        choices={shapes}
        onChange={(to) => {
          const why = answered(
            // A bed has its posts at the foot; the head lies behind the pillows.
            change({ shape: to as EdgeShape, ...(to === 'posts' ? { corners: 'foot' } : {}) }),
          );
          const fits = why !== null && to === 'scalloped' && scallopsThatFit();
          setRefused(why === null || fits ? null : { why, of: plan.edge });
        }}
      />
      {problem && (
        <Verdict role="alert" data-kind="ease">
          {problem}
        </Verdict>
      )}
      {foot !== null && !(shape === 'rounded' && corners === 'foot' && radius === foot) && (
        <Button onPress={() => ask({ shape: 'rounded', corners: 'foot', radius: foot })}>
          Round the foot by the drop, <Lengths text={formatWithUnit(foot, unit)} />
        </Button>
      )}
      {posts !== null &&
        !(
          shape === 'posts' &&
          corners === 'foot' &&
          cutOut.across === posts.across &&
          cutOut.down === posts.down
        ) && (
          <Button onPress={() => ask({ shape: 'posts', corners: 'foot', cutOut: posts })}>
            Cut the foot out for bed posts, <Lengths text={formatSize(posts.across, posts.down, unit)} />
          </Button>
        )}
      {cornered && (
        <ChoiceField
          labelled
          label="Which corners"
          value={corners}
          choices={WHICH}
          onChange={(to) => change({ corners: to as 'all' })}
        />
      )}
      {shape === 'posts' && (
        <>
          <LengthField
            label="Cut out, across"
            value={cutOut.across}
            unit={unit}
            step={unit === 'in' ? 0.5 : 1}
            onCommit={(across) => change({ cutOut: { ...cutOut, across } })}
          />
          <LengthField
            label="Cut out, down"
            value={cutOut.down}
            unit={unit}
            step={unit === 'in' ? 0.5 : 1}
            onCommit={(down) => change({ cutOut: { ...cutOut, down } })}
          />
        </>
      )}
      {(shape === 'rounded' || shape === 'clipped') && (
        <LengthField
          label={shape === 'rounded' ? 'Radius' : 'Cut off along each side'}
          value={radius}
          unit={unit}
          step={unit === 'in' ? 0.5 : 1}
          onCommit={(to) => change({ radius: to })}
        />
      )}
      {scallops && (
        <>
          <LengthField
            label="Scallops about"
            value={scallop.width}
            unit={unit}
            step={unit === 'in' ? 0.5 : 1}
            onCommit={(width) => change({ scallop: { ...scallop, width } })}
          />
          <LengthField
            label="Deep"
            value={scallop.depth}
            unit={unit}
            onCommit={(depth) => change({ scallop: { ...scallop, depth } })}
          />
          <ToggleButtonGroup
            selectionMode="multiple"
            disallowEmptySelection
            aria-label="Scallops along"
            selectedKeys={scallop.sides}
            onSelectionChange={(keys) =>
              void change({ scallop: { ...scallop, sides: SIDES.filter((side) => keys.has(side)) } })
            }
          >
            <Sides>
              {SIDES.map((side) => (
                <SideButton key={side} id={side}>
                  {capital(side)}
                </SideButton>
              ))}
            </Sides>
          </ToggleButtonGroup>
          <p data-testid="scallops">
            <Lengths text={scallopWords(scallops, unit)} />
          </p>
          <p>
            <Link to={`/quilts/${id}/scallops`}>
              <Printer size={14} aria-hidden /> True-size templates to print
            </Link>
          </p>
        </>
      )}
      <ul data-testid="around">
        <FigureLine
          name={around === null ? 'All round' : 'All round, measured'}
          figure={edge.around}
          unit={unit}
        />
      </ul>
      {around === null && !taped ? (
        <Button look="quiet" onPress={() => setTaped(true)}>
          Measured with a tape instead
        </Button>
      ) : (
        <>
          <LengthField
            label="Measured all round"
            value={around}
            unit={unit}
            autoFocus={taped}
            onCommit={(to) => change({ around: to })}
            onClear={() => void change({ around: null })}
          />
          <AdviceFor path="edge.around" />
          <Button
            look="quiet"
            onPress={() => {
              setTaped(false);
              void change({ around: null });
            }}
          >
            Compute it again
          </Button>
        </>
      )}
    </Section>
  );
}
