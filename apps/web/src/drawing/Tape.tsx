import { type Band, type BandHandle, formatLength, formatWithUnit, rulerStep, type Unit } from '@lattice/core';
import { useRef, useState } from 'react';
import { useMove } from 'react-aria';
import styled from 'styled-components';
import { Lengths } from '../design/Lengths.tsx';

/** Thickness of a tape, in pixels. */
export const TAPE = 28;

const Strip = styled.div`
  position: absolute;
  background: var(--card);
  border: 1px solid var(--ink);
  box-shadow: 0 1px 3px rgb(0 0 0 / 18%);
`;
const Division = styled.div`
  position: absolute;
  display: flex;
  align-items: center;
  justify-content: center;
  overflow: hidden;
  font-size: 13px;
  font-weight: 650;
  font-stretch: 80%;
  color: var(--ink);
  white-space: nowrap;
  &[data-pointed] { background: var(--chalk) !important; color: var(--on-chalk) !important; }
`;
/** Wider than the division it moves, so that a finger finds it. */
const Handle = styled.div`
  position: absolute;
  z-index: 2;
  touch-action: none;
  cursor: ew-resize;
  border-radius: 4px;
  &[data-down] { cursor: ns-resize; }
  &::after {
    content: '';
    position: absolute;
    inset: 0 calc(50% - 1.5px);
    border-radius: 2px;
    background: transparent;
  }
  &[data-down]::after { inset: calc(50% - 1.5px) 0; }
  &:hover::after, &[data-active]::after, &:focus-visible::after { background: var(--chalk); }
`;
const Bubble = styled.div`
  position: absolute;
  z-index: 3;
  padding: 4px 10px;
  border-radius: 7px;
  background: var(--chalk);
  color: var(--on-chalk);
  font-size: 13px;
  font-weight: 600;
  white-space: nowrap;
  pointer-events: none;
  &[data-wrong] { background: var(--wrong); color: var(--card); white-space: normal; width: 240px; }
`;

interface TapeProps {
  readonly direction: 'across' | 'down';
  readonly bands: readonly Band[];
  readonly unit: Unit;
  /** Pixels for one unit, and where the quilt's edge lies in the room. */
  readonly scale: number;
  readonly start: number;
  readonly offset: number;
  readonly colourOf: (part: string) => string | null;
  readonly pointed: readonly string[];
  readonly onPoint: (parts: readonly string[]) => void;
  /** Takes a new width for what the handle moves; answers what is wrong with it, or null. */
  readonly onMove: (handle: BandHandle, width: number, gesture: string) => string | null;
}

/** Dark cloth takes light figures. Rough luminance is enough for two choices. */
const onCloth = (colour: string): string => {
  const [r, g, b] = [1, 3, 5].map((i) => parseInt(colour.slice(i, i + 2), 16)) as [number, number, number];
  return 0.3 * r + 0.59 * g + 0.11 * b < 140 ? '#fbfcfc' : '#1b2433';
};

/** Narrower than this on screen, a division shows its colour and leaves its figure to the bubble. */
const LABEL_ROOM = 22;

/**
 * A tape along one edge of the quilt, split as the quilt is. Where a width is the quilter's to choose,
 * the division can be dragged, or focused and moved with the arrow keys, one ruler step at a time.
 */
export function Tape({ direction, bands, unit, scale, start, offset, colourOf, pointed, onPoint, onMove }: TapeProps) {
  const down = direction === 'down';
  const end = bands.at(-1)?.to ?? 0;
  const box = (from: number, length: number) => (down ? { top: from, height: length, left: 0, width: TAPE - 2 } : { left: from, width: length, top: 0, height: TAPE - 2 });
  const strip = down ? { left: offset, top: start, width: TAPE, height: end * scale } : { left: start, top: offset, width: end * scale, height: TAPE };
  const seen = new Set<string>();
  return (
    <>
      <Strip style={strip} aria-hidden data-tape={direction}>
        {bands.map((band, i) => {
          const length = (band.to - band.from) * scale;
          const cloth = colourOf(band.part);
          const label = formatLength(band.to - band.from, unit);
          const needs = down ? LABEL_ROOM - 6 : Math.max(LABEL_ROOM, label.length * 6.5);
          return (
            <Division
              key={i}
              data-pointed={pointed.includes(band.part) || undefined}
              onPointerEnter={() => onPoint([band.part])}
              onPointerLeave={() => onPoint([])}
              style={{
                ...box(band.from * scale, length),
                borderInlineStart: !down && i > 0 ? '1px solid var(--ink)' : undefined,
                borderBlockStart: down && i > 0 ? '1px solid var(--ink)' : undefined,
                ...(cloth ? { background: cloth, color: onCloth(cloth) } : {}),
              }}
            >
              {length >= needs ? <Lengths text={label} /> : null}
            </Division>
          );
        })}
      </Strip>
      {bands.map((band, i) => {
        if (!band.moves) return null;
        const what = handleName(band.moves);
        const first = !seen.has(what);
        seen.add(what);
        return (
          <BandHandleControl
            key={`${what}-${i}`}
            {...{ band, unit, scale, down, onMove, onPoint, what }}
            // A border's outer copy grows towards the quilt's edge; everything else grows to the right or down.
            mirrored={band.moves.what === 'border' && band.from > end / 2}
            reachable={first}
            at={start}
            offset={offset}
          />
        );
      })}
    </>
  );
}

