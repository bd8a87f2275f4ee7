import type { Point } from '@lattice/core';
import type { Reference } from './reference.ts';

/** What is told beside the photo itself. */
export interface PhotoAsked {
  readonly reference: Reference;
  /** The reference's corners in the picture, in pixels, clockwise; looked for when left out. */
  readonly referenceCorners?: readonly Point[];
  /** Width and height of the rectangle as it lies in the picture, in inches, where its corners are given. */
  readonly rectangle?: readonly [number, number];
  /** The block's corners in the picture, in pixels, clockwise; looked for when left out. */
  readonly blockCorners?: readonly Point[];
}

/** Why a photo cannot be measured. */
export type PhotoRefused = 'no-reference' | 'other-rectangle' | 'no-block' | 'not-flat';
