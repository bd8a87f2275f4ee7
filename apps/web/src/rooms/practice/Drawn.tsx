import type { ExerciseDrawing } from '@lattice/core';
import styled from 'styled-components';
import { forcedColours } from '../../design/media.ts';

/** What the fills of an exercise are drawn in; any other is a colour of its own. */
const FILLS: Readonly<Record<string, string>> = {
  cloth: 'var(--chalk-wash)',
  other: 'var(--brass-wash)',
  accent: 'var(--brass)',
  edge: 'transparent',
};

const Frame = styled.div`
  svg {
    display: block;
    width: 100%;
    max-height: 46vh;
    overflow: visible;
  }
  [data-pointable] {
    cursor: pointer;
  }
  [data-pointable]:focus-visible {
    outline: none;
    stroke: var(--chalk);
    stroke-width: 4;
  }
  [data-pointable]:hover {
    fill-opacity: 0.75;
  }
  [data-fill='edge'] {
    stroke: var(--chalk);
    stroke-dasharray: 4 3;
  }
  [data-fill='edge'][data-pointable]:hover {
    fill: var(--chalk);
  }
  text {
    fill: var(--ink);
    font-family: var(--text);
    text-anchor: middle;
    dominant-baseline: central;
    pointer-events: none;
  }
  ${forcedColours} {
    path {
      stroke: CanvasText;
    }
  }
`;

/** An exercise drawn; what is asked for is pointed at by mouse, finger, or Tab and Enter. */
export function Drawn({
  drawing: { width, height, shapes, marks },
  onPoint = null,
  right = NONE,
  chosen = null,
  small = false,
}: {
  drawing: ExerciseDrawing;
  /** Null where nothing is to be pointed at, or no longer. */
  onPoint?: ((id: string) => void) | null;
  /** Shapes that are shown to be right. */
  right?: readonly string[];
  chosen?: string | null;
  /** Drawn small, as on paper: what is written in it is larger for it. */
  small?: boolean;
}) {
  const size = Math.max(width, height) / (small ? 13 : 26);
  // Only what has a name is pointed at, where some things do; everything otherwise.
  const named = shapes.some(({ name }) => name !== undefined);
  return (
    <Frame>
      <svg
        viewBox={`${-size} ${-size} ${width + 2 * size} ${height + 2 * size}`}
        role={onPoint ? 'group' : 'img'}
        aria-label="Drawn"
      >
        {shapes.map(({ id, outline, fill, name, label }) => {
          const pointable = onPoint !== null && (name !== undefined || !named);
          const isRight = right.includes(id);
          return (
            <path
              key={id}
              d={`M${outline.map(({ x, y }) => `${x} ${y}`).join('L')}Z`}
              fill={isRight ? 'var(--good)' : id === chosen ? 'var(--wrong)' : (FILLS[fill] ?? fill)}
              stroke={isRight ? 'var(--good)' : 'var(--soft)'}
              strokeWidth={isRight ? 3 : 1}
              vectorEffect="non-scaling-stroke"
              data-fill={fill}
              data-shape={id}
              {...(pointable && {
                'data-pointable': true,
                role: 'button',
                tabIndex: 0,
                'aria-label': name ?? label ?? id,
                onClick: () => onPoint(id),
                onKeyDown: (event: React.KeyboardEvent) => {
                  if (event.key !== 'Enter' && event.key !== ' ') return;
                  event.preventDefault();
                  onPoint(id);
                },
              })}
            />
          );
        })}
        {shapes.map(({ id, outline, label }) => {
          if (label === undefined) return null;
          const at = { x: mean(outline.map(({ x }) => x)), y: mean(outline.map(({ y }) => y)) };
          return (
            <text key={id} x={at.x} y={at.y} fontSize={size}>
              {label}
            </text>
          );
        })}
        {marks.map(({ from, to, label }, i) => {
          const at = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
          const upright = Math.abs(to.x - from.x) < Math.abs(to.y - from.y);
          return (
            <g key={i}>
              <path
                d={`M${from.x} ${from.y}L${to.x} ${to.y}`}
                stroke="var(--chalk)"
                strokeWidth={1.5}
                vectorEffect="non-scaling-stroke"
              />
              <rect
                x={at.x - size * label.length * 0.3}
                y={at.y - size * 0.7}
                width={size * label.length * 0.6}
                height={size * 1.4}
                fill="var(--card)"
                transform={upright ? `rotate(-90 ${at.x} ${at.y})` : undefined}
              />
              <text
                x={at.x}
                y={at.y}
                fontSize={size}
                transform={upright ? `rotate(-90 ${at.x} ${at.y})` : undefined}
              >
                {label}
              </text>
            </g>
          );
        })}
      </svg>
    </Frame>
  );
}

const NONE: readonly string[] = [];
const mean = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0) / values.length;
