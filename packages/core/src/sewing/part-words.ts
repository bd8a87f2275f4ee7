import { longer } from '../length/tolerance.ts';
import type { Role } from '../piece/piece.ts';
import { isOfBorder, ROLE_NAMES } from '../piece/roles.ts';
import { borderNames } from './border-words.ts';
import { isBlock } from './method.ts';
import type { PartName } from './part-name.ts';
import type { SewnPart } from './parts.ts';
import type { BlockPlace } from './places.ts';
import type { Top } from './top.ts';

/** What the words of parts are looked up in. */
interface Known {
  readonly top: Top;
  /** Blocks counted in their own row, from its left end. */
  readonly places: ReadonlyMap<number, BlockPlace>;
  /** The block a piece is told by, and on which side of it it lies. */
  readonly near: (piece: number) => { readonly row: number; readonly column: number; readonly where: string };
}

const named = (kind: string, the = `the ${kind}`): PartName => ({ the, kind });

/** Names parts of one top by what they are made of: a piece, a unit, a row, rows, the centre, the quilt. */
export function partNames(known: Known): (part: SewnPart) => PartName {
  const { top, places, near } = known;
  const roleOf = (piece: number) => top.pieces[piece]!.role;
  const ofCentre = top.pieces.filter(({ role }) => !isOfBorder(role)).length;
  const blocksIn = (by: 'row' | 'column') => {
    const counts = new Map<number, number>();
    for (const place of places.values()) counts.set(place[by], (counts.get(place[by]) ?? 0) + 1);
    return counts;
  };
  const inRows = blocksIn('row');
  const inColumns = blocksIn('column');
  const border = borderNames(top);

  return ({ pieces, hull }) => {
    const roles = pieces.map(roleOf);
    if (roles.every(isOfBorder)) return border(pieces);
    if (pieces.length === top.pieces.length) return named('top');
    if (roles.some(isOfBorder)) return named('quilt');
    if (pieces.length === ofCentre) return named('centre');
    const blocks = pieces.filter((piece) => isBlock(top, piece));
    const span = spanOf(hull);
    if (blocks.length === 0) return withoutBlocks(pieces, roles, span);
    const [first] = blocks as [number, ...number[]];
    const { row, column } = places.get(first)!;
    if (blocks.length === 1) return withOneBlock(first, row, column, pieces, roles);
    const spread = (by: 'row' | 'column') =>
      [...new Set(blocks.map((block) => places.get(block)![by]))].sort((p, q) => p - q);
    const [rows, columns] = [spread('row'), spread('column')];
    const whole = (lines: readonly number[], counts: ReadonlyMap<number, number>) =>
      lines.reduce((all, line) => all + counts.get(line)!, 0) === blocks.length;
    if (rows.length === 1) {
      if (whole(rows, inRows)) return named('row', `row ${row}`);
      return named('part of a row', `row ${row}, blocks ${columns[0]} to ${columns.at(-1)}`);
    }
    if (columns.length === 1) {
      if (whole(columns, inColumns)) return named('column', `column ${column}`);
      return named('part of a column', `column ${column}, rows ${rows[0]} to ${rows.at(-1)}`);
    }
    if (whole(rows, inRows)) return named('rows', `rows ${rows[0]} to ${rows.at(-1)}`);
    if (whole(columns, inColumns)) return named('columns', `columns ${columns[0]} to ${columns.at(-1)}`);
    return named('part', 'what is sewn so far');
  };

  function withoutBlocks(
    pieces: readonly number[],
    roles: readonly Role[],
    span: { readonly width: number; readonly height: number },
  ): PartName {
    const [first] = pieces as [number, ...number[]];
    if (pieces.length === 1) return named(ROLE_NAMES[roles[0]!].one.toLowerCase());
    const sashes = roles.filter((role) => role === 'sash').length;
    const stones = roles.filter((role) => role === 'cornerstone').length;
    if (sashes === 1 && stones > 0)
      return named(stones === 1 ? 'sash with its cornerstone' : 'sash with its cornerstones');
    if (sashes > 1 && stones === 0) return named('pieced sash');
    if (sashes > 1) {
      // A slanting line of sashes is a row too.
      const line = longer(span.height, span.width) ? 'column' : 'row';
      const { row, column, where } = near(first);
      const beside = line === 'row' ? `row ${row}` : `column ${column}`;
      return named(`sash ${line}`, `the sash ${line} ${where === 'at' ? 'of' : where} ${beside}`);
    }
    return named('part without a block');
  }

  function withOneBlock(
    block: number,
    row: number,
    column: number,
    pieces: readonly number[],
    roles: readonly Role[],
  ): PartName {
    const name = ROLE_NAMES[roleOf(block)].one.toLowerCase();
    const numbered = `${name} ${column}`;
    if (pieces.length === 1) return named(name, numbered);
    if (roles.includes('frame-triangle')) return named('framed block', `${numbered} with its triangles`);
    if (roles.includes('coping-strip')) return named('built-up block', `${numbered} with its coping strips`);
    if (roles.some((role) => role.endsWith('triangle')))
      return inRows.get(row) === 1
        ? named('row', `row ${row}`)
        : named('part of a row', `${numbered} with its triangle`);
    const sashes = roles.filter((role) => role === 'sash').length;
    return sashes > 0
      ? named('unit', `${numbered} with its ${sashes === 1 ? 'sash' : 'sashes'}`)
      : named('unit', `${numbered} with what is sewn to it`);
  }
}

function spanOf(hull: SewnPart['hull']): { width: number; height: number } {
  const spread = (values: readonly number[]) => Math.max(...values) - Math.min(...values);
  return { width: spread(hull.map(({ x }) => x)), height: spread(hull.map(({ y }) => y)) };
}
