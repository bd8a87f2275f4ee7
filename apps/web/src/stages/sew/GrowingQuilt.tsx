import type { Layout, Plan } from '@lattice/core';
import { memo, useId, useMemo } from 'react';
import styled from 'styled-components';
import { outlinePath } from '../../rooms/drawing/paths.ts';
import { QuiltArt } from '../../rooms/drawing/QuiltArt.tsx';
import type { AtSewing } from './useSewing.ts';

type Seam = AtSewing['way']['seams'][number];
type Press = AtSewing['pressing']['press'][number];

const Frame = styled.svg`
  width: 100%;
  height: 100%;
  filter: drop-shadow(0 2px 5px rgb(0 0 0 / 28%));
`;

/** Arrows for pressing are this long and wide, in shares of the quilt's longer side. */
const ARROW = 0.016;
/** On paper, where a picture is a hand wide. */
const ARROW_ON_PAPER = 0.03;

/**
 * The quilt as it grows: what is sewn in its colours, the rest pale, the seams of a step with the way each is pressed,
 * the one in hand bold. Pressing a piece answers its number.
 */
export const GrowingQuilt = memo(function GrowingQuilt({
  plan,
  layout,
  sewing: { sewing, way, pressing, at, words },
  seams,
  hand,
  label,
  onPiece,
  onPaper = false,
}: {
  plan: Plan;
  layout: Layout;
  sewing: AtSewing;
  /** Seams whose pressing is shown. */
  seams: readonly number[];
  /** The seam in hand. */
  hand: number | null;
  label: string;
  onPiece?: (piece: number) => void;
  /** Arrows as large as they are read on paper. */
  onPaper?: boolean;
}) {
  const clip = useId();
  const { width, height } = layout.finished;
  const side = Math.max(width.value, height.value);
  const sewn = useMemo(() => {
    // What was made before any seam of ours stands there from the start.
    const made = sewing.top.pieces.flatMap(({ part }, i) =>
      part === 'whole' || way.seams.length === 0 ? [i] : [],
    );
    const pieces = new Set(made);
    for (const { seam, done } of at.acts)
      if (done && seam !== null) {
        pieces.add(way.seams[seam]!.a);
        pieces.add(way.seams[seam]!.b);
      }
    return [...pieces].map((piece) => outlinePath(sewing.top.pieces[piece]!)).join('');
  }, [at, way, sewing]);
  const arrows = useMemo(
    () =>
      seams
        .map((seam) =>
          arrowOf(way.seams[seam]!, pressing.press[seam]!, (onPaper ? ARROW_ON_PAPER : ARROW) * side),
        )
        .join(''),
    [seams, way, pressing, side, onPaper],
  );
  const own = hand === null ? null : way.seams[hand]!;
  return (
    <Frame viewBox={`0 0 ${width.value} ${height.value}`} role="img" aria-label={label}>
      <clipPath id={clip}>
        <path d={sewn} />
      </clipPath>
      <defs>
        <g id={`${clip}-quilt`}>
          <QuiltArt plan={plan} layout={layout} />
        </g>
      </defs>
      <use href={`#${clip}-quilt`} opacity="0.26" />
      <use href={`#${clip}-quilt`} clipPath={`url(#${clip})`} />
      <path d={arrows} stroke="var(--chalk)" strokeWidth={side * (onPaper ? 0.005 : 0.003)} fill="none" />
      {own && (
        <>
          {[own.a, own.b].map((piece) => (
            <path
              key={piece}
              d={outlinePath(sewing.top.pieces[piece]!)}
              fill="none"
              stroke="var(--thread)"
              strokeWidth="2.5"
              vectorEffect="non-scaling-stroke"
            />
          ))}
          <path
            d={`M${own.line[0].x} ${own.line[0].y}L${own.line[1].x} ${own.line[1].y}`}
            stroke="var(--thread)"
            strokeWidth="5"
            strokeDasharray="7 4"
            vectorEffect="non-scaling-stroke"
          />
        </>
      )}
      {pressing.unnested.map(({ at: { x, y }, why }) => (
        <circle key={`${x} ${y}`} cx={x} cy={y} r={side * 0.008} fill="var(--wrong)">
          <title>{why}</title>
        </circle>
      ))}
      {onPiece &&
        sewing.top.pieces.map((piece, i) => (
          <path
            key={piece.id}
            d={outlinePath(piece)}
            fill="transparent"
            style={{ cursor: 'pointer' }}
            onClick={() => onPiece(i)}
          >
            <title>{words.piece(i)}</title>
          </path>
        ))}
    </Frame>
  );
});

/** A seam as a line, and an arrow from its middle to the side it is pressed to; none where it is pressed open. */
function arrowOf({ line: [from, to], towardA }: Seam, press: Press, tip: number): string {
  const sign = press === 'a' ? 1 : press === 'b' ? -1 : 0;
  const line = `M${from.x} ${from.y}L${to.x} ${to.y}`;
  if (sign === 0) return line;
  const [dx, dy] = [towardA.x * sign * tip, towardA.y * sign * tip];
  const [back, aside] = [0.45, 0.35];
  return `${line}M${(from.x + to.x) / 2} ${(from.y + to.y) / 2}l${dx} ${dy}m${-dx * back - dy * aside} ${-dy * back + dx * aside}l${dx * back + dy * aside} ${dy * back - dx * aside}l${-dx * back + dy * aside} ${-dy * back - dx * aside}`;
}
