import { type Fit, formatLength, formatSize, near, numberOf, settingOf, type Unit } from '@lattice/core';
import { Lengths } from '../design/Lengths.tsx';

/** A design in words. */
export function DesignWords({ fit, unit }: { fit: Fit; unit: Unit }) {
  const { setting, grid, borders, finished, over } = fit;
  const width = ({ sides, ends }: Fit['borders'][number]) =>
    near(sides, ends)
      ? formatLength(sides, unit)
      : `${formatLength(sides, unit)} and ${formatLength(ends, unit)} at the ends`;
  const parts = [
    `${grid.across} × ${grid.down}`,
    'sash' in setting ? `sash ${formatLength(setting.sash, unit)}` : '',
    'float' in setting && setting.float > 0 ? `float ${formatLength(setting.float, unit)}` : '',
    borders.length === 0
      ? 'no border'
      : `${borders.length === 1 ? 'border' : 'borders'} ${borders.map(width).join(', ')}`,
    over === null
      ? numberOf(fit.blocks, 'block')
      : over > 0
        ? `${over} spare`
        : over < 0
          ? `${-over} to make`
          : 'plainBetween' in setting && setting.plainBetween && grid.across > 1 && grid.down > 1
            ? 'uses every block, plain ones between'
            : 'uses every block',
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
