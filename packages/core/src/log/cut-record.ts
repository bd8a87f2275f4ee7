import { group } from 'd3-array';
import { lengthOnGrid } from '../length/grid.ts';
import { convertLength, type Unit } from '../length/unit.ts';
import type { LogEntry } from './entry.ts';
import type { EntryBody } from './kinds/registry.ts';
import { readPieceKey } from './leftover-key.ts';
import { mergeLogs } from './merge.ts';

/** Pieces that were cut; lengths in the unit that was asked for. */
export type PiecesMade = EntryBody['step-cut']['makes'][number];

/** Such pieces, and the unit of the plan they were cut by: rulers of two units have their marks at other places. */
export type CutPieces = PiecesMade & { readonly cutIn: Unit };

/** A piece of cloth left over, or a strip that is not cut up yet. */
interface LeftPiece {
  /** Made of the plan, the step and its place there. */
  readonly key: string;
  readonly w: number;
  readonly h: number;
}

/** What has been cut from one cloth of a quilt. */
export interface CutRecord {
  /** The plan that was begun last; null before the first cut. */
  readonly plan: (EntryBody['cutting-planned'] & { readonly id: string }) | null;
  /** Length of cloth that the plan took by which its cutting was begun first; null before the first cut. */
  readonly begunWith: number | null;
  /** Steps of that plan that are done, with the entries that say so. */
  readonly done: ReadonlyMap<string, readonly string[]>;
  /** Something was spoiled since that plan was made, so that it no longer gives enough. */
  readonly lostSince: boolean;
  /** All that was cut and is not spoiled, by any plan. */
  readonly made: readonly CutPieces[];
  /** Length of cloth that is cut off or cannot be used. */
  readonly taken: number;
  readonly left: readonly LeftPiece[];
}

type Cut = Extract<LogEntry, { kind: 'step-cut' }>;
type Lost = Extract<LogEntry, { kind: 'cut-lost' }>;

/**
 * What has been cut from a cloth, by the log. Entries in any order, and any of them more than once, give the same; a
 * step that two devices ticked was done once.
 */
export function cutRecord(log: readonly LogEntry[], quilt: string, cloth: string, unit: Unit): CutRecord {
  const own = mergeLogs(log.filter((entry) => entry.quilt === quilt));
  const undone = new Set(own.flatMap((entry) => (entry.kind === 'step-uncut' ? entry.body.entries : [])));
  const planned = own.flatMap((entry) =>
    entry.kind === 'cutting-planned' && entry.body.cloth === cloth ? [entry] : [],
  );
  const last = planned.at(-1);
  const steps = group(
    own.filter(
      (entry): entry is Cut =>
        entry.kind === 'step-cut' && entry.body.cloth === cloth && !undone.has(entry.id),
    ),
    ({ body }) => stepKey(body),
  );
  const cuts = [...steps.values()].map(([first]) => first!);
  const losses = own.filter(
    (entry): entry is Lost =>
      entry.kind === 'cut-lost' && entry.body.cloth === cloth && !undone.has(entry.id),
  );
  const counted = new Set<LogEntry>([...cuts, ...losses]);
  const happened = own.filter((entry): entry is Cut | Lost => counted.has(entry));
  const done = new Map<string, string[]>();
  if (last)
    for (const entries of steps.values())
      if (entries[0]!.body.plan === last.id)
        done.set(
          entries[0]!.body.step,
          entries.map(({ id }) => id),
        );
  return {
    plan: last ? { ...last.body, id: last.id } : null,
    begunWith: begunWith(planned[0], unit),
    done,
    lostSince: last !== undefined && losses.some((entry) => own.indexOf(entry) > own.indexOf(last)),
    made: madeIn(happened, unit),
    taken:
      cuts.reduce((sum, { body }) => sum + convertLength(body.takes, body.unit, unit), 0) +
      losses.reduce((sum, { body }) => sum + convertLength(body.length, body.unit, unit), 0),
    left: leftIn(cuts, losses, intoStash(log, quilt), unit),
  };
}

/** A plan is made on a grid of whole units; what it takes of the cloth in the unit asked for. */
const begunWith = (first: Extract<LogEntry, { kind: 'cutting-planned' }> | undefined, unit: Unit) =>
  first ? convertLength(lengthOnGrid(first.body.sheet.length, first.body.unit), first.body.unit, unit) : null;

const stepKey = ({ plan, step }: Cut['body']): string => `${plan}/${step}`;

/**
 * Pieces of one key and one size together, as things happened: what is spoiled or cut down is taken off, as far as it
 * was there then.
 */
function madeIn(happened: readonly (Cut | Lost)[], unit: Unit): CutPieces[] {
  const made = new Map<string, CutPieces>();
  const add = (pieces: PiecesMade, from: Unit, sign: 1 | -1) => {
    const [w, h] = [convertLength(pieces.w, from, unit), convertLength(pieces.h, from, unit)];
    // Which way it lay on the cloth is of no matter any more.
    const id = [pieces.key, pieces.joined, Math.min(w, h).toFixed(4), Math.max(w, h).toFixed(4)].join();
    const had = made.get(id);
    const count = Math.max(0, (had?.count ?? 0) + sign * pieces.count);
    made.set(id, { ...(had ?? { ...pieces, w, h, cutIn: from }), count });
  };
  for (const { kind, body } of happened) {
    if (kind === 'cut-lost') {
      for (const pieces of body.pieces) add(pieces, body.unit, -1);
      for (const pieces of body.instead) add(pieces, body.unit, 1);
      continue;
    }
    for (const { what, of, w, h } of body.uses.flatMap((used) => readPieceKey(used) ?? []))
      add({ key: of, name: '', w, h, count: 1, joined: what === 'joined' }, body.unit, -1);
    for (const pieces of body.makes) add(pieces, body.unit, 1);
  }
  return [...made.values()].filter(({ count }) => count > 0);
}

/** Leftovers of a quilt that went into the stash. */
const intoStash = (log: readonly LogEntry[], quilt: string): string[] =>
  log.flatMap((entry) =>
    entry.kind === 'stash-put'
      ? (entry.body.leftovers ?? []).flatMap((left) => (left.quilt === quilt ? [left.key] : []))
      : [],
  );

function leftIn(
  cuts: readonly Cut[],
  losses: readonly Lost[],
  stashed: readonly string[],
  unit: Unit,
): LeftPiece[] {
  const used = new Set([...stashed, ...cuts.flatMap(({ body }) => body.uses)]);
  const leavers = [
    ...cuts.map(({ body }) => ({ body, key: stepKey(body) })),
    ...losses.map(({ body, id }) => ({ body, key: `flaw/${id}` })),
  ];
  return leavers
    .flatMap(({ body, key }) =>
      (body.leaves ?? []).map(({ w, h }, i) => ({
        key: `${key}/${i}`,
        w: convertLength(w, body.unit, unit),
        h: convertLength(h, body.unit, unit),
      })),
    )
    .filter(({ key }) => !used.has(key));
}
