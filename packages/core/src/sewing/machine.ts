import { near } from '../length/tolerance.ts';
import type { SewRecord } from '../log/sew-record.ts';
import type { Seam } from './seam-ledger.ts';
import type { GuideStep } from './guide-step.ts';
import type { Sewing, SewingWay } from './sewing.ts';
import { disjointSets } from './disjoint-sets.ts';
import type { SeamWords } from './words.ts';

/** One thing done at the machine or the iron, and whether it is done. */
export interface Act {
  /** Of a seam its two pieces; otherwise the step it belongs to. */
  readonly key: string;
  readonly kind: 'seam' | 'press' | 'do';
  /** Number of its step. */
  readonly step: number;
  readonly seam: number | null;
  readonly done: boolean;
}

/** The work as it stands. */
export interface AtMachine {
  readonly acts: readonly Act[];
  /** The act to do now; null when all is done. */
  readonly next: number | null;
  /** Acts done and all, by step. */
  readonly steps: readonly { readonly done: number; readonly all: number }[];
  /** Seams sewn of all there are. */
  readonly sewn: number;
  /** What was sewn and is no longer in the plan, or no longer of that length. */
  readonly noLonger: readonly string[];
}

/** The name a seam has in the log: the two pieces it begins between, whichever is taken up first. */
export const seamKey = (
  { top }: Pick<Sewing, 'top'>,
  { a, b, mitre }: Pick<Seam, 'a' | 'b' | 'mitre'>,
): string => [top.pieces[a]!.id, top.pieces[b]!.id].sort().join(' | ') + (mitre ? ' | mitre' : '');

/**
 * The acts of a quilt in their order and how far they are done, by the log. A changed plan keeps what is sewn: a seam
 * counts wherever it is still sewn and as long as it was; what no longer fits is named.
 */
export function atMachine(
  sewing: Sewing,
  way: SewingWay,
  guide: readonly GuideStep[],
  record: Pick<SewRecord, 'seams' | 'done'>,
  words: Pick<SeamWords, 'seam'>,
): AtMachine {
  const known = new Map<string, Seam>();
  const acts = guide.flatMap((step, number): Act[] => {
    const seams = step.seams.map((seam): Act => {
      const key = seamKey(sewing, way.seams[seam]!);
      known.set(key, way.seams[seam]!);
      const length = record.seams.get(key);
      const done = length !== undefined && near(length, way.seams[seam]!.length);
      return { key, kind: 'seam', step: number, seam, done };
    });
    const last: Act = {
      key: step.id,
      kind: seams.length > 0 ? 'press' : 'do',
      step: number,
      seam: null,
      done: record.done.has(step.id),
    };
    return [...seams, last];
  });
  const next = acts.findIndex(({ done }) => !done);
  return {
    acts,
    next: next < 0 ? null : next,
    steps: guide.map((_, number) => {
      const own = acts.filter(({ step }) => step === number);
      return { done: own.filter(({ done }) => done).length, all: own.length };
    }),
    sewn: acts.filter(({ kind, done }) => kind === 'seam' && done).length,
    noLonger: [...record.seams].flatMap(([key, length]) => {
      const seam = known.get(key);
      if (!seam) return ['A seam between pieces that are no longer side by side'];
      return near(length, seam.length) ? [] : [`${words.seam(seam)}: sewn at another length`];
    }),
  };
}

/**
 * The acts that are done, or taken back, with this one: of a step whose seams are sewn in one go all of them that stand as it
 * does; otherwise it alone.
 */
export const actsWith = ({ acts }: AtMachine, guide: readonly GuideStep[], act: Act): Act[] =>
  act.kind === 'seam' && guide[act.step]!.inOneGo
    ? acts.filter(({ kind, step, done }) => kind === 'seam' && step === act.step && done === act.done)
    : [act];

/** What puts the place before an act: what then counts as sewn or done, and what as not. */
export interface Placing {
  readonly sewn: readonly Act[];
  readonly ripped: readonly Act[];
}

/** The place is before this act: everything earlier is done, nothing from here on is. */
export const placedBefore = ({ acts }: AtMachine, at: number): Placing => ({
  sewn: acts.slice(0, at).filter(({ done }) => !done),
  ripped: acts.slice(at).filter(({ done }) => done),
});

/** Rows in which something is sewn in a step, in their order; for finding one's place again. */
export function rowsOf({ acts }: AtMachine, step: number, { seams }: SewingWay, words: SeamWords): number[] {
  const rows = acts.flatMap((act) =>
    act.step === step && act.seam !== null ? [words.row(seams[act.seam]!.b)] : [],
  );
  return [...new Set(rows)];
}

/**
 * The act after the one that sewed this piece on, alone or with what it was made up with, in the step nearest to where
 * the work stands; null where no seam has it.
 */
export function afterPiece(
  { acts, next }: AtMachine,
  piece: number,
  { top }: Pick<Sewing, 'top'>,
  { seams }: SewingWay,
): number | null {
  const joined = disjointSets(top.pieces.length);
  const has: { readonly act: number; readonly added: boolean }[] = [];
  acts.forEach(({ seam }, act) => {
    if (seam === null || seams[seam]!.mitre) return;
    const { a, b } = seams[seam]!;
    if (joined.same(a, piece) || joined.same(b, piece)) has.push({ act, added: joined.same(b, piece) });
    joined.join(a, b);
  });
  if (has.length === 0) return null;
  const here = next ?? acts.length;
  const nearest = has.reduce((a, b) => (Math.abs(b.act - here) < Math.abs(a.act - here) ? b : a));
  const inStep = has.filter(({ act }) => acts[act]!.step === acts[nearest.act]!.step);
  return (inStep.find(({ added }) => added) ?? inStep[0]!).act + 1;
}

/** The two assemblies a seam joins, piece by piece, just before it is sewn. */
export function sidesOf(
  { top }: Pick<Sewing, 'top'>,
  { seams, steps }: Pick<SewingWay, 'seams' | 'steps'>,
  seam: number,
): { readonly a: readonly number[]; readonly b: readonly number[] } {
  const joined = disjointSets(top.pieces.length);
  for (const { seams: own } of steps)
    for (const number of own) {
      const { a, b, mitre } = seams[number]!;
      if (number === seam) {
        // Of a mitre the two strips are told apart, not the one assembly they are of.
        const of = (piece: number) =>
          mitre ? [piece] : top.pieces.flatMap((_, i) => (joined.same(i, piece) ? [i] : []));
        return { a: of(a), b: of(b) };
      }
      if (!mitre) joined.join(a, b);
    }
  return { a: [], b: [] };
}
