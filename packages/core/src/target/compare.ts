import { formatWithUnit } from '../length/format.ts';
import type { Unit } from '../length/unit.ts';

/** How the finished quilt lies against its target. Positive: the quilt is larger. */
export interface TargetComparison {
  readonly width: number;
  readonly height: number;
  /** Within half a ruler mark both ways. */
  readonly met: boolean;
  /** "1/2″ wider, 2″ shorter than the target". */
  readonly text: string;
}

/** Compares a finished size with a target, in words. */
export function compareWithTarget(
  finished: { width: number; height: number },
  target: { width: number; height: number },
  unit: Unit,
): TargetComparison {
  const width = finished.width - target.width;
  const height = finished.height - target.height;
  const mark = unit === 'in' ? 1 / 16 : 0.05;
  const off = (difference: number, more: string, less: string) =>
    Math.abs(difference) < mark
      ? []
      : [`${formatWithUnit(Math.abs(difference), unit)} ${difference > 0 ? more : less}`];
  const said = [...off(width, 'wider', 'narrower'), ...off(height, 'longer', 'shorter')];
  return {
    width,
    height,
    met: said.length === 0,
    text: said.length === 0 ? 'On target' : `${said.join(', ')} than the target`,
  };
}
