import { formatWithUnit, type Plan, type Quilt } from '@lattice/core';
import { useId } from 'react';
import { type Dimension, Dimensions } from '../../rooms/drawing/Dimensions.tsx';
import { EdgeArt } from '../../rooms/drawing/EdgeArt.tsx';
import { ScaledBoard } from '../../rooms/drawing/ScaledBoard.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { cornerLengths, cornerShown } from './cornerLengths.ts';

/** How much of the quilt shows: enough for what turns the corner, and a little of what lies along the side. */
function reachOf({ edge: form, unit, borders }: Plan, { edge, layout }: Quilt): number {
  const least = unit === 'in' ? 4 : 10;
  const { scallops } = edge.outline;
  const stack = borders.reduce((sum, b) => sum + Math.max(b.sides, b.ends), 0);
  const wanted = scallops
    ? (scallops.corner?.inset ?? 0) + 1.3 * Math.max(scallops.across?.width ?? 0, scallops.down?.width ?? 0)
    : form.shape === 'posts'
      ? Math.max(form.cutOut.across, form.cutOut.down) * 1.4 + least / 2
      : form.shape !== 'square'
        ? form.radius * 1.5 + least / 2
        : edge.points
          ? form.points.square * 3.2
          : Math.min(2 * least, Math.max(least, 1.3 * stack));
  return Math.min(wanted, layout.finished.width.value, layout.finished.height.value);
}

/** The top left corner, or the one where the edge is shaped, large and to scale, with what was chosen measured on it. */
export function CornerView({ plan, quilt }: { plan: Plan; quilt: Quilt }) {
  const clip = useId().replace(/[^\w-]/g, '');
  const { edge, layout } = quilt;
  const reach = reachOf(plan, quilt);
  const out = edge.points ? plan.edge.points.square / 2 + 0.06 * reach : plan.seam + 0.05 * reach;
  const size = { width: reach + out, height: reach + out };
  const { end, side } = cornerShown(plan);
  const [foot, right] = [end === 'bottom', side === 'right'];
  const which = `${end} ${side} corner`;
  // At the foot the drawing ends with the quilt's lower edge, at the right with its right one, and lengths count inward from there.
  const top = foot ? layout.finished.height.value - reach : -out;
  const left = right ? layout.finished.width.value - reach : -out;
  const placed = ({ x, y }: Dimension['from']) => ({ x: right ? -x : x, y: foot ? -y : y });
  const lengths = cornerLengths(plan, quilt, reach).map((length) => ({
    ...length,
    from: placed(length.from),
    to: placed(length.to),
  }));
  return (
    <ScaledBoard
      unit={plan.unit}
      size={size}
      ground={null}
      label={`The ${which} in close-up, finished`}
      said={<Lengths text={`${which}, ${formatWithUnit(reach, plan.unit)} of the quilt across`} />}
      over={(lying) => (
        <Dimensions
          lengths={lengths}
          lying={lying}
          origin={{ x: right ? reach : out, y: foot ? reach : out }}
        />
      )}
    >
      <g transform={`translate(${-left} ${-top})`} data-testid="edge-corner">
        <defs>
          <clipPath id={clip}>
            <rect x={left} y={top} {...size} />
          </clipPath>
        </defs>
        <g clipPath={`url(#${clip})`}>
          <EdgeArt plan={plan} layout={layout} edge={edge} />
        </g>
      </g>
    </ScaledBoard>
  );
}
