import type { Point } from '@lattice/core';
import { useEffect, useRef, useState } from 'react';
import styled from 'styled-components';
import { touch } from '../../design/media.ts';

const Frame = styled.div`
  position: relative;
  margin: 0 auto;
  max-width: 100%;
  > canvas {
    display: block;
    width: 100%;
    height: 100%;
    border-radius: 8px;
    background: #20242c;
  }
  > svg {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
    pointer-events: none;
  }
`;
/** A corner to take hold of: a ring whose middle stays free to look through. */
const Handle = styled.button`
  position: absolute;
  width: 30px;
  height: 30px;
  margin: -15px;
  padding: 0;
  border: 0;
  border-radius: 50%;
  background: transparent;
  box-shadow:
    0 0 0 2px var(--chalk),
    0 0 0 4px rgb(255 255 255 / 80%),
    inset 0 0 0 2px rgb(255 255 255 / 60%);
  cursor: grab;
  touch-action: none;
  &:focus-visible,
  &[data-held='true'] {
    outline: none;
    box-shadow:
      0 0 0 3px var(--thread),
      0 0 0 5px #fff;
  }
  ${touch} {
    width: var(--finger);
    height: var(--finger);
    margin: -22px;
  }
`;
const Loupe = styled.div`
  position: absolute;
  top: calc(50% - 74px);
  width: 148px;
  height: 148px;
  border: 3px solid #fff;
  border-radius: 50%;
  overflow: hidden;
  box-shadow: 0 2px 14px rgb(0 0 0 / 45%);
  pointer-events: none;
  background: #20242c;
  canvas {
    width: 100%;
    height: 100%;
  }
  &::before,
  &::after {
    content: '';
    position: absolute;
    background: var(--thread);
  }
  &::before {
    inset: 0 50% 0 calc(50% - 0.5px);
    width: 1px;
  }
  &::after {
    inset: calc(50% - 0.5px) 0 50% 0;
    height: 1px;
  }
`;
const Length = styled.span`
  position: absolute;
  transform: translate(-50%, -50%);
  padding: 2px 8px;
  border-radius: 7px;
  background: var(--card);
  color: var(--ink);
  font: 650 var(--size-text)/1.3 var(--text);
  font-stretch: 88%;
  white-space: nowrap;
  box-shadow: 0 1px 4px rgb(0 0 0 / 35%);
  pointer-events: none;
`;

/** The magnifier's side, in its own dots. */
const LOUPE = 148;

interface PointBoardProps {
  /** What is looked at, and how it is said. */
  readonly picture: ImageBitmap;
  readonly says: string;
  /** Corners in the picture's dots, clockwise, or two places; and what each is called. */
  readonly points: readonly Point[];
  readonly names: readonly string[];
  /** How far an arrow moves one, in the picture's dots; ten times as far with Shift. */
  readonly step: number;
  readonly onMove: (corner: number, to: Point) => void;
  /** The photo's own dots round a place of the picture, magnified. */
  readonly near: (at: Point, size: number) => Promise<ImageBitmap>;
  /** Lengths that stand on the picture. */
  readonly lengths?: readonly { readonly at: Point; readonly text: React.ReactNode; readonly key: string }[];
}

const WAYS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** A photo with four corners to point at: by mouse, by finger, and by the arrows to a tenth of a dot, under a magnifier. */
export function PointBoard({
  picture,
  says,
  points,
  names,
  step,
  onMove,
  near,
  lengths = [],
}: PointBoardProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const frame = useRef<HTMLDivElement>(null);
  const held = useRef<{ corner: number; from: Point; at: Point } | null>(null);
  const [active, setActive] = useState<number | null>(null);
  const [grabbed, setGrabbed] = useState<number | null>(null);
  const letGo = () => {
    held.current = null;
    setGrabbed(null);
  };
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    context?.drawImage(picture, 0, 0);
  }, [picture]);
  const place = ({ x, y }: Point) => ({
    left: `${(x / picture.width) * 100}%`,
    top: `${(y / picture.height) * 100}%`,
  });
  const within = ({ x, y }: Point): Point => ({
    x: Math.min(picture.width, Math.max(0, x)),
    y: Math.min(picture.height, Math.max(0, y)),
  });
  const drag = (event: React.PointerEvent) => {
    const hold = held.current;
    const box = frame.current?.getBoundingClientRect();
    if (!hold || !box) return;
    const scale = picture.width / box.width;
    onMove(
      hold.corner,
      within({
        x: hold.at.x + (event.clientX - hold.from.x) * scale,
        y: hold.at.y + (event.clientY - hold.from.y) * scale,
      }),
    );
  };
  return (
    <Frame
      ref={frame}
      style={{
        aspectRatio: `${picture.width} / ${picture.height}`,
        width: `min(100%, calc(60vh * ${picture.width / picture.height}))`,
      }}
    >
      <canvas ref={canvas} width={picture.width} height={picture.height} role="img" aria-label={says} />
      {points.length > 2 && (
        <svg viewBox={`0 0 ${picture.width} ${picture.height}`} preserveAspectRatio="none" aria-hidden>
          <polygon
            points={points.map((p) => `${p.x},${p.y}`).join(' ')}
            fill="none"
            stroke="#fff"
            strokeWidth={4}
            strokeOpacity={0.75}
            vectorEffect="non-scaling-stroke"
          />
          <polygon
            points={points.map((p) => `${p.x},${p.y}`).join(' ')}
            fill="none"
            stroke="var(--chalk)"
            strokeWidth={2}
            vectorEffect="non-scaling-stroke"
          />
        </svg>
      )}
      {lengths.map(({ at, text, key }) => (
        <Length key={key} style={place(at)}>
          {text}
        </Length>
      ))}
      {points.map((p, k) => (
        <Handle
          key={names[k]}
          type="button"
          aria-label={`${names[k]}: arrows move it`}
          data-held={grabbed === k}
          style={place(p)}
          onFocus={() => setActive(k)}
          onBlur={() => setActive((had) => (had === k ? null : had))}
          onKeyDown={(event) => {
            const way = WAYS[event.key];
            if (!way) return;
            event.preventDefault();
            const by = event.shiftKey ? 10 * step : step;
            onMove(k, within({ x: p.x + way[0] * by, y: p.y + way[1] * by }));
          }}
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId);
            held.current = { corner: k, from: { x: event.clientX, y: event.clientY }, at: p };
            setGrabbed(k);
            setActive(k);
          }}
          onPointerMove={drag}
          onPointerUp={letGo}
          onPointerCancel={letGo}
        />
      ))}
      {active !== null && points[active] && (
        <Magnifier at={points[active]} near={near} onRight={points[active].x < picture.width / 2} />
      )}
    </Frame>
  );
}

function Magnifier({ at, near, onRight }: { at: Point; near: PointBoardProps['near']; onRight: boolean }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { x, y } = at;
  useEffect(() => {
    let gone = false;
    near({ x, y }, LOUPE).then(
      (bitmap) => {
        if (!gone) canvas.current?.getContext('2d')?.drawImage(bitmap, 0, 0);
        bitmap.close();
      },
      () => {},
    );
    return () => {
      gone = true;
    };
  }, [x, y, near]);
  return (
    <Loupe style={onRight ? { right: 8 } : { left: 8 }} aria-hidden>
      <canvas ref={canvas} width={LOUPE} height={LOUPE} />
    </Loupe>
  );
}
