import { z } from 'zod';
import { type Figure, countOf, lengthOf, numberOf } from '../figure/figure.ts';
import { type Band, type Piece } from '../piece/piece.ts';
import type { Point } from '../geometry/point.ts';
import { diamond } from '../geometry/shapes.ts';
import { formatExact, formatWorking } from '../length/format.ts';
import {
  type EdgeGeometry,
  edgePieces,
  edgeTriangleParts,
  floatField,
  floatTape,
  sideTriangles,
  triangleOptions,
  triangleRuleField,
} from './edge-triangles.ts';
import type { Unit } from '../length/unit.ts';
import { USUAL } from '../usual/lengths.ts';
import { sensibleFloat, sensibleSash, squareBlocksOnly } from './refusals.ts';
import type { Grid, Setting, SettingPart } from './setting.ts';
import { slanting } from './slanting.ts';

const options = z.strictObject({
  kind: z.literal('on-point-sashed'),
  sash: z.number('The sash width is missing.'),
  /** The nested places are plain squares of cloth instead of blocks. */
  plainBetween: z.boolean('Say whether the nested places are plain: true or false.'),
  /** The outermost cornerstones stand whole inside the edge, or the edge halves them. */
  edgeStones: z.enum(['whole', 'halved'], 'Edge cornerstones are "whole" or "halved".'),
  ...triangleOptions,
});

type OnPointSashedOptions = z.infer<typeof options>;

const nested = ({ across: n, down: m }: Grid): number => (n - 1) * (m - 1);
const allStones = ({ across: n, down: m }: Grid): number => n * (m + 1) + m * (n + 1);
const edgeStonesIn = ({ across: n, down: m }: Grid): number => 2 * n + 2 * m;

/** How far the edge lies outside the cornerstones' points: through their middles when it halves them. */
const edgeAt = ({ edgeStones, sash, float }: OnPointSashedOptions): number =>
  edgeStones === 'halved' ? -(sash * Math.SQRT2) / 2 : float;

/**
 * Square blocks on point with a sash along every side of every block and a cornerstone at every
 * crossing (rule ST-6). With the outermost cornerstones whole at the edge the width is
 * `(n f + (n+1) s)√2`, and a float can be added; where the edge halves them it is `n (f + s)√2`.
 */
export const onPointSashed: Setting<'on-point-sashed', OnPointSashedOptions, typeof options> = {
  kind: 'on-point-sashed',
  name: 'On point, sashed',
  describes: 'Blocks on a corner, sashes and cornerstones round every one.',
  gridMeans: { across: 'blocks across the top row', down: 'blocks down the first column' },
  options,
  // Where the edge halves the cornerstones nothing floats inside it.
  lengths: ({ edgeStones, sash, float }) => (edgeStones === 'whole' ? { sash, float } : { sash }),
  withLengths: (chosen, { sash = chosen.sash, float = chosen.float }) => ({ ...chosen, sash, float }),
  besides: ({ plainBetween }, { across, down }) =>
    plainBetween && across > 1 && down > 1 ? 'plain ones between' : null,
  onPoint: true,
  atCounter: (start, { sash }) => ({ ...start, sash }),
  start: (unit) => ({
    kind: 'on-point-sashed',
    sash: USUAL.sash[unit],
    plainBetween: false,
    edgeStones: 'whole',
    float: 0,
    triangles: 'trade',
  }),
  fields: [
    { key: 'sash', label: 'Sash, finished', type: 'length' },
    { key: 'plainBetween', label: 'Plain blocks between', type: 'switch', sizes: true },
    {
      key: 'edgeStones',
      label: 'Edge cornerstones',
      type: 'choice',
      sizes: true,
      choices: [
        { value: 'whole', label: 'Whole' },
        { value: 'halved', label: 'Halved by the edge' },
      ],
    },
    { ...floatField, when: { key: 'edgeStones', is: 'whole' } },
    triangleRuleField,
  ],
  blocksNeeded: (grid, { plainBetween }) => {
    const { across: n, down: m } = grid;
    const all = n * m + nested(grid);
    return plainBetween
      ? countOf(n * m, `${n} × ${m} = ${n * m}`)
      : countOf(
          all,
          `${n} × ${m} = ${n * m}, and ${n - 1} × ${m - 1} = ${nested(grid)} nested between: ${all}`,
        );
  },
  extent: (_, count, size, options) =>
    (count * size + (count + 1) * options.sash) * Math.SQRT2 + 2 * edgeAt(options),
  pieceCount: (grid) => {
    const { across: n, down: m } = grid;
    return n * m + nested(grid) + 4 * n * m + allStones(grid) + sideTriangles(grid) + 4;
  },
  refusals: ({ unit, block, options: { sash, float } }) => [
    ...squareBlocksOnly(block, unit),
    ...sensibleSash(sash, 1, block, unit),
    ...sensibleFloat(float, block, unit),
  ],

  layOut: ({ unit, block, grid, options: chosen, origin }) => {
    const { across, down } = grid;
    const lattice = latticeOf(block.width, chosen, origin);
    const { stone, step, float } = lattice;
    const edge: EdgeGeometry = { lead: step + stone, pitch: 2 * step, float };
    return {
      width: sizeOf(across, block.width, chosen, lattice, unit),
      height: sizeOf(down, block.width, chosen, lattice, unit),
      parts: parts(grid, chosen, edge),
      pieces: [
        ...blockPieces(grid, chosen, lattice),
        ...stonePieces(grid, chosen, lattice),
        ...sashPieces(grid, lattice),
        ...edgePieces(grid, edge, { x: origin.x + float, y: origin.y + float }),
      ],
      bands: { across: tapeOf(across, origin.x, lattice), down: tapeOf(down, origin.y, lattice) },
    };
  },
};

