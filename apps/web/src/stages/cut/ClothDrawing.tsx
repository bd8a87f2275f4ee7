import {
  atLeast,
  type Fold,
  FOLDS,
  formatWithUnit,
  numberOf,
  shorter,
  type TableCloth,
  type TableStep,
  type Unit,
} from '@lattice/core';
import { useId, useState } from 'react';
import styled from 'styled-components';
import { Lengths } from '../../design/Lengths.tsx';
import { useRoom } from '../../rooms/drawing/useRoom.ts';
import { Hatch, TableBoard } from './TableBoard.tsx';
import { inkOn } from '../../rooms/drawing/inkOn.ts';

const Board = styled(TableBoard)`
  text {
    fill: var(--soft);
  }
  .number {
    font-size: var(--size-text);
    font-weight: 700;
    text-anchor: middle;
    fill: var(--ink);
  }
  .mark {
    font-weight: 650;
  }
`;

/** As much cloth as is in sight at once, in widths of the drawing as it lies. */
const MARGIN = { top: 52, right: 26, bottom: 44, left: 26 };

interface Props {
  table: TableCloth;
  step: TableStep | null;
  fold: Fold;
  left: boolean;
  unit: Unit;
  /** Lines of the cutting list that wait until something is measured: their strips are hatched. */
  waiting: ReadonlySet<string>;
}

/**
 * The cloth as it lies on the table, to scale: its cut end at the hand that holds the blade, the fold towards one,
 * strips numbered in their order, the ruler where it is laid now.
 */
export function ClothDrawing({ table, step, fold, left, unit, waiting }: Props) {
  const hatch = useId();
  const [board, setBoard] = useState<HTMLDivElement | null>(null);
  const room = useRoom(board);
  const { fabric, heights } = table.placed;
  const layers = FOLDS[fold];
  const high = fabric.usableWidth / layers;
  const strips = stripsOf(table, waiting);
  const total = heights.reduce((sum, h) => sum + h, 0);
  const hand = strips.find((strip) => step?.strips.includes(strip.index)) ?? strips.find((s) => !s.done);
  const across = room.height - MARGIN.top - MARGIN.bottom;
  const along = room.width - MARGIN.left - MARGIN.right;
  // As large as the height allows, unless the whole length then still fits.
  const scale = Math.max(0.1, Math.min(across / high, Math.max(along / Math.max(total, 1), along / 64)));
  const inSight = along / scale;
  const from = Math.max(0, Math.min((hand?.y ?? 0) - inSight / 4, total - inSight * 0.9));
  const x = (at: number) => {
    const px = (at - from) * scale;
    return left ? room.width - MARGIN.right - px : MARGIN.left + px;
  };
  const top = MARGIN.top + (across - high * scale) / 2;
  const rect = (y: number, h: number) => ({
    x: Math.min(x(y), x(y + h)),
    width: h * scale,
    y: top,
    height: high * scale,
  });
  const end = x(total);
  const ruler = step && (step.kind === 'strip' || step.kind === 'square') ? step : null;
  return (
    <Board ref={setBoard}>
      <svg width={room.width} height={room.height} role="img" aria-label={describe(table, fold, unit)}>
        <defs>
          <Hatch id={hatch} />
        </defs>
        <rect
          x={Math.min(end, left ? 0 : end)}
          y={top}
          width={left ? Math.max(0, end) : Math.max(0, room.width - end)}
          height={high * scale}
          fill={fabric.colour}
          opacity="0.35"
        />
        {strips.map((strip) => {
          const at = rect(strip.y, strip.h);
          const isHand = step?.strips.includes(strip.index) && step.kind === 'strip';
          return (
            <g key={strip.index}>
              <rect
                {...at}
                fill={fabric.colour}
                stroke={isHand ? 'var(--thread)' : 'var(--soft)'}
                strokeWidth={isHand ? 2 : 0.8}
                opacity={strip.done ? 0.4 : 1}
              />
              {strip.waits && !strip.done && <rect {...at} fill={`url(#${hatch})`} />}
              {(at.width > 27 || isHand) && (
                <g transform={`translate(${at.x + at.width / 2} ${top - 24})`}>
                  <circle
                    r="13"
                    fill={strip.done ? 'var(--good)' : isHand ? 'var(--thread)' : 'var(--card)'}
                    stroke={strip.done || isHand ? 'none' : 'var(--ink)'}
                  />
                  {strip.done ? (
                    <path d="M-5 0l4 4 7-8" fill="none" stroke="var(--card)" strokeWidth="2.2" />
                  ) : (
                    <text className="number" y="5" style={isHand ? { fill: 'var(--on-thread)' } : undefined}>
                      {strip.index + 1}
                    </text>
                  )}
                </g>
              )}
              {at.width > 34 && (
                <text
                  className="mark"
                  transform={`translate(${at.x + at.width / 2 + 5} ${top + at.height / 2}) rotate(-90)`}
                  textAnchor="middle"
                  style={{ fill: inkOn(fabric.colour) }}
                >
                  <Lengths text={formatWithUnit(strip.h, unit)} drawn />
                </text>
              )}
            </g>
          );
        })}
        <path
          d={`M${left ? 0 : MARGIN.left - 10} ${top + high * scale}H${left ? room.width - MARGIN.right + 10 : room.width}`}
          stroke="var(--ink)"
          strokeWidth={fold === 'open' ? 1.2 : 4}
          strokeDasharray={fold === 'open' ? '2 3' : undefined}
        />
        <path
          d={`M${left ? 0 : MARGIN.left - 10} ${top}H${left ? room.width - MARGIN.right + 10 : room.width}`}
          stroke="var(--soft)"
          strokeWidth="1.2"
          strokeDasharray="2 3"
        />
        <text
          x={left ? MARGIN.left : room.width - MARGIN.right}
          y={top + high * scale + 18}
          textAnchor={left ? 'start' : 'end'}
        >
          ↔ straight grain · {fold === 'open' ? 'selvage' : fold === 'once' ? 'fold' : 'two folds'}
        </text>
        <text
          x={left ? MARGIN.left : room.width - MARGIN.right}
          y={top - 6}
          textAnchor={left ? 'start' : 'end'}
        >
          {fold === 'once' ? 'selvages' : fold === 'twice' ? 'fold and selvages' : 'selvage'}
        </text>
        {ruler && (
          <Ruler
            at={rect(ruler.box.y, ruler.box.h)}
            size={ruler.box.h}
            left={left}
            unit={unit}
            scale={scale}
          />
        )}
      </svg>
    </Board>
  );
}

