import { type BandHandle, type Band, formatWithUnit, fromInches, type Unit } from '@lattice/core';
import { useState } from 'react';
import { ToggleButton } from 'react-aria-components';
import styled from 'styled-components';
import { Lengths } from '../../design/Lengths.tsx';
import { Board } from './Board.ts';
import { Pixel } from './pixel.ts';
import { gripSize, Tape, TAPE } from './Tape.tsx';
import { useRoom } from './useRoom.ts';
import { touch } from '../../design/media.ts';

const Drawing = styled.svg`
  position: absolute;
  inset: 0;
`;
/** Widths and shades of a soft edge, in pixels: a blur is drawn anew at every step of a dragged tape, four lines are not felt. */
const SHADOW = [
  [11, 0.03],
  [8, 0.05],
  [5, 0.07],
  [2, 0.1],
] as const;
const Legend = styled.div`
  position: absolute;
  inset: auto 20px 10px;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 6px 16px;
  font-size: var(--size-note);
  color: var(--soft);
  pointer-events: none;
  .marks {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 6px 14px;
    margin-left: auto;
  }
  .dash {
    display: inline-block;
    width: 22px;
    margin-right: 8px;
    border-top: 2px dashed var(--thread);
    vertical-align: middle;
  }
`;

/** Something shown on the drawing, or not. */
export const Mark = styled(ToggleButton)`
  padding: 3px 10px;
  border: 1px solid var(--line);
  border-radius: 12px;
  background: var(--card);
  color: var(--soft);
  font-size: var(--size-note);
  cursor: pointer;
  pointer-events: auto;
  &[data-hovered] {
    border-color: var(--soft);
  }
  &[data-selected] {
    border-color: var(--ink);
    color: var(--ink);
    font-weight: 650;
  }
  &[data-focus-visible] {
    outline: 2px solid var(--chalk);
    outline-offset: 2px;
  }
  ${touch} {
    min-height: var(--finger);
    padding: 3px 16px;
    border-radius: 22px;
  }
`;

/** Pixels kept free round the drawing: tapes, with room for their grips beside them, and the legend, which takes two lines where it is narrow. */
function marginFor(grip: number, taped: boolean, narrow: boolean) {
  const legend = { right: narrow ? 14 : 30, bottom: narrow ? 40 + 1.4 * grip : 48 };
  return taped
    ? { left: 60 + grip, top: 60 + grip, ...legend }
    : { left: narrow ? 14 : 30, top: 24, ...legend };
}

/** How the drawing lies in its room: pixels for one unit, and where its top left corner is. */
export interface Lying {
  readonly scale: number;
  readonly x: number;
  readonly y: number;
}

interface ScaledBoardProps {
  readonly unit: Unit;
  /** What is drawn, in units; the drawing's origin is its top left corner. */
  readonly size: { readonly width: number; readonly height: number };
  /** Room kept beyond it, for what stands out to the right and below. */
  readonly shown?: { readonly width: number; readonly height: number };
  readonly label: string;
  /** Tapes along the top and the left; none where nothing is measured. */
  readonly tapes?: {
    readonly across: readonly Band[];
    readonly down: readonly Band[];
    readonly colourOf: (part: string) => string | null;
    readonly pointed: readonly string[];
    readonly onPoint: (parts: readonly string[]) => void;
    readonly partsOf: (handle: BandHandle) => readonly string[];
    readonly onHold?: ((held: boolean) => void) | undefined;
    readonly onMove: (handle: BandHandle, width: number, gesture: string) => string | null;
  };
  /** Lies under the drawing, shadow and all; null for a shape of its own. */
  readonly ground?: string | null;
  /** Drawn in units. */
  readonly children: React.ReactNode | ((lying: Lying) => React.ReactNode);
  /** WallPlace over it in pixels. */
  readonly over?: (lying: Lying) => React.ReactNode;
  /** At the left of the legend, and at its right before the floor's scale. */
  readonly said?: React.ReactNode;
  readonly marks?: React.ReactNode;
}

/** Something to scale on the gridded floor, as large as its room lets it be. */
export function ScaledBoard({
  unit,
  size,
  shown = size,
  label,
  tapes,
  ground = 'var(--card)',
  children,
  over,
  said,
  marks,
}: ScaledBoardProps) {
  const [element, setElement] = useState<HTMLDivElement | null>(null);
  const room = useRoom(element);
  const margin = marginFor(gripSize(), tapes !== undefined, room.width < 520);
  const free = {
    width: room.width - margin.left - margin.right,
    height: room.height - margin.top - margin.bottom,
  };
  const scale = Math.max(0, Math.min(free.width / shown.width, free.height / shown.height));
  const x = margin.left + Math.max(0, (free.width - shown.width * scale) / 2);
  const y = margin.top + Math.max(0, (free.height - shown.height * scale) / 2);
  const floor = floorSquare(unit, Math.max(size.width, size.height));
  const tape = tapes && { ...tapes, unit, scale };
  return (
    <Board ref={setElement}>
      {scale > 0 && (
        <>
          <Drawing width={room.width} height={room.height} role="img" aria-label={label}>
            <path d={gridded(room, floor * scale, x, y)} stroke="var(--grid)" strokeWidth={0.5} fill="none" />
            {ground && (
              <g transform={`translate(${x} ${y})`}>
                {SHADOW.map(([wide, shade]) => (
                  <rect
                    key={wide}
                    y={2}
                    width={size.width * scale}
                    height={size.height * scale}
                    fill="none"
                    stroke="#000"
                    strokeWidth={wide}
                    strokeOpacity={shade}
                    strokeLinejoin="round"
                  />
                ))}
                <rect width={size.width * scale} height={size.height * scale} fill={ground} />
              </g>
            )}
            <g transform={`translate(${x} ${y}) scale(${scale})`}>
              <Pixel value={1 / scale}>
                {typeof children === 'function' ? children({ scale, x, y }) : children}
              </Pixel>
            </g>
          </Drawing>
          {tape && (
            <Tape direction="across" bands={tapes.across} start={x} offset={y - TAPE - 14} {...tape} />
          )}
          {tape && <Tape direction="down" bands={tapes.down} start={y} offset={x - TAPE - 12} {...tape} />}
          {over?.({ scale, x, y })}
        </>
      )}
      <Legend>
        <span>{said}</span>
        <span className="marks">
          {marks}
          <span>
            floor squares <Lengths text={formatWithUnit(floor, unit)} />
          </span>
        </span>
      </Legend>
    </Board>
  );
}

/** The lines of a floor whose squares are so many pixels wide, through a point. */
function gridded({ width, height }: { width: number; height: number }, square: number, x: number, y: number) {
  let data = '';
  for (let at = x % square; at <= width; at += square) data += `M${at} 0V${height}`;
  for (let at = y % square; at <= height; at += square) data += `M0 ${at}H${width}`;
  return data;
}

/** A square of the floor: 6" (10 cm) under a quilt, 1" (2 cm) under a corner. */
function floorSquare(unit: Unit, longest: number): number {
  const small = longest <= fromInches(24, unit);
  return unit === 'in' ? (small ? 1 : 6) : small ? 2 : 10;
}
