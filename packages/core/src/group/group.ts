import { proposedCut } from '../block/usual-size.ts';
import { type Verdict, verdictOn } from '../block/verdict.ts';
import type { LogEntry } from '../log/entry.ts';
import { mergeLogs } from '../log/merge.ts';
import type { PileBlock, Plan } from '../plan/shape.ts';

/** Somebody who gives blocks: what was asked of them, what came back, and whether they were thanked. */
export interface Giver {
  readonly who: string;
  readonly asked: number;
  /** By when; null where nobody said. */
  readonly by: string | null;
  readonly came: readonly { readonly block: PileBlock; readonly verdict: Verdict }[];
  /** Still to come, of what was asked. */
  readonly missing: number;
  readonly thanked: boolean;
}

/** Makers' names are told apart without regard to capitals and spaces around them. */
export const giverKey = (who: string): string => who.trim().toLowerCase();

/**
 * Everyone who gave blocks or was asked for some, by name: from the pile, which knows who made what, and the log, which
 * knows what was asked and who was thanked. Entries in any order, and any of them more than once, give the same.
 */
export function giversOf(plan: Plan, log: readonly LogEntry[], id: string): Giver[] {
  const cut = proposedCut(plan);
  const givers = new Map<string, Giver>();
  const of = (who: string): Giver =>
    givers.get(giverKey(who)) ?? {
      who: who.trim(),
      asked: 0,
      by: null,
      came: [],
      missing: 0,
      thanked: false,
    };
  for (const block of plan.pile) {
    if (!block.maker?.trim()) continue;
    const giver = of(block.maker);
    const verdict = verdictOn(block, cut, plan.unit, plan.seam);
    givers.set(giverKey(giver.who), { ...giver, came: [...giver.came, { block, verdict }] });
  }
  for (const entry of mergeLogs(log.filter((one) => one.quilt === id))) {
    if (entry.kind === 'blocks-asked') {
      const { who, count, by } = entry.body;
      givers.set(giverKey(who), { ...of(who), asked: count, by });
    } else if (entry.kind === 'maker-thanked') {
      const { who, thanked } = entry.body;
      givers.set(giverKey(who), { ...of(who), thanked });
    }
  }
  return [...givers.values()]
    .filter(({ asked, came }) => asked > 0 || came.length > 0)
    .map((giver) => ({ ...giver, missing: Math.max(0, giver.asked - giver.came.length) }))
    .sort((a, b) => a.who.localeCompare(b.who));
}

/** Rows shared out among tables, so many to each that no table has more than one row more than another; rows stay in order. */
export function rowsByTable(rows: number, tables: number): number[][] {
  const each = Math.floor(rows / tables);
  const more = rows % tables;
  let next = 0;
  return Array.from({ length: tables }, (_, i) =>
    Array.from({ length: each + (i < more ? 1 : 0) }, () => next++),
  ).filter((own) => own.length > 0);
}
