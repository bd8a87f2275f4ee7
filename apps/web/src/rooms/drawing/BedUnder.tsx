import { formatWithUnit, type OnBed, type Unit } from '@lattice/core';
import { Lengths } from '../../design/Lengths.tsx';
import { useStroked } from './pixel.ts';

/** The bed under the quilt: its mattress's edge, what hangs over it in the shade, and how far. */
export function BedUnder({
  bed,
  size,
  unit,
}: {
  bed: OnBed;
  size: { readonly width: number; readonly height: number };
  unit: Unit;
}) {
  const stroked = useStroked();
  const { x, y, width, height } = bed.mattress;
  const [left, right, foot] = [
    Math.max(0, x),
    Math.min(size.width, x + width),
    Math.min(size.height, y + height),
  ];
  const over = [
    `M0 0H${left}V${size.height}H0Z`,
    `M${right} 0H${size.width}V${size.height}H${right}Z`,
    `M${left} ${foot}H${right}V${size.height}H${left}Z`,
  ].join('');
  const letter = Math.min(size.width, size.height) / 22;
  const words = [
    { at: { x: x / 2, y: size.height * 0.42 }, figure: bed.left },
    { at: { x: (right + size.width) / 2, y: size.height * 0.42 }, figure: bed.right },
    { at: { x: size.width / 2, y: (foot + size.height) / 2 }, figure: bed.foot },
  ].filter(({ figure }) => figure.value > 1.2 * letter);
  return (
    <g pointerEvents="none" data-testid="bed-under">
      <path d={over} fill="#16202e" fillOpacity={0.3} />
      <rect {...{ x, y, width, height }} fill="none" stroke="#fff" {...stroked(3)} />
      <rect {...{ x, y, width, height }} fill="none" stroke="#16202e" {...stroked(1.5, [7, 4])} />
      {words.map(({ at, figure }, i) => (
        <text
          key={i}
          {...at}
          fontSize={letter}
          textAnchor="middle"
          dominantBaseline="central"
          fill="#fff"
          fontWeight={650}
        >
          <Lengths text={formatWithUnit(figure.value, unit)} drawn />
        </text>
      ))}
      {y > 1.4 * letter && (
        <text
          x={x + width / 2}
          y={y / 2}
          fontSize={letter}
          textAnchor="middle"
          dominantBaseline="central"
          fill="#16202e"
        >
          pillows
        </text>
      )}
    </g>
  );
}
