import { formatWithUnit } from '../length/format.ts';
import { fromInches, type Unit } from '../length/unit.ts';
import type { FabricCut } from './fabric-cuts.ts';
import { SHOWS_INCHES } from './joins.ts';
import type { CutPiece } from './pieces.ts';

/** A joined strip of the top, and where its joins fall. */
export interface JoinedStrip {
  /** "Border 2 sides, first". */
  readonly what: string;
  /** From its start as cut. */
  readonly joins: readonly number[];
  readonly length: number;
  /** How to keep a join from a corner or the middle, where one lies too near. */
  readonly remedy: string | null;
}

const NTH = ['first', 'second', 'third', 'fourth'];

/** Every border or sash strip that is joined, and how to move a join that shows. */
export function joinedStrips(pieces: readonly CutPiece[], fabrics: readonly FabricCut[], unit: Unit): JoinedStrip[] {
  const near = fromInches(SHOWS_INCHES, unit);
  return fabrics.flatMap(({ strips }) => strips.flatMap(({ yields, joined }) => yields.flatMap(({ key, joins, length, count }) => {
    const piece = pieces.find((p) => p.key === key);
    if (!piece || piece.under) return [];
    return joins.flatMap((at, i): JoinedStrip[] => {
      if (at.length === 0) return [];
      const clear = Math.min(...at.flatMap((join) => [join, length - join, Math.abs(join - length / 2)]));
      const more = joined && joined.withOneMore > near ? `; one strip more moves it to ${formatWithUnit(joined.withOneMore, unit)}` : '';
      const remedy = clear < near - 1e-6 ? `A join lies ${formatWithUnit(clear, unit)} from an end or the middle: cut ${formatWithUnit(near - clear, unit)} off the first strip before joining${more}.` : null;
      return [{ what: count > 1 ? `${piece.name}, ${NTH[i] ?? `number ${i + 1}`}` : piece.name, joins: at, length, remedy }];
    });
  })));
}