/**
 * The lattice everything lies on: sashes cross wherever column and row of it add up to an odd number, blocks and
 * plain blocks lie where they add up to an even one. Lengths in the plan's unit.
 */
interface Lattice {
  /** Half diagonals of a block and of a cornerstone, and the two together: the step from one crossing to the next. */
  readonly half: number;
  readonly stone: number;
  readonly step: number;
  /** How far the edge lies outside the cornerstones' points. */
  readonly float: number;
  /** A point of the lattice, moved by so much. */
  readonly at: (column: number, row: number, right?: number, down?: number) => Point;
}

function latticeOf(block: number, chosen: OnPointSashedOptions, origin: Point): Lattice {
  const half = (block * Math.SQRT2) / 2;
  const stone = (chosen.sash * Math.SQRT2) / 2;
  const step = half + stone;
  const float = edgeAt(chosen);
  // The outermost crossings lie a cornerstone's half diagonal inside the edge.
  const first = { x: origin.x + stone + float, y: origin.y + stone + float };
  const at = (column: number, row: number, right = 0, down = 0): Point => ({
    x: first.x + column * step + right,
    y: first.y + row * step + down,
  });
  return { half, stone, step, float, at };
}

/** Blocks on the odd rows of the lattice; on the even ones, nested between, more blocks or plain ones. */
function blockPieces(
  { across, down }: Grid,
  { plainBetween }: OnPointSashedOptions,
  { at, half }: Lattice,
): Piece[] {
  const pieces: Piece[] = [];
  let place = 0;
  for (let row = 1; row < 2 * down; row++) {
    const nestedRow = row % 2 === 0;
    for (let column = nestedRow ? 2 : 1; column < 2 * across; column += 2) {
      const middle = at(column, row);
      const outline = diamond(middle.x, middle.y, half);
      if (nestedRow && plainBetween) {
        pieces.push({ id: `plain-${row}-${column}`, part: 'plain', outline });
        continue;
      }
      const spot = plainBetween ? { column: (column - 1) / 2, row: (row - 1) / 2 } : slanting(column, row);
      pieces.push({ id: `block-${row}-${column}`, part: 'block', outline, place: place++, spot });
    }
  }
  return pieces;
}

/** A cornerstone at every crossing; one that the edge halves loses the corner outside it. */
function stonePieces(
  { across, down }: Grid,
  { edgeStones }: OnPointSashedOptions,
  { at, stone }: Lattice,
): Piece[] {
  const pieces: Piece[] = [];
  for (let row = 0; row <= 2 * down; row++) {
    for (let column = row % 2 === 0 ? 1 : 0; column <= 2 * across; column += 2) {
      const middle = at(column, row);
      const whole = diamond(middle.x, middle.y, stone);
      const id = `cornerstone-${row}-${column}`;
      // The corner an edge cuts away: the top one at the top edge, and so round.
      const edges = [row === 0, column === 2 * across, row === 2 * down, column === 0];
      const lost = edgeStones === 'halved' ? edges.indexOf(true) : -1;
      if (lost < 0) pieces.push({ id, part: 'cornerstone', outline: whole });
      else pieces.push({ id, part: 'edge-cornerstone', outline: whole.filter((_, i) => i !== lost) });
    }
  }
  return pieces;
}

