import { type Stage, STAGES } from '../choice/stages.ts';
import { judgePile, type Pile } from '../pile/pile.ts';
import { isMeasured, isMeasuredBothWays } from '../border/sizes.ts';
import { measuredBacking } from '../layer/made.ts';
import type { Plan } from '../plan/shape.ts';
import { settingOf } from '../setting/registry.ts';

/** How far a quilt has come. */
export interface Headway {
  /** Done with, as far as the plan can know. */
  readonly settled: ReadonlySet<Stage>;
  /** Where the work stands: the stage after the last that is settled. */
  readonly at: Stage;
}

/** What a stage says that has nothing to do for this quilt; null where it has. */
export function stepsAside({ setting, borders }: Plan, stage: Stage): string | null {
  // A border that is there all the same can be looked at, and taken off.
  if (stage === 'borders' && borders.length > 0) return null;
  return settingOf(setting.kind).nothingAt?.[stage] ?? null;
}

/**
 * How far a quilt has come, from what was decided and measured. A later stage does not wait for an earlier
 * one: whoever never measures a block still gets to the borders. Nothing in a plan says that an edge is on.
 *
 * @param booked its quilting is booked: the log knows
 * @param cut every cloth of it is cut: the log knows
 * @param sewn every seam of its top is sewn: the log knows
 * @param judged the plan's pile, where it has been judged already
 */
export function progressOf(
  plan: Plan,
  {
    booked,
    cut = false,
    sewn: topSewn = false,
    judged = judgePile(plan, settingOf(plan.setting.kind).blocksNeeded(plan.grid, plan.setting).value),
  }: { readonly booked: boolean; readonly cut?: boolean; readonly sewn?: boolean; readonly judged?: Pile },
): Headway {
  const { pile, measured, borders, backing, wall } = plan;
  const { needed } = judged;
  const open = [...judged.small, ...judged.large, ...judged.crooked].filter((block) => !block.settled);
  const { trimmed = false } = settingOf(plan.setting.kind);
  const sewn = trimmed || measured.some(isMeasured);
  const laid = wall.length >= needed && wall.slice(0, needed).every((place) => place.block !== null);
  const done: Readonly<Record<Stage, boolean>> = {
    blocks: pile.length > 0 && judged.measured === pile.length && open.length === 0,
    // Whoever lays blocks out has chosen what for; they may be moved until they are sewn.
    setting: laid || sewn,
    wall: sewn,
    borders: measured.some((m) => m.borders >= borders.length && isMeasuredBothWays(m)),
    layers: measuredBacking(backing.made) !== null || booked,
    edge: false,
    cut,
    sew: topSewn,
    // A record is never done with.
    journal: false,
  };
  // What has nothing to do is done with.
  const settled = STAGES.filter((stage) => done[stage] || stepsAside(plan, stage) !== null);
  const last = STAGES.indexOf(settled.at(-1) ?? 'blocks');
  const at = settled.length > 0 ? STAGES[last + 1] : pile.length > 0 ? 'blocks' : 'setting';
  return { settled: new Set(settled), at: at ?? 'journal' };
}
