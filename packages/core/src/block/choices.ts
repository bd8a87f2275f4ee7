import { formatSize, formatWithUnit } from '../length/format.ts';
import { rulerNearest, rulerStepDown } from '../length/rounding.ts';
import { near, TOLERANCE } from '../length/tolerance.ts';
import { fromInches, type Unit } from '../length/unit.ts';
import type { PileBlock, Plan } from '../plan/shape.ts';
import { settingOf } from '../setting/registry.ts';
import { type BlockMeasure, measureOf } from './measure.ts';
import { type CutTo, EASE_INCHES, type Verdict, verdictOn } from './verdict.ts';

/** What it costs to cut all blocks to one size. */
export interface SizeChoice {
  readonly key: 'keep' | 'trim-all' | 'cope';
  readonly name: string;
  readonly cut: CutTo;
  /** Blocks by what is to be done with them. */
  readonly counts: Readonly<Record<Verdict['kind'], number>>;
  /** Made anew, framed with coping strips, and those whose points are sewn over. */
  readonly remade: number;
  readonly coped: number;
  readonly pointsLost: number;
  /** How much wider and longer the centre comes out than planned. */
  readonly quilt: { readonly width: number; readonly height: number };
  readonly says: string;
}

/** The sizes there are to choose between, the proposed one first; none while nothing is measured. */
export interface BlockChoices {
  readonly measured: number;
  readonly choices: readonly SizeChoice[];
}

/** Remaking one in ten is less than trimming the other nine; one can always be asked for (common practice: one outlier → remake it). */
const MOST_REMADE = 1 / 10;

/** Blocks at a cut size: how many are fine, eased, trimmed, too small, crooked. */
export function countAt(pile: readonly PileBlock[], cut: CutTo, unit: Unit, seam: number): { counts: SizeChoice['counts']; pointsLost: number } {
  const counts = { unmeasured: 0, fine: 0, ease: 0, trim: 0, small: 0, crooked: 0 };
  let pointsLost = 0;
  for (const block of pile) {
    const verdict = verdictOn(block, cut, unit, seam);
    counts[verdict.kind]++;
    if (verdict.pointsLost) pointsLost++;
  }
  return { counts, pointsLost };
}

/**
 * Sizes to cut the pile to, with what each costs (handbook 3). All are trimmed to the smallest, unless a
 * few outliers force it: then those are remade, and the rest keep the size most of them have. Crooked
 * blocks are unpicked whatever the size, so they decide nothing.
 */
export function blockChoices(plan: Plan): BlockChoices {
  const { pile, unit, seam, block } = plan;
  const meant = { width: block.width + 2 * seam, height: block.height + 2 * seam };
  const ease = fromInches(EASE_INCHES, unit) + TOLERANCE;
  const straight = pile.flatMap((b) => {
    const measure = measureOf(b);
    return measure && measure.skew <= ease ? [measure] : [];
  });
  if (straight.length === 0) return { measured: 0, choices: [] };
  const off = (m: BlockMeasure) => Math.min(m.leastWidth - meant.width, m.leastHeight - meant.height);
  const offs = straight.map(off).sort((a, b) => a - b);
  const usual = usualOff(straight, meant, ease, unit);
  const smallest = rulerStepDown(unit).apply(offs[0]!);
  const short = offs.filter((o) => o < usual - ease).length;
  const at = (by: number): CutTo => ({ width: meant.width + by, height: meant.height + by });
  const choice = (key: SizeChoice['key'], name: string, by: number, says: string): SizeChoice => {
    const cut = at(by);
    const { counts, pointsLost } = countAt(pile, cut, unit, seam);
    return {
      key, name, cut, counts, pointsLost, says, quilt: growth(plan, by),
      remade: key === 'cope' ? 0 : counts.small, coped: key === 'cope' ? counts.small : 0,
    };
  };
  const size = (by: number) => formatSize(at(by).width, at(by).height, unit);
  const n = straight.length;
  const down = formatWithUnit(usual - smallest, unit);
  if (short === 0) {
    return { measured: n, choices: [choice('keep', `Keep ${size(usual)}`, usual, n === 1 ? 'It can be sewn at this size.' : `All ${n} straight blocks can be brought to ${size(usual)}: none is too small.`)] };
  }
  const one = short === 1;
  const keep = choice('keep', `Keep ${size(usual)}, remake ${one ? 'one' : short}`, usual, `${one ? 'One block forces' : `${short} blocks force`} the other ${n - short} down ${down}. Remake ${one ? 'it' : 'them'}.`);
  const trim = choice('trim-all', `Trim all to ${size(smallest)}`, smallest, `${short} of ${n} are short, by up to ${down}: more than one would remake. Trim all to the smallest.`);
  const cope = choice('cope', `Keep ${size(usual)}, frame ${one ? 'one' : short}`, usual, `Frame ${one ? 'the short one' : 'the short ones'} with coping strips and trim ${one ? 'it' : 'them'} back up to ${size(usual)}.`);
  const fewEnough = short <= Math.max(1, Math.floor(n * MOST_REMADE)) && n - short > short;
  return { measured: n, choices: fewEnough ? [keep, { ...trim, says: `No block is remade, and every other one loses up to ${down}.` }, cope] : [trim, { ...keep, says: `${short} blocks are remade; the others keep their size.` }, cope] };
}

/** The difference from what was meant at which most blocks need nothing but easing; of equals the one nearest to what was meant. */
function usualOff(straight: readonly BlockMeasure[], meant: CutTo, ease: number, unit: Unit): number {
  const candidates = [...new Set([0, ...straight.map((m) => rulerNearest(unit).apply(Math.min(m.leastWidth - meant.width, m.leastHeight - meant.height)))])];
  const served = (by: number) => straight.filter((m) =>
    [m.leastWidth - meant.width, m.mostWidth - meant.width, m.leastHeight - meant.height, m.mostHeight - meant.height].every((d) => Math.abs(d - by) <= ease)).length;
  return candidates
    .map((by) => ({ by, served: served(by) }))
    .reduce((best, c) => (c.served > best.served || (c.served === best.served && Math.abs(c.by) < Math.abs(best.by) && !near(Math.abs(c.by), Math.abs(best.by))) ? c : best)).by;
}

/** How much the centre grows when every block is `by` larger. */
function growth({ setting, grid, block }: Plan, by: number): SizeChoice['quilt'] {
  const { extent } = settingOf(setting.kind);
  return {
    width: extent('across', grid.across, block.width + by, setting) - extent('across', grid.across, block.width, setting),
    height: extent('down', grid.down, block.height + by, setting) - extent('down', grid.down, block.height, setting),
  };
}
