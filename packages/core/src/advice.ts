import { pileAdvice, type Pile, sizeAdvice } from './block/pile.ts';
import type { FabricCut } from './cutting/fabric-cuts.ts';
import { formatLength, formatWithUnit } from './length/format.ts';
import { TOLERANCE } from './length/tolerance.ts';
import type { Plan } from './plan/shape.ts';

/** Something worth knowing that stops nothing. `path` is the field it belongs beside. */
export interface Advice {
  readonly path: readonly (string | number)[];
  readonly message: string;
}

/** Everything worth saying about a plan that can be drawn: the pile, proportions, fabrics too narrow. */
export function adviseOn(plan: Plan, pile: Pile, fabrics: readonly FabricCut[]): Advice[] {
  const said: Advice[] = [];
  const say = (path: Advice['path'], message: string | null) => {
    if (message !== null) said.push({ path, message });
  };
  say(['grid'], pileAdvice(pile));
  say(['pile'], sizeAdvice(pile, plan.unit));
  say(['setting', 'sash'], sashProportion(plan));
  const shorter = Math.min(plan.block.width, plan.block.height);
  // No border wider than the block (handbook 4, common practice).
  plan.borders.forEach((border, i) => {
    if (Math.max(border.sides, border.ends) > shorter + TOLERANCE) {
      say(['borders', i, 'sides'], `This border is wider than the block (${formatWithUnit(shorter, plan.unit)}). It will draw the eye away from the blocks.`);
    }
  });
  for (const { fabric, tooNarrow } of fabrics) {
    const index = plan.fabrics.findIndex((f) => f.id === fabric.id);
    for (const message of tooNarrow) say(['fabrics', index, 'usableWidth'], message);
  }
  return said;
}

/** Sash 1/6 to 1/4 of the block: a rule of thumb (handbook 4, common practice), so only well outside it is worth a word. */
function sashProportion({ setting, block, unit }: Plan): string | null {
  if (!('sash' in setting)) return null;
  const shorter = Math.min(block.width, block.height);
  const usual = `Usual is a sixth to a quarter: ${formatLength(shorter / 6, unit)} to ${formatWithUnit(shorter / 4, unit)}.`;
  if (setting.sash > shorter / 3 + TOLERANCE) return `This sash is wide for the block. ${usual}`;
  if (setting.sash < shorter / 12 - TOLERANCE) return `This sash is narrow for the block. ${usual}`;
  return null;
}

