import { EDGE_SHAPE_NAMES, type EdgeFinish, type EdgeShape } from '../choice/edge.ts';

/** What one finish can do on an edge, asked of it by whoever puts finishes together (rule ED-2; common practice). */
interface Finish {
  /** It closes the raw edge by itself; one that does not needs another that does. */
  readonly closes: boolean;
  /** Why it cannot go with another finish; null when it can. */
  readonly against: (other: EdgeFinish) => string | null;
  /** Why it cannot go round an edge of this shape; null when it can. */
  readonly around: (shape: EdgeShape) => string | null;
}

const binding: Finish = { closes: true, against: () => null, around: () => null };

const flange: Finish = {
  closes: false,
  against: () => null,
  around: (shape) => {
    if (shape === 'square') return null;
    const what = shape === 'clipped' ? 'corners that are cut off without eight pieces' : 'a curve';
    return `A flange is a folded straight strip and cannot follow ${what}. Choose square corners, or a binding with a flange built in.`;
  },
};

const prairiePoints: Finish = {
  closes: true,
  against: (other) => {
    switch (other) {
      case 'binding':
        return 'Prairie points close the edge by themselves: their raw edges lie between top and backing, so nothing is left to bind, and a binding would cover their bases. Choose one of the two.';
      case 'flange':
        return 'A flange is held by the seam of a binding and lies against it; beside prairie points there is none. Take the flange off, or bind the quilt.';
      case 'prairie-points':
        return null;
    }
  },
  around: (shape) =>
    shape === 'square'
      ? null
      : `Prairie points need straight sides that meet square: on an edge with ${EDGE_SHAPE_NAMES[shape].toLowerCase()} their bases gape. Bind it, or choose square corners.`,
};

/** Every finish there is, by its word in a plan. */
const FINISHES: Readonly<Record<EdgeFinish, Finish>> = { binding, flange, 'prairie-points': prairiePoints };

/** The finish of this word. */
export const finishOf = (finish: EdgeFinish): Finish => FINISHES[finish];
