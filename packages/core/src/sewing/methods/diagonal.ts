import { type SeamLedger, NotSewable } from '../seam-ledger.ts';
import { type SewingMethod, withRole } from '../method.ts';
import {
  ACROSS,
  heightOf,
  inRow,
  sewByHeight,
  slabs,
  someOf,
  splitAtStraightSeams,
  type Tree,
} from '../tree.ts';
import type { Top } from '../top.ts';

const SLANTING = [ACROSS.falling, ACROSS.rising] as const;
/** On point: slanting rows with their triangles, joined from the middle outwards; the four corners last (rule SW-1). */
export const diagonal: SewingMethod = {
  id: 'diagonal',
  name: 'In slanting rows',
  says: 'Triangles to the ends of slanting rows, rows from the middle outwards, the four corners last.',
  sewCentre(bench, { top, pieces }) {
    const corners = withRole(top, pieces, 'corner-triangle');
    if (corners.length !== 4) throw new NotSewable('Nothing stands on point here.');
    const inner = pieces.filter((piece) => !corners.includes(piece));
    const rows = slabs(top, inner, ACROSS.rising).map((row) => slantingRow(top, row));
    const highest = Math.max(...rows.map(heightOf));
    sewByHeight(bench, rows, (height) =>
      bench.step(
        `rows-${height}`,
        height === highest
          ? 'Sew the slanting rows, triangles at their ends'
          : height === 1
            ? 'Sew blocks and sashes into slanting rows'
            : 'Join sash rows to their block rows',
      ),
    );
    bench.step('join-rows', 'Join the rows, from the middle outwards');
    const sewn = fromMiddle(bench, rows.map(someOf));
    bench.step('corners', 'Sew the four corners on');
    // A float is shared out between them so that two opposite ones come before the other two.
    const [topLeft, topRight, bottomRight, bottomLeft] = corners as [number, number, number, number];
    for (const corner of [topLeft, bottomRight, topRight, bottomLeft]) bench.join(sewn, corner);
  },
};

/** Where a triangle spans a block row and its sash row, these are joined first and the triangles go on after. */
function slantingRow(top: Top, row: readonly number[]): Tree {
  const triangles = withRole(top, row, 'side-triangle');
  const core = row.filter((piece) => !triangles.includes(piece));
  const coreRows = slabs(top, core, ACROSS.rising);
  if (coreRows.length < 2) return splitAtStraightSeams(top, row, SLANTING);
  const middle = inRow(coreRows.map((one) => splitAtStraightSeams(top, one, SLANTING)));
  const { x, y } = ACROSS.falling;
  const place = (piece: number) => {
    const at = top.pieces[piece]!.middle;
    return at.x * x + at.y * y;
  };
  const centre = core.reduce((sum, piece) => sum + place(piece), 0) / core.length;
  const before = triangles.filter((piece) => place(piece) < centre);
  const after = triangles.filter((piece) => place(piece) >= centre);
  if (coreRows.length > 2 || before.length > 1 || after.length > 1) return cutAcross(top, row);
  return inRow([...before.map((piece) => ({ piece })), middle, ...after.map((piece) => ({ piece }))]);
}

/**
 * Between whole cornerstones at the edge a triangle spans a block row and the sash row on one side of it: at the ends
 * of a long row not the same one, so that its rows lock into one another. Parted across first, its left half and its
 * right half come apart into rows each by itself.
 */
function cutAcross(top: Top, row: readonly number[]): Tree {
  try {
    return splitAtStraightSeams(top, row, SLANTING);
  } catch (error) {
    throw error instanceof NotSewable ? new NotSewable(LOCKED) : error;
  }
}

const LOCKED =
  'The slanting rows lock into one another at the edge, so that no straight seam goes between them: let the edge halve its cornerstones.';

function fromMiddle(bench: SeamLedger, rows: readonly number[]): number {
  const middle = Math.floor((rows.length - 1) / 2);
  let sewn = rows[middle]!;
  for (let out = 1; out <= rows.length; out++)
    for (const at of [middle + out, middle - out])
      if (rows[at] !== undefined) sewn = bench.join(sewn, rows[at]);
  return sewn;
}