/** The ruler with its mark on the cut end; the blade goes along its other edge. */
function Ruler({
  at,
  size,
  left,
  unit,
  scale,
}: {
  at: { x: number; y: number; width: number; height: number };
  size: number;
  left: boolean;
  unit: Unit;
  scale: number;
}) {
  const over = 12;
  const step = scale * (unit === 'in' ? 1 : 2);
  const cutEnd = left ? at.x + at.width : at.x;
  const blade = left ? at.x : at.x + at.width;
  const lines = Math.min(60, Math.floor(at.width / step));
  const y1 = at.y - over;
  const y2 = at.y + at.height + over;
  return (
    <g>
      <rect
        x={at.x - (left ? 0 : over)}
        y={y1}
        width={at.width + over}
        height={y2 - y1}
        rx="5"
        fill="var(--chalk)"
        fillOpacity="0.14"
        stroke="var(--chalk)"
        strokeWidth="1.4"
      />
      {Array.from({ length: lines }, (_, i) => {
        const x = left ? cutEnd - (i + 1) * step : cutEnd + (i + 1) * step;
        return <path key={i} d={`M${x} ${y1}V${y2}`} stroke="var(--chalk)" strokeWidth="0.6" opacity="0.5" />;
      })}
      <path d={`M${cutEnd} ${y1}V${y2}`} stroke="var(--chalk)" strokeWidth="3.5" />
      <path d={`M${blade} ${y1}V${y2}`} stroke="var(--thread)" strokeWidth="3" />
      {size > 0 && (
        <text
          className="mark"
          x={cutEnd + (left ? -6 : 6)}
          y={y2 + 15}
          textAnchor={left ? 'end' : 'start'}
          style={{ fill: 'var(--chalk)' }}
        >
          <Lengths text={`${formatWithUnit(size, unit)} line here`} drawn />
        </text>
      )}
      <text
        className="mark"
        x={blade}
        y={y1 - 30}
        textAnchor={left ? 'start' : 'end'}
        style={{ fill: 'var(--thread)' }}
      >
        {at.width > 90 ? 'cut here' : ''}
      </text>
    </g>
  );
}

interface StripState {
  readonly index: number;
  readonly y: number;
  readonly h: number;
  readonly done: boolean;
  /** All that is cut from it waits until something is measured. */
  readonly waits: boolean;
}

function stripsOf({ placed, steps }: TableCloth, waiting: ReadonlySet<string>): StripState[] {
  const done = new Map(
    steps.filter(({ kind }) => kind === 'strip').map((step) => [step.strips[0]!, step.done] as const),
  );
  const boxes = [
    ...placed.pieces.map((piece) => ({ ...piece, waits: waiting.has(piece.line) })),
    ...placed.runs.flatMap((run) => {
      const waits = run.pieces.every((piece) => waiting.has(piece.line));
      return run.segments.map((segment) => ({ ...segment, waits }));
    }),
  ].filter(({ stock }) => stock === null);
  let y = 0;
  return placed.heights.map((h, index) => {
    const own = boxes.filter((box) => atLeast(box.y, y) && shorter(box.y, y + h));
    const waits = own.length > 0 && own.every((box) => box.waits);
    const at = { index, y, h, done: done.get(index) ?? false, waits };
    y += h;
    return at;
  });
}

function describe({ placed, steps, left }: TableCloth, fold: Fold, unit: Unit): string {
  const lies = fold === 'open' ? 'open' : fold === 'once' ? 'folded once, fold toward you' : 'folded twice';
  const strips = steps.filter(({ kind }) => kind === 'strip');
  const done = strips.filter((step) => step.done).length;
  return `${placed.fabric.name} as it lies, ${lies}: ${done} of ${numberOf(strips.length, 'strip')} cut, ${formatWithUnit(left, unit)} still to cut off.`;
}