const handleName = (handle: BandHandle): string => (handle.what === 'sash' ? 'Sash' : `Border ${handle.index + 1}`);

interface ControlProps {
  readonly band: Band;
  readonly unit: Unit;
  readonly scale: number;
  readonly down: boolean;
  readonly mirrored: boolean;
  /** In the tab order: one of each kind a tape is enough. */
  readonly reachable: boolean;
  readonly at: number;
  readonly offset: number;
  readonly what: string;
  readonly onMove: TapeProps['onMove'];
  readonly onPoint: TapeProps['onPoint'];
}

let gestures = 0;

function BandHandleControl({ band, unit, scale, down, mirrored, reachable, at, offset, what, onMove, onPoint }: ControlProps) {
  const width = band.to - band.from;
  const step = rulerStep(unit);
  const drag = useRef<{ startWidth: number; travelled: number; scale: number; gesture: string } | null>(null);
  const [active, setActive] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);

  const { moveProps } = useMove({
    onMoveStart: ({ pointerType }) => {
      // A held arrow key is one gesture too, so one undo takes it back.
      drag.current = { startWidth: width, travelled: 0, scale, gesture: `tape-${gestures++}` };
      if (pointerType !== 'keyboard') setActive(true);
    },
    onMove: ({ deltaX, deltaY, pointerType }) => {
      const going = drag.current!;
      if (pointerType === 'keyboard') {
        const next = Math.round(width / step + Math.sign(deltaX - deltaY)) * step;
        setProblem(onMove(band.moves!, next, going.gesture));
        return;
      }
      going.travelled += down ? deltaY : deltaX;
      const moved = (mirrored ? -going.travelled : going.travelled) / going.scale;
      const next = Math.round((going.startWidth + moved) / step) * step;
      setProblem(onMove(band.moves!, next, going.gesture));
    },
    onMoveEnd: ({ pointerType }) => {
      if (pointerType === 'keyboard') return;
      setActive(false);
      setProblem(null);
    },
  });

  const edge = at + (mirrored ? band.from : band.to) * scale;
  const reach = Math.max(14, Math.min(24, width * scale + 10));
  const place = down
    ? { top: edge - reach / 2, height: reach, left: offset - 4, width: TAPE + 8 }
    : { left: edge - reach / 2, width: reach, top: offset - 4, height: TAPE + 8 };
  const [showing, setShowing] = useState(false);
  const label = `${what} ${formatWithUnit(width, unit)}`;
  const bubble = down ? { top: edge - 14, left: offset + TAPE + 8 } : { left: edge, top: offset - 34, transform: 'translateX(-50%)' };
  return (
    <>
      <Handle
        {...moveProps}
        role="slider"
        tabIndex={reachable ? 0 : -1}
        aria-label={`${what} width`}
        aria-orientation={down ? 'vertical' : 'horizontal'}
        aria-valuenow={width}
        aria-valuemin={0}
        aria-valuemax={200}
        aria-valuetext={formatWithUnit(width, unit)}
        data-down={down || undefined}
        data-active={active || undefined}
        style={place}
        onPointerEnter={() => {
          setShowing(true);
          onPoint([band.part]);
        }}
        onPointerLeave={() => {
          setShowing(false);
          onPoint([]);
        }}
        onFocus={() => {
          setShowing(true);
          onPoint([band.part]);
        }}
        onBlur={() => {
          setShowing(false);
          setProblem(null);
          onPoint([]);
        }}
      />
      {(showing || active) && (
        <Bubble style={bubble} role="status" data-wrong={problem !== null || undefined}>
          <Lengths text={problem ?? `${label} ${down ? '↕' : '↔'}`} />
        </Bubble>
      )}
    </>
  );
}
