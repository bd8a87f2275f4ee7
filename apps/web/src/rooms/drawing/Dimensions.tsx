import type { Point } from '@lattice/core';
import styled from 'styled-components';
import { Lengths } from '../../design/Lengths.tsx';
import { Bubble } from './Bubble.ts';
import type { Lying } from './ScaledBoard.tsx';

const Lines = styled.svg`
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  pointer-events: none;
  path {
    fill: none;
    stroke: var(--chalk);
    stroke-width: 2;
  }
  .under {
    stroke: var(--card);
    stroke-width: 4;
  }
`;
/** A length marked on a drawing, in its units; the words stand beside one end, or over the middle. */
export interface Dimension {
  readonly from: Point;
  readonly to: Point;
  readonly text: string;
  readonly beside?: 'right' | 'below' | 'above';
}

const BESIDE = {
  right: 'translate(10px, -50%)',
  below: 'translate(-50%, 8px)',
  above: 'translate(-50%, calc(-100% - 8px))',
} as const;

/** Lengths marked over a drawing that lies so: a line with a tick at either end, and what it measures. */
export function Dimensions({
  lengths,
  lying: { scale, x, y },
  origin,
}: {
  lengths: readonly Dimension[];
  lying: Lying;
  origin: Point;
}) {
  const pixel = (p: Point): Point => ({ x: x + (p.x + origin.x) * scale, y: y + (p.y + origin.y) * scale });
  const drawn = lengths
    .map(({ from, to, text, beside }) => ({ from: pixel(from), to: pixel(to), text, beside }))
    .filter(({ from, to }) => Math.hypot(to.x - from.x, to.y - from.y) > 1);
  return (
    <>
      <Lines aria-hidden>
        {drawn.map(({ from, to, text }) => {
          const long = Math.hypot(to.x - from.x, to.y - from.y);
          const [ux, uy] = [(5 * (to.x - from.x)) / long, (5 * (to.y - from.y)) / long];
          const tick = (p: Point) => `M${p.x - uy} ${p.y + ux}L${p.x + uy} ${p.y - ux}`;
          const path = `M${from.x} ${from.y}L${to.x} ${to.y}${tick(from)}${tick(to)}`;
          return (
            <g key={text}>
              <path className="under" d={path} />
              <path d={path} />
            </g>
          );
        })}
      </Lines>
      {drawn.map(({ from, to, text, beside }) => {
        // Beside the right or lower end; otherwise over the middle.
        const right = from.x > to.x ? from : to;
        const at =
          beside === 'right'
            ? right
            : beside === 'below'
              ? from.y > to.y
                ? from
                : to
              : beside === 'above'
                ? from.y < to.y
                  ? from
                  : to
                : { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
        return (
          <Bubble
            key={text}
            style={{ left: at.x, top: at.y, transform: beside ? BESIDE[beside] : 'translate(-50%, -50%)' }}
          >
            <Lengths text={text} />
          </Bubble>
        );
      })}
    </>
  );
}
