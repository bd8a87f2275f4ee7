import { formatWithUnit, howSidesLie, type Layout, near, type Plan, sidesOf } from '@lattice/core';
import { useId, useMemo } from 'react';
import styled from 'styled-components';
import { Lengths } from '../../design/Lengths.tsx';
import { outlinePath } from '../../rooms/drawing/paths.ts';
import { QuiltArt } from '../../rooms/drawing/QuiltArt.tsx';
import type { AtSewing } from './useSewing.ts';

/** "press toward the sash": the part that lies on that side of the seam. */
function pressSays({ pressing, parts, words }: AtSewing, seam: number): string {
  const press = pressing.press[seam]!;
  return press === 'open' ? 'press it open' : `press toward ${words.part(parts[seam]![press]).the}`;
}

const Sides = styled.figure`
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  justify-items: center;
  min-height: 0;
  margin: 0;
  font-size: var(--size-machine-note);
  font-weight: 650;
  text-align: center;
  .turn {
    color: var(--chalk);
  }
  .seam {
    color: var(--thread);
  }
`;

/** The two parts of a seam as they lie before it: the one to be turned over onto the other, the seam, the way it is pressed. */
export function TwoSides({
  plan,
  layout,
  sewing,
  seam,
}: {
  plan: Plan;
  layout: Layout;
  sewing: AtSewing;
  seam: number;
}) {
  const clip = useId();
  const { sewing: known, way, pressing } = sewing;
  const { line, towardA, length } = way.seams[seam]!;
  const sides = useMemo(() => sidesOf(known, way, seam), [known, way, seam]);
  const path = (pieces: readonly number[]) =>
    pieces.map((piece) => outlinePath(known.top.pieces[piece]!)).join('');
  // As much of either side is in sight as is of use: a block's width, or the length of the seam.
  const room = Math.max(length, 1.1 * Math.max(plan.block.width, plan.block.height));
  const gap = room * 0.16;
  const [from, to] = line;
  const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
  const level = Math.abs(towardA.y) > Math.abs(towardA.x) + 1e-6;
  // A slanting seam is turned upright, as it comes under the foot.
  const upright = !near(Math.abs(towardA.x), Math.abs(towardA.y));
  const turn = upright ? 0 : 90 - (Math.atan2(to.y - from.y, to.x - from.x) * 180) / Math.PI;
  const [wide, high] = level
    ? [length + room * 0.5, Math.min(2 * room, room + gap * 4)]
    : [2 * room + gap * 2, length + room * 0.6];
  const sign = pressing.press[seam] === 'a' ? 1 : pressing.press[seam] === 'b' ? -1 : 0;
  // What is told of a seam is its raw edge, end to end.
  const raw = formatWithUnit(length + 2 * plan.seam, plan.unit);
  const moved = (by: number) => `translate(${towardA.x * by} ${towardA.y * by})`;
  const along = { x: (to.x - from.x) / length, y: (to.y - from.y) / length };
  /** A point so far from the seam's middle: along it, and across it towards the side of `a`. */
  const at = (by: number, across: number) =>
    `${middle.x + along.x * by + towardA.x * across} ${middle.y + along.y * by + towardA.y * across}`;
  const { upper } = howSidesLie(known.top, way.seams[seam]!);
  const head = room * 0.035;
  const beyond = -length / 2 - room * 0.1;
  // From the part that is turned over to the one it comes to lie on.
  const side = upper === 'b' ? 1 : -1;
  const ground = room * 0.22 * side;
  const press = pressSays(sewing, seam);
  const name = (side: 'a' | 'b') => sewing.words.part(sewing.parts[seam]![side]).the;
  const turned = `turn ${name(upper)} over onto ${name(upper === 'a' ? 'b' : 'a')}, right sides together`;
  return (
    <Sides>
      <span className="turn">{turned}</span>
      <svg
        viewBox={`${middle.x - wide / 2} ${middle.y - high / 2} ${wide} ${high}`}
        width="100%"
        height="100%"
        role="img"
        aria-label={`${turned}; the seam is ${raw} long; ${press}.`}
      >
        <defs>
          <g id={`${clip}-quilt`}>
            <QuiltArt plan={plan} layout={layout} />
          </g>
        </defs>
        <g transform={`rotate(${turn} ${middle.x} ${middle.y})`}>
          {(['a', 'b'] as const).map((side) => (
            <g key={side} transform={moved(side === 'a' ? gap / 2 : -gap / 2)}>
              <clipPath id={`${clip}-${side}`}>
                <path d={path(sides[side])} />
              </clipPath>
              <use href={`#${clip}-quilt`} clipPath={`url(#${clip}-${side})`} />
            </g>
          ))}
          <path
            d={`M${from.x} ${from.y}L${to.x} ${to.y}`}
            transform={moved(gap / 2)}
            stroke="var(--thread)"
            strokeWidth="4"
            strokeDasharray="9 6"
            vectorEffect="non-scaling-stroke"
          />
          <path
            d={`M${at(beyond, -ground)}Q${at(beyond - room * 0.14, 0)} ${at(beyond, ground)}`}
            fill="none"
            stroke="var(--chalk)"
            strokeWidth="3"
            vectorEffect="non-scaling-stroke"
          />
          <path
            d={`M${at(beyond + head, ground + side * head * 0.6)}L${at(beyond - head * 1.3, ground - side * head * 0.2)}L${at(beyond + head * 0.9, ground - side * head * 1.5)}Z`}
            fill="var(--chalk)"
          />
          {sign !== 0 && (
            <>
              <path
                d={`M${at(0, -sign * gap * 0.3)}L${at(0, sign * gap)}`}
                stroke="var(--ink)"
                strokeWidth="3.5"
                vectorEffect="non-scaling-stroke"
              />
              <path
                d={`M${at(-head, sign * gap * 0.9)}L${at(0, sign * (gap * 0.9 + head * 1.8))}L${at(head, sign * gap * 0.9)}Z`}
                fill="var(--ink)"
              />
            </>
          )}
        </g>
      </svg>
      <span>
        <span className="seam">
          <Lengths text={`this seam, ${raw}`} />
        </span>{' '}
        · {press}
      </span>
    </Sides>
  );
}
