import type { Edge } from '../edge/edge.ts';
import { formatWithUnit } from '../length/format.ts';
import { fromInches, type Unit } from '../length/unit.ts';
import type { Placed } from './place.ts';
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

/** Every strip of flange, border or sash that is joined, and how to move a join that shows. */
export function joinedStrips(
  {
    pieces,
    fabrics,
    edge: { flange },
  }: {
    readonly pieces: readonly CutLine[];
    readonly fabrics: readonly Placed[];
    readonly edge: Pick<Edge, 'flange'>;
  },
  unit: Unit,
): JoinedStrip[] {
  const ofTop = fabrics.flatMap(({ strips }) =>
    strips.flatMap(({ yields, joined }) =>
      yields.flatMap(({ line, joins, length }) => {
        const piece = pieces.find((p) => p.id === line);
        return piece && !piece.under
          ? stripsOf(piece.name, joins, length, joined?.withOneMore ?? null, unit)
          : [];
      }),
    ),
  );
  if (!flange) return ofTop;
  return [
    ...stripsOf('Flange sides', flange.joins.sides, flange.sides.value, null, unit),
    ...stripsOf('Flange top and bottom', flange.joins.ends, flange.ends.value, null, unit),
    ...ofTop,
  ];
}

function stripsOf(
  name: string,
  joins: readonly (readonly number[])[],
  length: number,
  withOneMore: number | null,
  unit: Unit,
): JoinedStrip[] {
  const near = fromInches(SHOWS_INCHES, unit);
  return joins.flatMap((at, i): JoinedStrip[] => {
    if (at.length === 0) return [];
    const clear = Math.min(...at.flatMap((join) => [join, length - join, Math.abs(join - length / 2)]));
    const more =
      withOneMore !== null && withOneMore > near
        ? `; one strip more moves it to ${formatWithUnit(withOneMore, unit)}`
        : '';
    const remedy =
      clear < near - 1e-6
        ? `A join lies ${formatWithUnit(clear, unit)} from an end or the middle: cut ${formatWithUnit(near - clear, unit)} off the first strip before joining${more}.`
        : null;
    return [
      {
        what: joins.length > 1 ? `${name}, ${NTH[i] ?? `number ${i + 1}`}` : name,
        joins: at,
        length,
        remedy,
      },
    ];
  });
}
