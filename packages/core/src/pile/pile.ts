import { numberOf } from '../figure/figure.ts';
import { formatSize, formatWithUnit } from '../length/format.ts';
import { near } from '../length/tolerance.ts';
import type { PileBlock, Plan } from '../plan/shape.ts';
import { wallOf } from '../wall/wall.ts';
import { meantCut, proposedCut } from '../block/usual-size.ts';
import { type CutTo, type Verdict, verdictOn } from '../block/verdict.ts';

/** The pile of finished blocks held against the places the setting has for them. */
export interface Pile {
  readonly blocks: number;
  readonly needed: number;
  /** Places without a block; 0 when there are enough, or when no pile has been entered. */
  readonly missing: number;
  /** Blocks parked beside the places, in pile order. */
  readonly spare: readonly PileBlock[];
  /** The cut size they should have: finished + two seams. */
  readonly meant: CutTo;
  /** The size they are proposed to be cut to, and are judged by. */
  readonly cut: CutTo;
  /** Differ from it by more than can be eased in, one way or the other. */
  readonly small: readonly PileBlock[];
  readonly large: readonly PileBlock[];
  /** Their places differ by more than that. */
  readonly crooked: readonly PileBlock[];
  /** Blocks that have been measured both ways. */
  readonly measured: number;
}

/** Counts and measures the pile against the plan. */
export function judgePile(plan: Plan, needed: number): Pile {
  const { pile, seam, unit } = plan;
  const toLay = pile.filter((b) => !b.label).length;
  const meant = meantCut(plan);
  const cut = proposedCut(plan);
  const kinds = pile.map((b) => verdictOn(b, cut, unit, seam).kind);
  const of = (kind: Verdict['kind']) => pile.filter((_, i) => kinds[i] === kind);
  return {
    blocks: pile.length,
    needed,
    missing: pile.length === 0 ? 0 : Math.max(0, needed - toLay),
    spare: wallOf(plan, needed).spare,
    meant,
    cut,
    measured: pile.length - of('unmeasured').length,
    small: of('small'),
    large: of('trim'),
    crooked: of('crooked'),
  };
}

/** What the count means for the quilt, in words; null when it comes out even or no pile was entered. */
export function pileAdvice(pile: Pile): string | null {
  if (pile.missing > 0)
    return `This grid takes ${numberOf(pile.needed, 'block')} and the pile has ${pile.needed - pile.missing}: ${pile.missing} more to make, or choose a smaller grid.`;
  if (pile.spare.length > 0) {
    const named = pile.spare
      .slice(0, 3)
      .map((b) => b.name)
      .join(', ');
    const rest = pile.spare.length > 3 ? ` and ${pile.spare.length - 3} more` : '';
    return `${pile.spare.length} spare: ${named}${rest}. ${pile.spare.length === 1 ? 'It does' : 'They do'} not fit this grid.`;
  }
  return null;
}

/** What the measured sizes mean, in words; null when every block can be sewn in as it is. */
export function sizeAdvice({ small, large, meant, cut }: Pile, unit: Plan['unit']): string | null {
  const other = !near(cut.width, meant.width) || !near(cut.height, meant.height);
  if (small.length === 0 && large.length === 0 && !other) return null;
  const list = (blocks: readonly PileBlock[]) =>
    blocks
      .slice(0, 3)
      .map((b) => `${b.name} (${formatWithUnit(b.width!, unit)} × ${formatWithUnit(b.height!, unit)})`)
      .join(', ') + (blocks.length > 3 ? ` and ${blocks.length - 3} more` : '');
  const size = (of: CutTo) => formatSize(of.width, of.height, unit);
  const parts = [
    other
      ? `As measured, the blocks are best cut to ${size(cut)}, and the quilt is laid out for ${size(meant)}: choose in Blocks.`
      : '',
    large.length > 0
      ? `${large.length} too large to ease in: ${list(large)}. Trim equally off opposite sides.`
      : '',
    small.length > 0
      ? `${small.length} too small: ${list(small)}. Remake, or build it up with coping strips.`
      : '',
  ];
  return parts.filter(Boolean).join(' ');
}
