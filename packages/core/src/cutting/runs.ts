import { joinLoss, type RunPlan, type Sheet } from '../placing/need.ts';
import { cutRun, SHOWS_INCHES } from '../strip/joins.ts';
import { fromInches, type Unit } from '../length/unit.ts';
import { type Owner } from './needs.ts';
import { lengthOnGrid } from '../length/grid.ts';
import type { JoinedPiece, PlacedRun } from './placed.ts';

/** A run as it is joined, with its pieces where joins are out of the way as far as that can be (rule BO-4). */
export function placedRun(
  run: RunPlan,
  owners: ReadonlyMap<string, Owner>,
  sheet: Sheet,
  unit: Unit,
): PlacedRun {
  const real = (units: number) => lengthOnGrid(units, unit);
  const loss = real(joinLoss(run.width, run.joins, sheet));
  const segments = [...run.segments]
    .sort((a, b) => b.w - a.w)
    .map(({ x, y, w, h, stock = null }) => ({ x: real(x), y: real(y), w: real(w), h: real(h), stock }));
  const wanted = run.pieces.map(({ key, count }) => ({ owner: owners.get(key)!, count }));
  const lengths = wanted.map(({ owner, count }) => ({ length: owner.length, count }));
  const made = { lengths: segments.map(({ w }) => w), loss };
  const cuts = cutRun(lengths, made, unit);
  const counted = new Map<number, number>();
  const pieces = cuts.pieces.map(({ of, joins }): JoinedPiece => {
    const { line, cut, name, length } = wanted[of]!.owner;
    const index = counted.get(of) ?? 0;
    counted.set(of, index + 1);
    return { line: line.id, cut: cut!, name, index, length, joins };
  });
  const shows = cuts.clear < fromInches(SHOWS_INCHES, unit);
  const longer = { ...made, lengths: [...made.lengths, real(sheet.usable)] };
  return {
    width: real(run.width),
    straight: run.joins === 'straight' || run.width > sheet.usable / 2,
    loss,
    segments,
    pieces,
    clear: cuts.clear,
    withOneMore: shows ? cutRun(lengths, longer, unit).clear : cuts.clear,
  };
}

/** Strips that are all joined for one cut. */
export interface CutStrips {
  /** As they are cut, in the order they are joined. */
  readonly cut: readonly number[];
  /** As they come to lie in the run: the last may have an end to spare. */
  readonly joined: readonly number[];
}

/** The strips of a cut that is one joined run; null where no run has it. */
export function stripsCutFor(runs: readonly PlacedRun[], cut: string): CutStrips | null {
  for (const run of runs) {
    const piece = run.pieces.find((p) => p.cut === cut);
    if (!piece) continue;
    const joined = stripsOfPiece(run, piece);
    // What shares its run with others has only a part of some strips.
    return { joined, cut: run.pieces.length === 1 ? run.segments.map(({ w }) => w) : joined };
  }
  return null;
}

/** Strips of a run one of its pieces is made of, by their length, in order. */
function stripsOfPiece({ loss }: PlacedRun, { joins, length }: JoinedPiece): number[] {
  const ends = [...joins.map((at) => at + loss / 2), length];
  return ends.map((end, i) => end - (i === 0 ? 0 : joins[i - 1]! - loss / 2));
}