/** Sashes from each crossing to the two below it, falling (\) to the right and rising (/) from the left. */
function sashPieces({ across, down }: Grid, { at, stone }: Lattice): Piece[] {
  const isCrossing = (column: number, row: number) =>
    (column + row) % 2 === 1 && column >= 0 && column <= 2 * across && row >= 0 && row <= 2 * down;
  const pieces: Piece[] = [];
  for (let row = 0; row < 2 * down; row++) {
    for (let column = 0; column <= 2 * across; column++) {
      if (!isCrossing(column, row)) continue;
      if (isCrossing(column + 1, row + 1)) {
        const outline = [
          at(column, row, stone),
          at(column + 1, row + 1, 0, -stone),
          at(column + 1, row + 1, -stone),
          at(column, row, 0, stone),
        ];
        pieces.push({ id: `falling-${row}-${column}`, part: 'falling', outline });
      }
      if (isCrossing(column - 1, row + 1)) {
        const outline = [
          at(column, row, 0, stone),
          at(column - 1, row + 1, stone),
          at(column - 1, row + 1, 0, -stone),
          at(column, row, -stone),
        ];
        pieces.push({ id: `rising-${row}-${column}`, part: 'rising', outline });
      }
    }
  }
  return pieces;
}

/** Finished size of so many blocks along one direction (rule ST-6). */
function sizeOf(
  count: number,
  block: number,
  { sash, edgeStones }: OnPointSashedOptions,
  { step, float }: Lattice,
  unit: Unit,
): Figure {
  const show = (v: number) => formatWorking(v, unit);
  if (edgeStones === 'halved') {
    const value = count * 2 * step;
    return lengthOf(
      value,
      `${count} × (block ${show(block)} + sash ${show(sash)}) × √2 = ${formatExact(value)}`,
    );
  }
  const points = (count * block + (count + 1) * sash) * Math.SQRT2;
  const value = points + 2 * float;
  const sashes = `${numberOf(count + 1, 'sash', 'sashes')} × ${show(sash)}`;
  return lengthOf(
    value,
    `(${numberOf(count, 'block')} × ${show(block)} + ${sashes}) × √2 = ${formatExact(points)}`,
    ...(float > 0 ? [`+ 2 × ${show(float)} float = ${formatExact(value)}`] : []),
  );
}

/** The tape along one direction: a cornerstone at each crossing, a block between each two. */
function tapeOf(count: number, start: number, { stone, step, float }: Lattice): Band[] {
  const end = start + count * 2 * step + 2 * (stone + float);
  const stones = Array.from({ length: count + 1 }, (_, i): Band => {
    const middle = start + float + stone + i * 2 * step;
    return {
      role: 'cornerstone',
      part: 'cornerstone',
      from: Math.max(start, middle - stone),
      to: Math.min(end, middle + stone),
    };
  });
  const blocks = stones
    .slice(0, -1)
    .map(({ to }, i): Band => ({ role: 'block', part: 'block', from: to, to: stones[i + 1]!.from }));
  const tape = stones.flatMap((band, i) => (blocks[i] ? [band, blocks[i]] : [band]));
  return floatTape(tape, float, start);
}

function parts(grid: Grid, chosen: OnPointSashedOptions, edge: EdgeGeometry): SettingPart[] {
  const { across: n, down: m } = grid;
  const { sash, plainBetween, edgeStones, triangles } = chosen;
  const all = allStones(grid);
  const halved = edgeStones === 'halved' ? edgeStonesIn(grid) : 0;
  const sashPart = (key: string, name: string): SettingPart => ({
    key,
    role: 'sash',
    name,
    grain: 'diagonal',
    count: countOf(2 * n * m, `${name}: 2 × ${n} × ${m} = ${2 * n * m}`),
  });
  const stones = `${n} × (${m} + 1) + ${m} × (${n} + 1) = ${all}`;
  const found: SettingPart[] = [
    {
      key: 'block',
      role: 'block',
      name: 'Blocks',
      grain: 'diagonal',
      count: onPointSashed.blocksNeeded(grid, chosen),
    },
  ];
  if (plainBetween && nested(grid) > 0) {
    found.push({
      key: 'plain',
      role: 'plain-block',
      name: 'Plain blocks',
      grain: 'diagonal',
      count: countOf(nested(grid), `${n - 1} × ${m - 1} nested between = ${nested(grid)}`),
    });
  }
  found.push(sashPart('falling', 'Falling sashes'), sashPart('rising', 'Rising sashes'));
  if (all > halved) {
    found.push({
      key: 'cornerstone',
      role: 'cornerstone',
      name: 'Cornerstones',
      grain: 'diagonal',
      count: countOf(
        all - halved,
        stones,
        ...(halved > 0 ? [`less ${halved} that the edge halves: ${all - halved}`] : []),
      ),
    });
  }
  if (halved > 0) {
    found.push({
      key: 'edge-cornerstone',
      role: 'cornerstone',
      name: 'Edge cornerstones',
      grain: 'diagonal',
      cutAs: { shape: 'rectangle', width: { finished: sash }, length: { finished: sash } },
      count: countOf(halved, `2 × ${n} + 2 × ${m} along the edges = ${halved}`),
      notes: [
        'Edge cornerstones are sewn in whole; the edge is trimmed a seam allowance outside their middles, which halves them.',
      ],
    });
  }
  return [...found, ...edgeTriangleParts(grid, edge, triangles)];
}
