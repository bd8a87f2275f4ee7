import { type EdgePoints, fabricById, formatWithUnit, near, numberOf, type Plan } from '@lattice/core';
import { FigureLine } from '../../rooms/figures/Line.tsx';

/** How many points a side takes, how they meet at the seam, and the strips they are cut from. */
export function PointFigures({ plan, points }: { plan: Plan; points: EdgePoints }) {
  const { unit } = plan;
  const { strip } = points;
  const sides = [
    ['across', points.across],
    ['down', points.down],
  ] as const;
  return (
    <ul data-testid="points">
      <FigureLine name="Points in all" figure={points.total} unit={unit} />
      {sides.map(([way, side]) => (
        <FigureLine key={way} name={`Points ${way}`} figure={side.count} unit={unit} />
      ))}
      {sides.map(([way, side]) => (
        <FigureLine key={way} name={`Overlap ${way}`} figure={side.overlap} unit={unit} />
      ))}
      {sides.map(([way, side]) => (
        <FigureLine
          key={way}
          name={
            side.gap.value < 0 && !near(side.gap.value, 0)
              ? `Lie over one another ${way}`
              : `Gap at the seam ${way}`
          }
          figure={{ ...side.gap, value: Math.abs(side.gap.value) }}
          unit={unit}
        />
      ))}
      {strip && (
        <FigureLine name="Cut to the fold every, across" figure={strip.cutEvery.across} unit={unit} />
      )}
      {strip && <FigureLine name="Cut to the fold every, down" figure={strip.cutEvery.down} unit={unit} />}
      {points.cloths.map((cloth, i) => (
        <FigureLine
          key={i}
          name={`Strips of ${fabricById(plan, cloth.fabric).name.toLowerCase()}`}
          figure={cloth.strips}
          unit={unit}
          after={`at ${formatWithUnit(cloth.cutWidth, unit)}`}
          {...(cloth.squares ? { rest: numberOf(cloth.squares.value, 'square') } : {})}
        />
      ))}
    </ul>
  );
}
