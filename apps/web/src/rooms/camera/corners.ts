import type { Point } from '@lattice/core';
import type { PhotoAsked } from '@lattice/photo';
import { type MeasuredBy, referenceOf } from './ReferenceChoice.tsx';
import type { OnDesk } from './usePhotos.ts';

/** Corners of a block, as they are named to whoever moves them. */
export const CORNERS = ['Top left corner', 'Top right corner', 'Bottom right corner', 'Bottom left corner'];
/** Four places of a known rectangle, in the same order. */
export const PLACES = [
  'First point, top left',
  'Second point, top right',
  'Third point, bottom right',
  'Fourth point, bottom left',
];

/** Four places to begin with: so far in from the rim, as a share. */
export const inFromRim = (
  { width, height }: Pick<ImageBitmap, 'width' | 'height'>,
  share: number,
): readonly Point[] => [
  { x: width * share, y: height * share },
  { x: width * (1 - share), y: height * share },
  { x: width * (1 - share), y: height * (1 - share) },
  { x: width * share, y: height * (1 - share) },
];

/** Where the squares are seen and the block is not, it is the block that is pointed at. */
export const pointsAtBlock = (on: OnDesk | null): boolean => on?.refused === 'no-block' && on.asked !== null;

/** What is asked once four places are pointed at, in the photo's own dots. */
export function askedByPoints(on: OnDesk | null, by: MeasuredBy, inPhoto: readonly Point[]): PhotoAsked {
  if (on?.refused === 'no-block' && on.asked) return { ...on.asked, blockCorners: inPhoto };
  return {
    reference: referenceOf(by),
    referenceCorners: inPhoto,
    ...(by.kind === 'letter' || by.kind === 'a4' ? {} : { rectangle: by.sides }),
  };
}
