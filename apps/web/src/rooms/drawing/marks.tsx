import { type GrainMark, grainMark, joinLayer, type JoinLine, type Layout } from '@lattice/core';
import { memo, useMemo } from 'react';
import { useStroked } from './pixel.ts';
import { SceneLayers } from './SceneArt.tsx';

/** A stroke with a barb at either end, as grain is marked on a pattern piece. */
function barbed({ from, to }: GrainMark): string {
  const [dx, dy] = [(to.x - from.x) * 0.16, (to.y - from.y) * 0.16];
  const barb = (x: number, y: number, sx: number, sy: number) =>
    `M${x + sx - sy * 0.6} ${y + sy + sx * 0.6}L${x} ${y}L${x + sx + sy * 0.6} ${y + sy - sx * 0.6}`;
  return `M${from.x} ${from.y}L${to.x} ${to.y}${barb(from.x, from.y, dx, dy)}${barb(to.x, to.y, -dx, -dy)}`;
}

/** The straight grain of every piece that is cut, light under dark so that it shows on any cloth. */
export const GrainMarks = memo(function GrainMarks({ layout, most }: { layout: Layout; most: number }) {
  const stroked = useStroked();
  const path = useMemo(
    () =>
      layout.pieces
        .flatMap((piece) => {
          const part = layout.parts[piece.part]!;
          return part.cutFrom ? [barbed(grainMark(piece.outline, part.grain, most))] : [];
        })
        .join(''),
    [layout, most],
  );
  return (
    <g className="grain" fill="none" pointerEvents="none" strokeLinecap="round">
      <path d={path} stroke="var(--on-dark-cloth)" {...stroked(3)} />
      <path d={path} stroke="var(--on-light-cloth)" {...stroked(1.2)} />
    </g>
  );
});

/** Seams where strips are joined. */
export const JoinMarks = memo(function JoinMarks({ joins }: { joins: readonly JoinLine[] }) {
  return (
    <g pointerEvents="none">
      <SceneLayers layers={[joinLayer(joins)]} />
    </g>
  );
});
