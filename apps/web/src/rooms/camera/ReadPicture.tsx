import type { ReadLayout } from '@lattice/photo';
import { useEffect, useRef } from 'react';
import { Shown } from './LaidSheet.styles.ts';

/** The photo with every place that was read: what differs from the wall, and what is unsure. */
export function ReadPicture({
  picture,
  scale,
  read,
  others,
}: {
  picture: ImageBitmap;
  scale: number;
  read: ReadLayout;
  others: ReadonlySet<number>;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    canvas.current?.getContext('2d')?.drawImage(picture, 0, 0);
  }, [picture]);
  const isOf = (i: number) => {
    if (read.places[i]?.unsure) return 'unsure';
    return others.has(i) ? 'other' : 'same';
  };
  return (
    <Shown style={{ width: `min(100%, calc(62vh * ${picture.width / picture.height}))` }}>
      <canvas
        ref={canvas}
        width={picture.width}
        height={picture.height}
        role="img"
        aria-label="The photo, with every place that was read"
      />
      <svg viewBox={`0 0 ${picture.width} ${picture.height}`} preserveAspectRatio="none" aria-hidden>
        {read.seen.map((quad, i) => (
          <polygon
            key={i}
            data-is={isOf(i)}
            points={quad.map((p) => `${p.x * scale},${p.y * scale}`).join(' ')}
          />
        ))}
      </svg>
    </Shown>
  );
}
