import type { BlockLook, Point } from '@lattice/core';
import { memo } from 'react';

/** The corners of a place, from the one its block’s upper left lies in, round it. */
type Corners = readonly Point[];

/** An outline of the unit square, laid onto a place. */
function laid(outline: readonly (readonly [x: number, y: number])[], [from, right, , down]: Corners): string {
  const [acrossX, acrossY] = [right!.x - from!.x, right!.y - from!.y];
  const [downX, downY] = [down!.x - from!.x, down!.y - from!.y];
  let data = '';
  for (const [x, y] of outline) {
    data += data === '' ? 'M' : 'L';
    data += `${round(from!.x + x * acrossX + y * downX)} ${round(from!.y + x * acrossY + y * downY)}`;
  }
  return `${data}Z`;
}

/** To a ten-thousandth of a unit: finer than any screen, shorter than a float. */
const round = (value: number): number => Math.round(value * 1e4) / 1e4;

const SQUARE = [
  [0, 0],
  [1, 0],
  [1, 1],
  [0, 1],
] as const;

/**
 * Many blocks that look alike, a path a colour: four hundred of them are drawn again by changing three paths, where each
 * by itself would be four hundred changes and a page of laying out.
 */
export const AlikeBlocks = memo(function AlikeBlocks({
  look,
  places,
}: {
  look: BlockLook;
  places: readonly Corners[];
}) {
  const all = (outline: (typeof look.patches)[number]['outlines'][number]) =>
    places.map((corners) => laid(outline, corners)).join('');
  return (
    <>
      <path fill={look.ground} d={all(SQUARE)} />
      {look.patches.map(({ colour, outlines }, i) => (
        <path key={i} fill={colour} d={outlines.map(all).join('')} />
      ))}
    </>
  );
});
