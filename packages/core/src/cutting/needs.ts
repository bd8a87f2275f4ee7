import type { CutLine } from '../cut/line.ts';
import { unitsDown, unitsUp } from '../length/grid.ts';
import { atLeast } from '../length/tolerance.ts';
import { type Need, type Sheet } from '../placing/need.ts';
import type { Cloth } from '../strip/strip-plan.ts';

/** Whose a need is: the line of the cutting list, and the cut where it is one cut's alone. */
export interface Owner {
  readonly line: CutLine;
  /** Null for squares that triangles of several cuts come from. */
  readonly cut: string | null;
  readonly name: string;
  /** Pieces as cut, in the plan's unit. */
  readonly width: number;
  readonly length: number;
}

/** What a cutting list wants of one cloth. */
export interface Wants {
  readonly needs: readonly Need[];
  readonly owners: ReadonlyMap<string, Owner>;
  /** What the cloth cannot hold, and which of its measures that is. */
  readonly tooWide: readonly {
    readonly owner: Owner;
    readonly measure: 'width' | 'length';
    readonly count: number;
  }[];
}

/** The sheet a cloth is for the search. */
export const sheetOf = ({ usable, seam, unit }: Cloth): Sheet => ({
  usable: unitsDown(usable, unit),
  seam: unitsUp(seam, unit),
});

/**
 * What lines of a cutting list want of their cloth, as rectangles (rules CU-1 to CU-3). A piece that may not be
 * joined and is longer than the cloth is wide is cut along the selvage; so is one whose print has to run along it.
 *
 * @param roundOf the round of cutting a line belongs to: 0 now, later what waits until something is measured
 */
export function wantsOf(
  lines: readonly CutLine[],
  cloth: Cloth,
  roundOf: (line: CutLine) => number = () => 0,
): Wants {
  const needs: Need[] = [];
  const owners = new Map<string, Owner>();
  const tooWide: Wants['tooWide'][number][] = [];
  for (const line of lines)
    for (const { owner, count, run } of ownersIn(line)) {
      const held = holds(line, owner, cloth, run);
      if (held) {
        tooWide.push({ owner, measure: held, count });
        continue;
      }
      const round = roundOf(line);
      const need = { ...needOf(line, owner, count, cloth, run), ...(round > 0 && { round }) };
      owners.set(need.key, owner);
      needs.push(need);
    }
  return { needs, owners, tooWide };
}

/** What one cut asks for; `run` where its strips are all joined. */
interface Asked {
  readonly owner: Owner;
  readonly count: number;
  readonly run: number | null;
}

/** The sizes a cutting list has its pieces cut to, by the key of each need. */
export const sizesWanted = (
  lines: readonly CutLine[],
): ReadonlyMap<string, Pick<Owner, 'width' | 'length'>> =>
  new Map(lines.flatMap((line) => ownersIn(line).map(({ owner }) => [owner.cut ?? line.id, owner] as const)));

function ownersIn(line: CutLine): Asked[] {
  const { cut: size } = line;
  if (size.shape !== 'rectangle') {
    const side = size.side.value;
    const name = `Squares for ${line.name.toLowerCase()}`;
    return [
      {
        owner: { line, cut: null, name, width: side, length: side },
        count: line.squares!.count.value,
        run: null,
      },
    ];
  }
  return line.cuts.flatMap(({ id, count, run }): Asked[] => {
    if (count.value === 0) return [];
    const owner = { line, cut: id, name: line.name, width: size.width.value, length: size.length.value };
    // Strips that are all joined are one long piece.
    return run === null
      ? [{ owner, count: count.value, run }]
      : [{ owner: { ...owner, length: run }, count: 1, run }];
  });
}

/** What keeps a piece from its cloth; null where nothing does. */
function holds(
  { oneWay, joins }: CutLine,
  { width, length }: Owner,
  { usable }: Cloth,
  run: number | null,
): 'width' | 'length' | null {
  if (!atLeast(usable, width)) return 'width';
  const never = run === null && joins === 'never';
  return oneWay === 'across' && never && !atLeast(usable, length) ? 'length' : null;
}

function needOf(
  { id, grain, joins, oneWay }: CutLine,
  { cut, width, length }: Owner,
  count: number,
  { usable, unit }: Cloth,
  run: number | null,
): Need {
  const across = unitsDown(usable, unit);
  // As wide as the cloth is as wide as the cloth, whatever the last bit says.
  const units = (size: number) =>
    atLeast(usable, size) ? Math.min(across, unitsUp(size, unit)) : unitsUp(size, unit);
  const long = !atLeast(usable, length);
  const along =
    grain === 'lengthwise' || (long && ((run === null && joins === 'never') || oneWay === 'along'));
  return {
    key: cut ?? id,
    width: units(width),
    length: units(length),
    count,
    lengthwise: along,
    joins: joins === 'never' ? 'diagonal' : joins,
    ...(oneWay && !along && { oneWay }),
  };
}

/** What a quilt wants of a cloth, as a text that is the same as long as it wants the same; when it is cut is of no matter. */
export const wantsKey = (needs: readonly Need[], sheet: Sheet): string =>
  JSON.stringify([needs.map(({ round: _, ...need }) => need), sheet]);
