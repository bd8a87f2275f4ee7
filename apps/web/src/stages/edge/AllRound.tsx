import {
  type BindingJoin,
  formatSize,
  formatWithUnit,
  joinSays,
  type Plan,
  pointsSewn,
  type Quilt,
  rulerStep,
} from '@lattice/core';
import { useRef } from 'react';
import { useMove } from 'react-aria';
import styled from 'styled-components';
import { type Dimension, Dimensions } from '../../rooms/drawing/Dimensions.tsx';
import { EdgeArt } from '../../rooms/drawing/EdgeArt.tsx';
import { JoinMarks } from '../../rooms/drawing/marks.tsx';
import { type Lying, ScaledBoard } from '../../rooms/drawing/ScaledBoard.tsx';
import { gripSize } from '../../rooms/drawing/Tape.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { useEdit } from '../../state/useEdit.ts';

const Start = styled.div`
  position: absolute;
  z-index: 3;
  display: grid;
  place-items: center;
  border: 2px solid var(--thread);
  border-radius: 50%;
  background: var(--card);
  color: var(--thread);
  font-size: var(--size-mark);
  font-weight: 700;
  touch-action: none;
  cursor: ew-resize;
  &:hover,
  &:focus-visible {
    background: var(--thread);
    color: var(--on-thread);
  }
`;

/** The whole quilt with its edge; where each join of the binding falls, and where it begins, to drag along the bottom. */
export function AllRound({ plan, quilt }: { plan: Plan; quilt: Quilt }) {
  const { layout, edge } = quilt;
  const size = { width: layout.finished.width.value, height: layout.finished.height.value };
  const out = edge.points ? plan.edge.points.square / 2 : plan.seam;
  const { width, height } = quilt.finished;
  const around = { width: size.width + 2 * out, height: size.height + 2 * out };
  return (
    <ScaledBoard
      unit={plan.unit}
      size={around}
      ground={null}
      label={`The quilt with its edge, ${formatSize(width.value, height.value, plan.unit)}`}
      said={captionOf(edge)}
      over={(lying) => (
        <>
          {edge.binding && <StartHandle plan={plan} quilt={quilt} lying={lying} out={out} />}
          {edge.points && pointsSewn(plan) === 'turned' && (
            <Dimensions lengths={[opening(plan, size)]} lying={lying} origin={{ x: out, y: out }} />
          )}
        </>
      )}
    >
      {({ scale }) => (
        <g transform={`translate(${out} ${out})`} data-testid="edge-round">
          <EdgeArt plan={plan} layout={layout} edge={edge} />
          <JoinMarks joins={quilt.joins} />
          {edge.binding?.joins.joins.map((join, i) => (
            <JoinMark key={i} join={join} scale={scale} />
          ))}
        </g>
      )}
    </ScaledBoard>
  );
}

function captionOf({ binding, points }: Quilt['edge']): string {
  if (binding) return 'where the binding is joined; S is where it begins';
  return points ? 'every point where it stands' : 'the edge as it is finished; what lies behind is broken';
}

/** A join across the binding, its distance from the side's end beside it. */
function JoinMark({ join, scale }: { join: BindingJoin; scale: number }) {
  const { x, y, heading } = join.point;
  const long = 9 / scale;
  const [dx, dy] = [Math.cos(heading + Math.PI / 4) * long, Math.sin(heading + Math.PI / 4) * long];
  return (
    <g className="binding-join">
      <path
        d={`M${x - dx} ${y - dy}L${x + dx} ${y + dy}`}
        stroke="var(--on-dark-cloth)"
        strokeWidth={6}
        vectorEffect="non-scaling-stroke"
      />
      <path
        d={`M${x - dx} ${y - dy}L${x + dx} ${y + dy}`}
        stroke="var(--thread)"
        strokeWidth={3}
        vectorEffect="non-scaling-stroke"
      />
    </g>
  );
}

/** The part of the bottom that stays open to turn the quilt through. */
function opening(
  { edge: { points }, unit }: Plan,
  { width, height }: { width: number; height: number },
): Dimension {
  const left = (width - points.opening) / 2;
  return {
    from: { x: left, y: height },
    to: { x: left + points.opening, y: height },
    text: `left open to turn, ${formatWithUnit(points.opening, unit)}`,
    beside: 'above',
  };
}

/** Where the binding begins: dragged along the bottom, or moved with the arrow keys. */
function StartHandle({ plan, quilt, lying, out }: { plan: Plan; quilt: Quilt; lying: Lying; out: number }) {
  const edit = useEdit();
  const { start } = quilt.edge.binding!.joins;
  const { width, height } = quilt.edge.outline;
  const step = rulerStep(plan.unit) * 4;
  const drag = useRef({ at: start, gesture: '' });
  const move = (to: number, gesture: string) =>
    edit(
      (p) => ({
        ...p,
        binding: { ...p.binding, start: Math.min(width, Math.max(0, Math.round(to / step) * step)) },
      }),
      gesture,
    );
  const { moveProps } = useMove({
    onMoveStart: () => {
      drag.current = { at: start, gesture: `start-${Math.round(performance.now())}` };
    },
    onMove: ({ deltaX, deltaY, pointerType }) => {
      const going = drag.current;
      going.at += pointerType === 'keyboard' ? Math.sign(deltaX - deltaY) * step : deltaX / lying.scale;
      move(going.at, going.gesture);
    },
  });
  const grip = gripSize();
  return (
    <Start
      {...moveProps}
      role="slider"
      tabIndex={0}
      aria-label="Where the binding begins, from the left"
      aria-orientation="horizontal"
      aria-valuemin={0}
      aria-valuemax={width}
      aria-valuenow={start}
      aria-valuetext={formatWithUnit(start, plan.unit)}
      title={`Begins ${formatWithUnit(start, plan.unit)} from the left`}
      style={{
        left: lying.x + (start + out) * lying.scale - grip / 2,
        top: lying.y + (height + 2 * out) * lying.scale + 3,
        width: grip,
        height: grip,
      }}
    >
      S
    </Start>
  );
}

/** Where joins fall, in words. */
export function JoinWords({ quilt, unit }: { quilt: Quilt; unit: Plan['unit'] }) {
  const { binding } = quilt.edge;
  if (!binding) return null;
  return (
    <ol data-testid="binding-joins">
      {binding.joins.joins.map((join, i) => (
        <li key={i}>
          <Lengths text={joinSays(join, i, unit)} />
        </li>
      ))}
    </ol>
  );
}
