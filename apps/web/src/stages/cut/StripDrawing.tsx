import {
  atLeast,
  type ClothBox,
  formatWithUnit,
  type Placed,
  type TableStep,
  type Unit,
} from '@lattice/core';
import { useId, useState } from 'react';
import styled from 'styled-components';
import { inkOn } from '../../rooms/drawing/inkOn.ts';
import { useRoom } from '../../rooms/drawing/useRoom.ts';
import { Hatch, TableBoard } from './TableBoard.tsx';

const Board = styled(TableBoard)`
  text {
    text-anchor: middle;
  }
`;

const PAD = 10;

/** A strip opened out, or a piece left over: what is cut from it, piece by piece, and what is left. */
export function StripDrawing({ placed, step, unit }: { placed: Placed; step: TableStep; unit: Unit }) {
  const [board, setBoard] = useState<HTMLDivElement | null>(null);
  const room = useRoom(board);
  const hatch = useId();
  const { fabric } = placed;
  const strip = step.box;
  // What is longer along the cloth than across it is drawn lying down.
  const turned = strip.h > strip.w;
  const [wide, high] = turned ? [strip.h, strip.w] : [strip.w, strip.h];
  const scale = Math.max(0.1, Math.min((room.width - 2 * PAD) / wide, (room.height - 2 * PAD) / high));
  const left = PAD;
  const place = ({ x, y, w, h }: ClothBox) => {
    const [dx, dy] = [x - strip.x, y - strip.y];
    return turned
      ? { x: left + dy * scale, y: PAD + dx * scale, width: h * scale, height: w * scale }
      : { x: left + dx * scale, y: PAD + dy * scale, width: w * scale, height: h * scale };
  };
  const pieces = lyingIn(placed, step);
  const counted = new Map<string, number>();
  return (
    <Board ref={setBoard}>
      <svg width={room.width} height={room.height} role="img" aria-label={describe(pieces, strip, unit)}>
        <defs>
          <Hatch id={hatch} />
        </defs>
        <rect {...place(strip)} fill={fabric.colour} opacity="0.5" />
        <rect {...place(strip)} fill={`url(#${hatch})`} stroke="var(--soft)" />
        {pieces.map((piece) => {
          const at = place(piece);
          const number = (counted.get(piece.name) ?? 0) + 1;
          counted.set(piece.name, number);
          const text =
            at.width > 9 * piece.name.length + 20 && at.height > 18
              ? piece.joined
                ? `strip for ${piece.name.toLowerCase()}`
                : `${piece.name} ${number}`
              : at.width > 18 && at.height > 16
                ? String(number)
                : '';
          return (
            <g key={`${piece.x} ${piece.y}`}>
              <rect
                {...at}
                fill={fabric.colour}
                stroke={step.done ? 'var(--soft)' : 'var(--thread)'}
                strokeWidth="1.6"
              />
              {text && (
                <text
                  x={at.x + at.width / 2}
                  y={at.y + at.height / 2 + 4}
                  style={{ fill: inkOn(fabric.colour) }}
                >
                  {text}
                </text>
              )}
            </g>
          );
        })}
      </svg>
    </Board>
  );
}

interface Lying extends ClothBox {
  readonly name: string;
  readonly joined: boolean;
}

function lyingIn({ pieces, runs }: Placed, { box, stock }: TableStep): Lying[] {
  const inside = (at: ClothBox & { readonly stock: string | null }) =>
    at.stock === stock && (stock !== null || (atLeast(at.y, box.y) && atLeast(box.y + box.h, at.y + at.h)));
  return [
    ...pieces.filter(inside).map((piece) => ({ ...piece, joined: false })),
    ...runs.flatMap((run) => {
      const name = [...new Set(run.pieces.map((piece) => piece.name))].join(', ');
      return run.segments.filter(inside).map((segment) => ({ ...segment, name, joined: true }));
    }),
  ];
}

function describe(pieces: readonly Lying[], strip: ClothBox, unit: Unit): string {
  const counts = new Map<string, number>();
  for (const { name } of pieces) counts.set(name, (counts.get(name) ?? 0) + 1);
  const held = [...counts].map(([name, count]) => `${count} ${name.toLowerCase()}`).join(', ');
  return `A piece ${formatWithUnit(strip.w, unit)} across by ${formatWithUnit(strip.h, unit)} along: ${held || 'nothing'}.`;
}
