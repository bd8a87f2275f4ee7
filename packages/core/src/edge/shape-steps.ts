import { formatWithUnit } from '../length/format.ts';
import type { Plan } from '../plan/shape.ts';

/** How the edge gets its shape once the quilt is square (rules TG-3 and TG-4; common practice); nothing where its corners stay. */
export function shapeSteps({ edge, unit }: Pick<Plan, 'edge' | 'unit'>): string[] {
  const show = (length: number) => formatWithUnit(length, unit);
  const { shape, corners, radius, cutOut } = edge;
  const which = corners === 'foot' ? 'the two corners at the foot' : 'all four corners';
  switch (shape) {
    case 'square':
      return [];
    case 'rounded':
      return [
        `Round ${which}: from a point ${show(radius)} in from both edges draw a quarter circle with a string, and cut along it.`,
      ];
    case 'clipped':
      return [
        `Cut ${which} off: mark ${show(radius)} from the corner along both edges, and cut from mark to mark.`,
      ];
    case 'posts':
      return [
        `Cut ${which} out for the posts: mark ${show(cutOut.across)} from the side and ${show(cutOut.down)} from the ${corners === 'foot' ? 'foot' : 'end'}. Hold it against the bed first. Stay-stitch just inside both lines, and cut to where they meet.`,
      ];
    case 'scalloped':
      return ['Mark the scallops with their templates, stay-stitch just inside the line, and cut along it.'];
  }
}
