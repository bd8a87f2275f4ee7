import { type Assembly, type SeamLedger, NotSewable } from './seam-ledger.ts';
import { LEVEL } from './grid.ts';
import { type Centre, isBlock, withRole } from './method.ts';
import { ACROSS, sewByHeight, slabs, someOf, splitAtStraightSeams, type Tree } from './tree.ts';
import type { Top } from './top.ts';

/** A block with what is sewn to it: its left sash, what lies below both; at the far edges what lies right and above. */
interface Unit {
  readonly block: number;
  readonly left: number[];
  readonly below: number[];
  readonly right: number[];
  readonly above: number[];
}

/**
 * Makes up every block with its sashes and cornerstones, so that the units join like plain blocks: left sash, then the
 * sash with its cornerstone below; the last column its right side too, the top row its top (rule SW-2, common practice).
 *
 * `lastFirst`: the first of a row has no sash of its own, so a row is sewn from its other end.
 *
 * @throws NotSewable where sashes do not end at cornerstones
 */
export function sewUnits(
  bench: SeamLedger,
  { top, pieces }: Centre,
): { readonly grid: Assembly[][]; readonly lastFirst: boolean } {
  const grid = unitsOf(top, pieces);
  const units = grid.flat();
  if (units.length < 2) throw new NotSewable('One block is no more than itself.');
  const whole = (part: number[]): Tree[] =>
    part.length === 0 ? [] : [splitAtStraightSeams(top, part, [ACROSS.columns, ACROSS.rows])];
  // A side is sewn of what lies along it, whichever way that is.
  const side = (part: number[]): Tree[] =>
    part.length === 0 ? [] : [splitAtStraightSeams(top, part, LEVEL)];
  const prepared = units.map((unit) => ({
    block: unit.block,
    left: side(unit.left),
    below: whole(unit.below),
    right: side(unit.right),
    above: whole(unit.above),
  }));
  const strips = prepared.flatMap(({ left, below, right, above }) => [...left, ...below, ...right, ...above]);
  sewByHeight(bench, strips, (height) =>
    bench.step(`strips-${height}`, height === 1 ? 'Sew cornerstones to their sashes' : 'Make up the sashes'),
  );
  const on = (id: string, title: string, which: 'left' | 'below' | 'right' | 'above') => {
    bench.step(id, title);
    for (const unit of prepared) for (const tree of unit[which]) bench.join(unit.block, someOf(tree));
  };
  on('left', 'Sew its left sash to every block', 'left');
  on('below', 'Sew the sash with its cornerstone below every block', 'below');
  on('right', 'Give the last column its right side', 'right');
  on('above', 'Give the top row its top', 'above');
  const [first, second] = grid[0]!;
  return {
    grid: grid.map((row) => row.map(({ block }) => block)),
    lastFirst: first!.left.length === 0 && (second?.left.length ?? 0) > 0,
  };
}

function unitsOf(top: Top, pieces: readonly number[]): Unit[][] {
  if (withRole(top, pieces, 'cornerstone').length === 0)
    throw new NotSewable('Without cornerstones sashes run past several blocks.');
  const blocks = pieces.filter((piece) => isBlock(top, piece));
  const rows = slabs(top, blocks, ACROSS.rows);
  const columns = slabs(top, blocks, ACROSS.columns);
  const at = new Map<string, number>();
  const indexIn = (groups: number[][]) =>
    new Map(groups.flatMap((group, i) => group.map((piece) => [piece, i])));
  const [rowOf, columnOf] = [indexIn(rows), indexIn(columns)];
  for (const block of blocks) at.set(`${rowOf.get(block)!} ${columnOf.get(block)!}`, block);
  if (at.size !== blocks.length || blocks.length !== rows.length * columns.length)
    throw new NotSewable('The blocks do not lie in one grid.');
  const boxes = new Map(blocks.map((block) => [block, boxOf(top, block)]));
  const grid = rows.map((_, r) =>
    columns.map((__, c): Unit => ({
      block: at.get(`${r} ${c}`)!,
      ...{ left: [], below: [], right: [], above: [] },
    })),
  );
  for (const piece of pieces) {
    if (isBlock(top, piece)) continue;
    const { x, y } = top.pieces[piece]!.middle;
    // Left of a block and below it belongs to it; beyond the last column and above the first row, to those.
    const c = columns.findIndex((column) => x < boxes.get(column[0]!)!.right);
    const r = rows.findLastIndex((row) => y > boxes.get(row[0]!)!.top);
    const unit = grid[Math.max(0, r)]![c < 0 ? columns.length - 1 : c]!;
    const box = boxes.get(unit.block)!;
    if (y < box.top) unit.above.push(piece);
    else if (x > box.right) unit.right.push(piece);
    else if (y > box.bottom) unit.below.push(piece);
    else unit.left.push(piece);
  }
  return grid;
}

function boxOf(top: Top, piece: number) {
  const { outline } = top.pieces[piece]!;
  const [xs, ys] = [outline.map((p) => p.x), outline.map((p) => p.y)];
  return { top: Math.min(...ys), bottom: Math.max(...ys), right: Math.max(...xs) };
}
