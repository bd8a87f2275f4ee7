import { shorter } from '../length/tolerance.ts';
import type { Cut } from '../cut/cut.ts';
import { formatWithUnit } from '../length/format.ts';
import { fromInches, type Unit } from '../length/unit.ts';
import type { Placed } from './placed.ts';
import { SHOWS_INCHES } from '../strip/joins.ts';
import type { CutLine } from '../cut/line.ts';

/** A joined strip of the top or the flange, and where its joins fall. */
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

/** Every strip of flange, border or sash that is joined, flange first, and how to move a join that shows. */
export function joinedStrips(
  {
    pieces,
    besides,
    fabrics,
  }: {
    readonly pieces: readonly CutLine[];
    readonly besides: readonly CutLine[];
    readonly fabrics: readonly Placed[];
  },
  unit: Unit,
): JoinedStrip[] {
  const flange = besides.filter(({ role }) => role === 'flange');
  return [...flange, ...pieces].flatMap((line) =>
    line.under ? [] : line.cuts.flatMap((cut) => stripsOf(cut, line.fabric, fabrics, unit)),
  );
}

/** The joined strips of one cut. */
function stripsOf(
  { id, name, count }: Cut,
  fabric: string,
  fabrics: readonly Placed[],
  unit: Unit,
): JoinedStrip[] {
  const near = fromInches(SHOWS_INCHES, unit);
  const runs = fabrics.find((placed) => placed.fabric.id === fabric)?.runs ?? [];
  return runs.flatMap(({ pieces, withOneMore }) =>
    pieces
      .filter(({ cut, joins }) => cut === id && joins.length > 0)
      .map(({ joins, length, index }): JoinedStrip => {
        const clear = Math.min(...joins.flatMap((at) => [at, length - at, Math.abs(at - length / 2)]));
        const more =
          withOneMore > near ? `; one strip more moves it to ${formatWithUnit(withOneMore, unit)}` : '';
        return {
          what: count.value > 1 ? `${name}, ${NTH[index] ?? `number ${index + 1}`}` : name,
          joins,
          length,
          remedy: shorter(clear, near)
            ? `A join lies ${formatWithUnit(clear, unit)} from an end or the middle: cut ${formatWithUnit(near - clear, unit)} off the first strip before joining${more}.`
            : null,
        };
      }),
  );
}
