import { sum } from 'd3-array';
import { numberOf } from '../figure/figure.ts';
import { formatExact, formatWorking } from '../length/format.ts';
import { cutRun, equalStrips, type Run, type RunCuts, runLength, stripsFor } from './joins.ts';
import type { Cloth, InStrips } from './strip-plan.ts';

/** Strips joined end to end, and the pieces longer than their cloth is wide that are cut from them. */
export interface JoinedRun {
  readonly run: Run;
  readonly cuts: RunCuts;
  /** The joins run straight across; otherwise on the diagonal. */
  readonly straight: boolean;
  readonly long: readonly InStrips[];
  readonly working: string;
}

/** How a run is to be joined. */
interface RunWish {
  readonly stripWidth: number;
  readonly how: 'diagonal' | 'straight';
  /** What is left over may lie between pieces, to keep joins from showing. */
  readonly gaps: boolean;
  readonly cloth: Cloth;
}

/** The run that pieces longer than their cloth is wide are cut from; there is at least one. */
export function joinedRun(
  long: readonly InStrips[],
  { stripWidth, how, gaps, cloth: { usable, seam, unit } }: RunWish,
): JoinedRun {
  const show = (v: number) => formatWorking(v, unit);
  // A strip wider than half the fabric has no length to give to a diagonal.
  const straight = how === 'straight' || stripWidth > usable / 2;
  const loss = straight ? 2 * seam : stripWidth;
  const lengths = lengthsOf(long);
  const total = sum(lengths, ({ length, count }) => length * count);
  const strips = stripsFor(total, usable, loss);
  const run = equalStrips(strips, usable, loss);
  const pieces = lengths.map(({ length, count }) => `${count} × ${show(length)}`).join(' + ');
  const joins = numberOf(strips - 1, `${straight ? 'straight' : 'diagonal'} join`);
  return {
    run,
    cuts: cutRun(lengths, run, unit, gaps),
    straight,
    long,
    working:
      `${pieces} = ${formatExact(total)} of joined strip; ${numberOf(strips, 'strip')} × ${show(usable)} ` +
      `less ${joins} × ${show(loss)} = ${formatExact(runLength(run))}`,
  };
}

const lengthsOf = (long: readonly InStrips[]) => long.map(({ along, count }) => ({ length: along, count }));

/** For each piece of a line in a run: where joins fall along it, from its start as cut. */
export const joinsAlong = ({ cuts, long }: JoinedRun, wanted: InStrips): (readonly number[])[] =>
  cuts.pieces.filter((piece) => long[piece.of] === wanted).map((piece) => piece.joins);

/** How far its nearest join could be kept from an end or a middle with one strip more. */
export const clearWithOneMore = ({ run, long }: JoinedRun, { usable, unit }: Cloth): number =>
  cutRun(lengthsOf(long), { ...run, lengths: [...run.lengths, usable] }, unit).clear;
