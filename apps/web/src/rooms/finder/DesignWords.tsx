import {
  type Fit,
  formatSize,
  formatWithUnit,
  lengthsOf,
  near,
  numberOf,
  settingOf,
  type Unit,
} from '@lattice/core';
import { Lengths } from '../../design/Lengths.tsx';

/** A design in words, with what it takes of the cloth in hand. */
export function DesignWords({ fit, unit, takes = [] }: { fit: Fit; unit: Unit; takes?: readonly string[] }) {
  const { setting, grid, borders, finished, over } = fit;
  const { sash, float = 0 } = lengthsOf(setting);
  const besides = settingOf(setting.kind).besides?.(setting, grid);
  const width = ({ sides, ends }: Fit['borders'][number]) =>
    near(sides, ends)
      ? formatWithUnit(sides, unit)
      : `${formatWithUnit(sides, unit)} at the sides and ${formatWithUnit(ends, unit)} at top and bottom`;
  const parts = [
    `${grid.across} × ${grid.down}`,
    sash === undefined ? '' : `sash ${formatWithUnit(sash, unit)}`,
    float > 0 ? `${formatWithUnit(float, unit)} of float beyond the points` : '',
    borders.length === 0
      ? 'no border'
      : `${borders.length === 1 ? 'border' : 'borders'} ${borders.map(width).join(', ')}`,
    over === null
      ? numberOf(fit.blocks, 'block')
      : over > 0
        ? `${over} spare`
        : over < 0
          ? `${-over} to make`
          : 'uses every block',
    besides ?? '',
    ...takes,
  ];
  return (
    <span>
      <strong>
        <Lengths text={formatSize(finished.width, finished.height, unit)} />
      </strong>
      {settingOf(setting.kind).name}
      <br />
      <span className="rest">
        <Lengths text={parts.filter(Boolean).join(' · ')} />
      </span>
    </span>
  );
}
