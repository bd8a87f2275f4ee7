import type { Point } from '../../geometry/point.ts';
import { rectangle } from '../../geometry/shapes.ts';
import type { Piece } from '../../piece/piece.ts';
import type { PiecedBorder } from '../border.ts';
import { turnsCorner } from './fit.ts';
import type { Patch } from './kind.ts';
import { piecedKind } from './registry.ts';

/** What a border lies round, and how many units it has along the top and along a side. */
export interface Round {
  readonly inner: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
  readonly across: number;
  readonly down: number;
}

/** One strip or corner: what its pieces are called, and where its own plane lies on the quilt's. */
interface Stretch {
  readonly name: string;
  readonly parity: number;
  readonly onQuilt: (point: Point) => Point;
}

/** The pieces of one border, a strip after the other clockwise from the top left corner (rule PB-1). */
export function piecesRound(border: PiecedBorder, round: Round): Piece[] {
  const { pieced, ends: depth } = border;
  const kind = piecedKind(pieced.kind);
  const own = `border-${border.id}`;
  const { inner, across, down } = round;
  const put = (id: string, patches: readonly Patch[], { onQuilt }: Stretch): Piece[] =>
    patches.map(({ of, outline }, i) => ({
      id: `${id}-p${i}`,
      part: `${own}-${of}`,
      outline: outline.map(onQuilt),
    }));
  const strips = stripsOf(border, round).flatMap((strip) => {
    const [count, length] = strip.name.startsWith('end') ? [across, inner.width] : [down, inner.height];
    // Drawn to the side it goes along: what is over or short is told, not drawn.
    const along = length / count;
    return Array.from({ length: count }, (_, index) => {
      const moved: Stretch = { ...strip, onQuilt: ({ x, y }) => strip.onQuilt({ x: x + index * along, y }) };
      const patches = kind.patches({ along, depth }, { index, parity: strip.parity }, pieced);
      return put(`${own}-${strip.name}-u${index}`, patches, moved);
    }).flat();
  });
  const corners = cornersOf(border, round).flatMap((corner): Piece[] =>
    turnsCorner(border)
      ? put(`${own}-corner-${corner.name}`, kind.cornerPatches(depth, corner.parity, pieced), corner)
      : [
          {
            id: `${own}-corner-${corner.name}`,
            part: `${own}-corner`,
            outline: rectangle(0, 0, depth, depth).map(corner.onQuilt),
          },
        ],
  );
  return [...strips, ...corners];
}

/** Its four strips; the checkered ground is counted through the corners, so that it runs on. */
function stripsOf(
  { ends: depth, pieced: { rows } }: PiecedBorder,
  { inner, across, down }: Round,
): Stretch[] {
  const [left, top] = [inner.x, inner.y];
  const [right, bottom] = [inner.x + inner.width, inner.y + inner.height];
  return [
    { name: 'end-top', parity: rows, onQuilt: ({ x, y }) => ({ x: left + x, y: top - depth + y }) },
    {
      name: 'side-right',
      parity: across + rows + 1,
      onQuilt: ({ x, y }) => ({ x: right + depth - y, y: top + x }),
    },
    {
      name: 'end-bottom',
      parity: across + down + rows,
      onQuilt: ({ x, y }) => ({ x: right - x, y: bottom + depth - y }),
    },
    {
      name: 'side-left',
      parity: down + rows + 1,
      onQuilt: ({ x, y }) => ({ x: left - depth + y, y: bottom - x }),
    },
  ];
}

/** Its four corners, each turned so that its outer corner is the origin. */
function cornersOf({ ends: depth }: PiecedBorder, { inner, across, down }: Round): Stretch[] {
  const [left, top] = [inner.x - depth, inner.y - depth];
  const [right, bottom] = [inner.x + inner.width + depth, inner.y + inner.height + depth];
  return [
    { name: 'top-left', parity: 0, onQuilt: ({ x, y }) => ({ x: left + x, y: top + y }) },
    { name: 'top-right', parity: across + 1, onQuilt: ({ x, y }) => ({ x: right - y, y: top + x }) },
    {
      name: 'bottom-right',
      parity: across + down,
      onQuilt: ({ x, y }) => ({ x: right - x, y: bottom - y }),
    },
    { name: 'bottom-left', parity: down + 1, onQuilt: ({ x, y }) => ({ x: left + y, y: bottom - x }) },
  ];
}
