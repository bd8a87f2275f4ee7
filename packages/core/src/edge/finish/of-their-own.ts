import { EDGE_SHAPE_NAMES } from '../../choice/edge.ts';
import { closesBeside, type Finish } from './finish.ts';

/** What a binding may stand beside; what it is by itself `planBinding` tells. */
export const binding: Finish = {
  closes: true,
  ends: 'trimmed',
  against: () => null,
  around: () => null,
};

/** What a flange may stand beside; what it is by itself `planFlange` tells. */
export const flange: Finish = {
  closes: false,
  ends: 'trimmed',
  against: () => null,
  around: (shape) => {
    if (shape === 'square') return null;
    const what =
      shape === 'clipped'
        ? 'corners that are cut off without eight pieces'
        : shape === 'posts'
          ? 'corners that are cut out without eight pieces'
          : 'a curve';
    return `A flange is a folded straight strip and cannot follow ${what}. Choose square corners, or a binding with a flange built in.`;
  },
};

/** What prairie points may stand beside; what they are by themselves `planPrairiePoints` tells. */
export const prairiePoints: Finish = {
  closes: true,
  ends: 'seam',
  against: (other) => {
    switch (other) {
      case 'binding':
        return 'Prairie points close the edge by themselves: their raw edges lie between top and backing, so nothing is left to bind, and a binding would cover their bases. Choose one of the two.';
      case 'flange':
        return 'A flange is held by the seam of a binding and lies against it; beside prairie points there is none. Take the flange off, or bind the quilt.';
      default:
        return closesBeside('Prairie points', 'prairie-points', other);
    }
  },
  around: (shape) =>
    shape === 'square'
      ? null
      : `Prairie points need straight sides that meet square: on an edge with ${EDGE_SHAPE_NAMES[shape].toLowerCase()} their bases gape. Bind it, or choose square corners.`,
};
