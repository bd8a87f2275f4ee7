import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { inverse, Matrix } from 'ml-matrix';

/** What a least-squares fit found. */
export interface Fitted {
  readonly values: readonly number[];
  /** Root of the mean square of the residuals: 1 where they are as large as they were said to be. */
  readonly off: number;
  /** How surely the values are known, together: their covariance. */
  readonly covariance: Matrix;
}

/**
 * The values that make residuals smallest (Levenberg and Marquardt), and how surely they are known.
 *
 * @param residuals each divided by how large it is expected to be
 * @param start where to begin
 * @param steps a small change of each value, of the size that matters
 */
export function leastSquares(
  residuals: (values: readonly number[]) => readonly number[],
  start: readonly number[],
  steps: readonly number[],
): Fitted {
  const count = residuals(start).length;
  const index = Array.from({ length: count }, (_, i) => i);
  // Each value is counted in its own steps, so that none is drowned by another's unit.
  const inUnits = (scaled: readonly number[]) => scaled.map((v, i) => v * steps[i]!);
  const found = levenbergMarquardt(
    { x: index, y: index.map(() => 0) },
    (scaled: number[]) => {
      const at = residuals(inUnits(scaled));
      return (i: number) => at[i]!;
    },
    {
      initialValues: start.map((v, i) => v / steps[i]!),
      gradientDifference: start.map(() => 0.01),
      damping: 1e-2,
      maxIterations: 60,
      errorTolerance: 1e-9,
      improvementThreshold: 1e-6,
    },
  );
  const scaled = found.parameterValues;
  const at = residuals(inUnits(scaled));
  const slopes = new Matrix(count, start.length);
  for (let j = 0; j < start.length; j++) {
    const moved = (by: number) => residuals(inUnits(scaled.map((v, k) => (k === j ? v + by : v))));
    const more = moved(0.05);
    const less = moved(-0.05);
    for (let i = 0; i < count; i++) slopes.set(i, j, (more[i]! - less[i]!) / 0.1);
  }
  const square = at.reduce((s, r) => s + r * r, 0);
  const off = Math.sqrt(square / Math.max(1, count));
  const covariance = inverse(slopes.transpose().mmul(slopes), true);
  for (let i = 0; i < start.length; i++)
    for (let j = 0; j < start.length; j++)
      covariance.set(i, j, covariance.get(i, j) * steps[i]! * steps[j]! * Math.max(1, off * off));
  return { values: inUnits(scaled), off, covariance };
}
