import {
  type Binding,
  type BiasStrip,
  fabricById,
  formatSize,
  formatWithUnit,
  longAndShort,
  type Plan,
} from '@lattice/core';
import { type Dimension, Dimensions } from '../../rooms/drawing/Dimensions.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { outlinePath } from '../../rooms/drawing/paths.ts';
import { ScaledBoard } from '../../rooms/drawing/ScaledBoard.tsx';

type Bias = NonNullable<Binding['bias']>;

/** The cloth bias strips come from, as it lies flat: every strip with its place in the order of joining. */
export function BiasPlan({ plan, bias, stripWidth }: { plan: Plan; bias: Bias; stripWidth: number }) {
  const { unit } = plan;
  const cloth = fabricById(plan, plan.binding.fabric);
  const size = bias.cut
    ? { width: bias.cut.width, height: bias.cut.height }
    : { width: (3 * bias.cloth.value) / Math.SQRT2, height: bias.cloth.value / Math.SQRT2 };
  return (
    <ScaledBoard
      unit={unit}
      size={size}
      ground={bias.cut ? `color-mix(in srgb, ${cloth.colour} 35%, var(--card))` : null}
      label={
        bias.cut
          ? `Bias strips cut from ${formatSize(size.width, size.height, unit)}`
          : 'The continuous strip before it is rolled into a tube'
      }
      said={
        bias.cut
          ? 'numbered in the order of joining, long and short in turn'
          : 'joined along the dashed seam; the two slanting ends are joined one lane along'
      }
      over={(lying) => (
        <Dimensions
          lengths={[firstCut(bias, stripWidth, (v) => formatWithUnit(v, unit))]}
          lying={lying}
          origin={{ x: 0, y: 0 }}
        />
      )}
    >
      {({ scale }) =>
        bias.cut ? (
          <Strips
            strips={bias.cut.strips}
            colour={cloth.colour}
            scale={scale}
            stripWidth={stripWidth}
            unit={unit}
            side={bias.cut.width === bias.cut.height ? bias.cut.width : null}
          />
        ) : (
          <Tube side={bias.cloth.value} lanes={bias.tube!.lanes} strip={stripWidth} colour={cloth.colour} />
        )
      }
    </ScaledBoard>
  );
}

/** What is measured on the cloth: the first cut of a folded square, a strip of a length, a lane of the tube. */
function firstCut({ cloth, cut, tube }: Bias, strip: number, show: (value: number) => string): Dimension {
  if (tube) {
    const high = cloth.value / Math.SQRT2;
    return {
      from: { x: 2 * high, y: 0 },
      to: { x: 2 * high, y: strip },
      text: `lane ${show(strip)}`,
      beside: 'right',
    };
  }
  const square = cut!.width === cut!.height;
  const wide = square ? strip / 2 : strip;
  // From a point on the first cut, square to it.
  const at = square
    ? { x: 0.2 * cut!.width, y: 0.8 * cut!.height }
    : { x: Math.min(cut!.width, cut!.height) / 2, y: Math.min(cut!.width, cut!.height) / 2 };
  const to = { x: at.x + wide * Math.SQRT1_2, y: at.y + wide * Math.SQRT1_2 };
  return {
    from: at,
    to,
    text: square ? `first cut ${show(wide)} from the double fold` : `strip ${show(wide)}`,
    beside: 'right',
  };
}

function Strips({
  strips,
  colour,
  scale,
  stripWidth,
  side,
  unit,
}: {
  strips: readonly BiasStrip[];
  colour: string;
  scale: number;
  stripWidth: number;
  unit: Plan['unit'];
  side: number | null;
}) {
  const order = longAndShort(strips);
  const fold = strips.find((s) => s.from === 'fold');
  return (
    <g data-testid="bias-strips">
      {strips.map((strip, i) => {
        const middle = {
          x: strip.outline.reduce((s, p) => s + p.x, 0) / 4,
          y: strip.outline.reduce((s, p) => s + p.y, 0) / 4,
        };
        const size = Math.min(14, stripWidth * scale * 0.7);
        const number = String(order.indexOf(strip) + 1);
        const long = `${number} · ${formatWithUnit(strip.length, unit)}`;
        return (
          <g key={i}>
            <path
              d={outlinePath(strip)}
              fill={colour}
              fillOpacity={i % 2 === 0 ? 1 : 0.78}
              stroke="var(--card)"
              strokeWidth={1}
              vectorEffect="non-scaling-stroke"
            />
            <text
              transform={`translate(${middle.x} ${middle.y}) scale(${1 / scale}) rotate(-45)`}
              dy="0.36em"
              textAnchor="middle"
              fontSize={size}
              fontWeight={700}
              fill="#fff"
              stroke="rgb(0 0 0 / 70%)"
              strokeWidth={3}
              paintOrder="stroke"
            >
              {strip.length * scale > long.length * size * 0.6 ? <Lengths text={long} drawn /> : number}
            </text>
          </g>
        );
      })}
      {side !== null && fold && (
        <path
          d={`M0 ${side}L${side} 0`}
          stroke="var(--ink)"
          strokeWidth={1.4}
          strokeDasharray="2 5"
          vectorEffect="non-scaling-stroke"
        />
      )}
    </g>
  );
}

/** Two triangles, the halves of the square, joined along a straight side into a slanting oblong and marked in lanes. */
function Tube({
  side,
  lanes,
  strip,
  colour,
}: {
  side: number;
  lanes: number;
  strip: number;
  colour: string;
}) {
  // The lanes run along the bias edges, twice as long as the oblong is high; its ends are straight grain, at 45° to them.
  const high = side / Math.SQRT2;
  const left = (y: number) => high - y;
  return (
    <g data-testid="bias-tube">
      <path
        d={`M${left(0)} 0H${3 * high}L${2 * high} ${high}H0Z`}
        fill={colour}
        stroke="rgb(0 0 0 / 40%)"
        strokeWidth={1}
        vectorEffect="non-scaling-stroke"
      />
      {Array.from({ length: lanes }, (_, i) => {
        const y = (i + 1) * strip;
        return (
          <path
            key={i}
            d={`M${left(y)} ${y}h${2 * high}`}
            stroke="var(--on-dark-cloth)"
            strokeWidth={1.4}
            vectorEffect="non-scaling-stroke"
          />
        );
      })}
      <path
        d={`M${high} 0L${2 * high} ${high}`}
        stroke="var(--on-dark-cloth)"
        strokeWidth={2.4}
        strokeDasharray="7 5"
        vectorEffect="non-scaling-stroke"
      />
    </g>
  );
}
