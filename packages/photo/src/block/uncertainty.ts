import { Matrix } from 'ml-matrix';
import type { Point } from '@lattice/core';
import { CAMERA_VALUES, cameraOf } from '../camera/camera.ts';
import { type FineEdge, SAMPLES } from '../camera/fine-edges.ts';
import type { FittedCamera } from '../reference/fit-camera.ts';
import { inRow, sixLengths } from './six-lengths.ts';

/** How unsure the lengths are because the camera is not wholly known: the greatest of the six, in inches. */
export function cameraDoubt({ camera, fitted }: FittedCamera, corners: readonly Point[]): number {
  const lengths = (values: readonly number[]) => {
    const at = cameraOf(values);
    return inRow(sixLengths(corners.map((p) => at.place(p))));
  };
  const steps = [0.003, 0.5, 0.5, 0.0005, 0.0003, 0.0003, 0.0003, 0.003, 0.003, 0.01];
  const slopes = new Matrix(6, CAMERA_VALUES);
  steps.forEach((step, j) => {
    const moved = (by: number) => lengths(camera.values.map((v, k) => (k === j ? v + by : v)));
    const more = moved(step);
    const less = moved(-step);
    more.forEach((v, i) => slopes.set(i, j, (v - less[i]!) / (2 * step)));
  });
  const part = fitted.covariance.subMatrix(0, CAMERA_VALUES - 1, 0, CAMERA_VALUES - 1);
  const spread = slopes.mmul(part).mmul(slopes.transpose());
  return Math.sqrt(Math.max(...[0, 1, 2, 3, 4, 5].map((i) => Math.max(0, spread.get(i, i)))));
}

/** Where an edge may seem to lie beside where it does, for blur and shadow, in pixels. */
const EDGE_BIAS = 0.5;

/** How unsure the lengths are because the edges stray: in inches. */
export function edgeDoubt(edges: readonly FineEdge[], perInch: number): number {
  // Neighbouring places along an edge stray together: of each four, one counts.
  const each = edges.map((e) =>
    Math.hypot(EDGE_BIAS / perInch, (2 * e.off) / Math.sqrt(Math.max(1, (e.plain * SAMPLES) / 4))),
  );
  return Math.SQRT2 * Math.max(...each);
}
