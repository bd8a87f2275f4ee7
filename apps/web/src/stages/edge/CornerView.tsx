import { formatWithUnit, type Plan, type Quilt } from '@lattice/core';
import { useId } from 'react';
import { Dimensions } from '../../drawing/Dimensions.tsx';
import { EdgeArt } from '../../drawing/EdgeArt.tsx';
import { ScaledBoard } from '../../drawing/ScaledBoard.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { cornerLengths } from './cornerLengths.ts';

/** How much of the quilt shows: enough for what turns the corner, and a little of what lies along the side. */
function reachOf({ edge: form, unit, borders }: Plan, { edge, layout }: Quilt): number {
  const least = unit === 'in' ? 4 : 10;
  const { scallops } = edge.outline;
  const stack = borders.reduce((sum, b) => sum + Math.max(b.sides, b.ends), 0);
  const wanted = scallops
    ? scallops.corner.inset + 1.3 * Math.max(scallops.across.width, scallops.down.width)
    : form.shape !== 'square' ? form.radius * 1.5 + least / 2 : edge.points ? form.points.square * 3.2 : Math.min(2 * least, Math.max(least, 1.3 * stack));
  return Math.min(wanted, layout.finished.width.value, layout.finished.height.value);
}

/** The top left corner, or the one at the foot where only the foot is shaped, large and to scale, with what was chosen measured on it. */
export function CornerView({ plan, quilt }: { plan: Plan; quilt: Quilt }) {
  const clip = useId().replace(/[^\w-]/g, '');
  const { edge, layout } = quilt;
  const reach = reachOf(plan, quilt);
  const out = edge.points ? plan.edge.points.square / 2 + 0.06 * reach : plan.seam + 0.05 * reach;
  const size = { width: reach + out, height: reach + out };
  const foot = plan.edge.corners === 'foot' && (plan.edge.shape === 'rounded' || plan.edge.shape === 'clipped');
  const which = `${foot ? 'bottom' : 'top'} left corner`;
  // At the foot the drawing ends with the quilt's lower edge, and lengths count upward from it.
  const top = foot ? layout.finished.height.value - reach : -out;
  const lengths = cornerLengths(plan, quilt, reach).map((length) => (foot ? { ...length, from: { ...length.from, y: -length.from.y }, to: { ...length.to, y: -length.to.y } } : length));
  return (
    <ScaledBoard
      unit={plan.unit} size={size} ground={null} label={`The ${which} in close-up, finished`}
      said={<Lengths text={`${which}, ${formatWithUnit(reach, plan.unit)} of the quilt across`} />}
      over={(lying) => <Dimensions lengths={lengths} lying={lying} origin={{ x: out, y: foot ? reach : out }} />}
    >
      <g transform={`translate(${out} ${-top})`} data-testid="edge-corner">
        <defs><clipPath id={clip}><rect x={-out} y={top} {...size} /></clipPath></defs>
        <g clipPath={`url(#${clip})`}><EdgeArt plan={plan} layout={layout} edge={edge} /></g>
      </g>
    </ScaledBoard>
  );
}
