import { addressOf } from '@lattice/contract';
import { type BlockLook, lookOf, type PileBlock } from '@lattice/core';
import { memo } from 'react';

/** Where a picture is fetched. */
export const pictureAddress = (id: string): string => addressOf('picture', { id });

/** A block's face on the unit square. */
function FaceArt({ look: { picture, ground, patches } }: { look: BlockLook }) {
  if (picture !== null)
    return <image href={pictureAddress(picture)} width="1" height="1" preserveAspectRatio="none" />;
  return (
    <>
      <rect width="1" height="1" fill={ground} />
      {patches.map(({ colour, outlines }, i) => (
        <path
          key={i}
          fill={colour}
          d={outlines.map((outline) => `M${outline.map((at) => at.join(' ')).join('L')}Z`).join('')}
        />
      ))}
    </>
  );
}

/** The looks a drawing uses, defined once on the unit square. */
export const FaceDefinitions = memo(
  function FaceDefinitions({ looks, prefix }: { looks: readonly BlockLook[]; prefix: string }) {
    return (
      <defs>
        {looks.map((look, i) => (
          <g key={look.key} id={`${prefix}-${i}`}>
            <FaceArt look={look} />
          </g>
        ))}
      </defs>
    );
  },
  (a, b) => a.prefix === b.prefix && a.looks.map((l) => l.key).join() === b.looks.map((l) => l.key).join(),
);

/** One block drawn by itself, filling the box it is given. */
export function BlockArt({ block, turn = 0 }: { block: PileBlock; turn?: number }) {
  return (
    <svg
      viewBox="0 0 1 1"
      width="100%"
      height="100%"
      aria-hidden
      focusable="false"
      style={{ transform: `rotate(${90 * turn}deg)` }}
    >
      <FaceArt look={lookOf(block)} />
    </svg>
  );
}
