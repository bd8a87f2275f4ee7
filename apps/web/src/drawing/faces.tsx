import { FACE_GROUND as BACKGROUND, FACES, type FaceName, type PileBlock, type Point } from '@lattice/core';
import { memo } from 'react';

/** What a block without a drawn face is shown in. */
const PLAIN: readonly [string, string] = ['#d9d2c2', '#cfc7b5'];

/** Looks of blocks with a picture name it; everything else is drawn. */
const PICTURE = 'picture';

/** Where a picture is fetched. */
export const pictureAddress = (id: string): string => `/api/pictures/${id}`;

/** One key for blocks that look alike, so that each look is drawn once and used many times. */
export const lookOf = (block: PileBlock | undefined, swapped = false): string =>
  block?.picture
    ? ['', PICTURE, block.picture].join('|')
    : [swapped ? 'swapped' : '', ...(block?.face ? [block.face, ...(block.colours ?? [])] : ['plain'])].join(
        '|',
      );

function FaceArt({ look }: { look: string }) {
  const [swapped, face, ...colours] = look.split('|');
  if (face === PICTURE)
    return <image href={pictureAddress(colours[0]!)} width="1" height="1" preserveAspectRatio="none" />;
  const plain = face === 'plain';
  const patches = plain ? FACES['square in square'] : FACES[face as FaceName];
  const [own = PLAIN[0], second = own] = plain ? PLAIN : colours;
  // A swapped block has its first colour for a ground, and the ground where that colour was.
  const [ground, first] = swapped ? [own, BACKGROUND] : [BACKGROUND, own];
  const tones = [...new Set(patches.map((p) => p.tone))];
  return (
    <>
      <rect width="1" height="1" fill={ground} />
      {tones.map((tone) => (
        <path
          key={tone}
          fill={tone === 0 ? ground : tone === 1 ? first : second}
          d={patches
            .filter((p) => p.tone === tone)
            .map((p) => `M${p.outline.map((at) => at.join(' ')).join('L')}Z`)
            .join('')}
        />
      ))}
    </>
  );
}

/** The looks a drawing uses, defined once on the unit square. */
export const FaceDefinitions = memo(
  function FaceDefinitions({ looks, prefix }: { looks: readonly string[]; prefix: string }) {
    return (
      <defs>
        {looks.map((look, i) => (
          <g key={look} id={`${prefix}-${i}`}>
            <FaceArt look={look} />
          </g>
        ))}
      </defs>
    );
  },
  (a, b) => a.prefix === b.prefix && a.looks.join() === b.looks.join(),
);

/** The transform that lays the unit square on a block's outline, whichever way the block stands, `turn` quarters to the right. */
export function ontoOutline(outline: readonly Point[], turn = 0): string {
  const [o, x, y] = [turn, turn + 1, turn + 3].map((corner) => outline[corner % 4]!) as [Point, Point, Point];
  return `matrix(${x.x - o.x} ${x.y - o.y} ${y.x - o.x} ${y.y - o.y} ${o.x} ${o.y})`;
}

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
