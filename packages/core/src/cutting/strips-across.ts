import { group, sum } from 'd3-array';
import { countOf, numberOf } from '../figure/figure.ts';
import { formatExact, formatWorking } from '../length/format.ts';
import { near, atLeast } from '../length/tolerance.ts';
import type { Unit } from '../length/unit.ts';
import type { ClothBox, PlacedPiece, PlacedRun, StockBox, StripsAcross } from './placed.ts';

/** What lies on a cloth, and the heights of the strips it is cut in, from its end. */
interface Lying {
  readonly heights: readonly number[];
  readonly pieces: readonly PlacedPiece[];
  readonly runs: readonly PlacedRun[];
  readonly usable: number;
  readonly unit: Unit;
}

/** The strips of a cloth, those of one width together. */
export function stripsAcross({ heights, pieces, runs, usable, unit }: Lying): StripsAcross[] {
  const strips: { width: number; count: number; from: number; to: number }[] = [];
  let y = 0;
  for (const height of heights) {
    const last = strips.at(-1);
    if (last && near(last.width, height)) last.count++;
    else strips.push({ width: height, count: 1, from: y, to: y });
    y += height;
    strips.at(-1)!.to = y;
  }
  return strips.map(({ width, count, from, to }) => {
    const within = ({ y: at, h, stock }: StockBox) =>
      stock === null && atLeast(at, from) && atLeast(to, at + h);
    const own = pieces.filter(within);
    const parts = runs
      .map((run) => ({ run, segments: run.segments.filter(within) }))
      .filter(({ segments }) => segments.length > 0);
    const working = [
      ...piecesSay(own, unit),
      ...parts.map(({ run, segments }) => runSays(run, segments, unit)),
      `Side by side across ${formatWorking(usable, unit)}: ${numberOf(count, 'strip')}`,
    ];
    return {
      width,
      strips: countOf(count, ...working),
      along: own.some((piece) => piece.h > usable),
      yields: [...yieldsOf(own), ...parts.flatMap(({ run }) => yieldsOf(run.pieces))],
    };
  });
}

function yieldsOf(pieces: readonly Pick<PlacedPiece, 'line' | 'name'>[]): StripsAcross['yields'] {
  const yields = new Map<string, { line: string; name: string; count: number }>();
  for (const { line, name } of pieces) {
    const had = yields.get(name);
    if (had) had.count++;
    else yields.set(name, { line, name, count: 1 });
  }
  return [...yields.values()];
}

function piecesSay(pieces: readonly PlacedPiece[], unit: Unit): string[] {
  const kinds = group(pieces, ({ name, w, h }) => `${name} ${w} ${h}`);
  return [...kinds.values()].map((alike) => {
    const { name, w, h } = alike[0]!;
    return `${name}: ${alike.length}, ${formatWorking(w, unit)} across by ${formatWorking(h, unit)} along`;
  });
}

/** How much joined strip a run wants, and what its strips come to once they are joined. */
function runSays(run: PlacedRun, here: readonly ClothBox[], unit: Unit): string {
  const show = (v: number) => formatWorking(v, unit);
  const lengths = new Map<number, number>();
  for (const { length } of run.pieces) lengths.set(length, (lengths.get(length) ?? 0) + 1);
  const wanted = [...lengths].map(([length, count]) => `${count} × ${show(length)}`).join(' + ');
  const total = formatExact(sum(run.pieces, ({ length }) => length));
  const { segments, loss, straight } = run;
  const made = sum(segments, ({ w }) => w) - (segments.length - 1) * loss;
  const joins = numberOf(segments.length - 1, `${straight ? 'straight' : 'diagonal'} join`);
  const others = segments.length - here.length;
  return (
    `${wanted} = ${total} of joined strip; ${stripsSay(segments, unit)} less ${joins} × ${show(loss)} = ${formatExact(made)}` +
    (others > 0 ? `, ${others} of them cut elsewhere` : '')
  );
}

function stripsSay(segments: readonly ClothBox[], unit: Unit): string {
  const lengths = new Map<number, number>();
  for (const { w } of segments) lengths.set(w, (lengths.get(w) ?? 0) + 1);
  return [...lengths]
    .map(([w, count]) => `${numberOf(count, 'strip')} × ${formatWorking(w, unit)}`)
    .join(' + ');
}
