import { numberOf } from '../figure/figure.ts';
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
  readonly key: 'keep' | 'trim-all' | 'cope' | 'square';
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
export function countAt(
  pile: readonly PileBlock[],
  cut: CutTo,
  unit: Unit,
  seam: number,
): { counts: SizeChoice['counts']; pointsLost: number } {
  const counts = { unmeasured: 0, fine: 0, ease: 0, trim: 0, small: 0, crooked: 0 };
  let pointsLost = 0;
  for (const block of pile) {
    const verdict = verdictOn(block, cut, unit, seam);
    counts[verdict.kind]++;
    if (verdict.pointsLost) pointsLost++;
  }
  return { counts, pointsLost };
}

/** The size the pattern wants blocks cut to: finished and a seam on every side, in the plan's unit. */
export const meantCut = ({ block, seam }: Pick<Plan, 'block' | 'seam'>): CutTo => ({
  width: block.width + 2 * seam,
  height: block.height + 2 * seam,
});

/** Sizes that differ less than this both ways are square: 1/16" (from memory). */
const OBLONG_INCHES = 1 / 16;

/** How much larger than meant, by width and by height; negative for smaller. */
interface Off {
  readonly width: number;
  readonly height: number;
}

const WAYS = ['width', 'height'] as const;
type Way = (typeof WAYS)[number];

/** The straight blocks of a pile held against what was meant. */
interface Held {
  readonly plan: Plan;
  readonly meant: CutTo;
  readonly ease: number;
  /** Least and most of each straight block, as differences from what was meant. */
  readonly straight: readonly { readonly least: Off; readonly most: Off }[];
  /** The size most of them have or can have, and whether it is oblong where the pattern is not. */
  readonly usual: Off;
  readonly oblong: boolean;
}

function heldAgainst(plan: Plan): Held | null {
  const { pile, unit } = plan;
  const meant = meantCut(plan);
  const ease = fromInches(EASE_INCHES, unit) + TOLERANCE;
  const straight = pile.flatMap((b) => {
    const measure = measureOf(b);
    return measure && measure.skew <= ease ? [offOf(measure, meant)] : [];
  });
  if (straight.length === 0) return null;
  if (isOblong(straight, ease, unit)) {
    const usual = {
      width: usualOff(straight, ['width'], ease, unit),
      height: usualOff(straight, ['height'], ease, unit),
    };
    if (takesOblong(plan, meant, usual)) return { plan, meant, ease, straight, usual, oblong: true };
  }
  const by = usualOff(straight, WAYS, ease, unit);
  return { plan, meant, ease, straight, usual: { width: by, height: by }, oblong: false };
}

/** As many of a pile as have to be oblong alike for the pile to be so: three in four (from memory). */
const OBLONG_SHARE = 3 / 4;

/** Longer one way than the other than was meant, and nearly all of them by as much. */
function isOblong(straight: Held['straight'], ease: number, unit: Unit): boolean {
  const by = straight.map(({ least }) => least.width - least.height).sort((a, b) => a - b);
  const middle = by[Math.floor(by.length / 2)]!;
  const alike = by.filter((d) => Math.abs(d - middle) <= ease / 2).length;
  return (
    straight.length > 1 &&
    Math.abs(middle) > fromInches(OBLONG_INCHES, unit) + TOLERANCE &&
    alike >= OBLONG_SHARE * by.length
  );
}

const offOf = (m: BlockMeasure, meant: CutTo) => ({
  least: { width: m.leastWidth - meant.width, height: m.leastHeight - meant.height },
  most: { width: m.mostWidth - meant.width, height: m.mostHeight - meant.height },
});

/** Blocks on point and blocks that are turned in their places have to stay as square as they were meant. */
function takesOblong({ setting, places, unit, grid, seam }: Plan, meant: CutTo, off: Off): boolean {
  const block = { width: meant.width + off.width - 2 * seam, height: meant.height + off.height - 2 * seam };
  return (
    places.turn === 'none' &&
    settingOf(setting.kind).refusals({ unit, block, grid, options: setting, seam }).length === 0
  );
}

/**
 * The difference from what was meant, both ways alike or one way alone, at which most blocks need nothing but
 * easing; of equals the one nearest to what was meant. Blocks that are as the pattern wants them are never the
 * ones to be remade: where they would be, the pattern's size stands and the larger are trimmed to it (rule BL-3).
 */
function usualOff(straight: Held['straight'], ways: readonly Way[], ease: number, unit: Unit): number {
  const shortest = ({ least }: Held['straight'][number]) => Math.min(...ways.map((way) => least[way]));
  const candidates = [...new Set([0, ...straight.map((b) => rulerNearest(unit).apply(shortest(b)))])];
  const served = (by: number) =>
    straight.filter(({ least, most }) =>
      ways.every((way) => Math.abs(least[way] - by) <= ease && Math.abs(most[way] - by) <= ease),
    ).length;
  const { by } = candidates
    .map((c) => ({ by: c, served: served(c) }))
    .reduce((best, c) =>
      c.served > best.served ||
      (c.served === best.served &&
        Math.abs(c.by) < Math.abs(best.by) &&
        !near(Math.abs(c.by), Math.abs(best.by)))
        ? c
        : best,
    );
  const rightAndShort = straight.some((b) => Math.abs(shortest(b)) <= ease && shortest(b) < by - ease);
  return rightAndShort ? 0 : by;
}

const sizeAt = ({ meant }: Held, off: Off): CutTo => ({
  width: meant.width + off.width,
  height: meant.height + off.height,
});

const isShort = ({ least }: Held['straight'][number], off: Off, ease: number): boolean =>
  WAYS.some((way) => least[way] < off[way] - ease);

/** What the smallest of the straight blocks can be cut to, as square or as oblong as the usual size. */
function smallestOff({ plan, straight, usual, oblong }: Held): Off {
  const down = (way: Way) =>
    Math.min(usual[way], rulerStepDown(plan.unit).apply(Math.min(...straight.map((b) => b.least[way]))));
  const least = Math.min(down('width'), down('height'));
  return oblong ? { width: down('width'), height: down('height') } : { width: least, height: least };
}

/** Few enough are short to be remade: one in ten, or one, and fewer than are left. */
const fewEnough = (short: number, all: number): boolean =>
  short <= Math.max(1, Math.floor(all * MOST_REMADE)) && all - short > short;

/** The size the pile is proposed to be cut to; what was meant while nothing is measured. Every verdict on the pile is at this size. */
export function proposedCut(plan: Plan): CutTo {
  const held = heldAgainst(plan);
  if (!held) return meantCut(plan);
  const short = held.straight.filter((b) => isShort(b, held.usual, held.ease)).length;
  return sizeAt(held, short === 0 || fewEnough(short, held.straight.length) ? held.usual : smallestOff(held));
}

/**
 * Sizes to cut the pile to, with what each costs (rule BL-3). All are trimmed to the smallest, unless a
 * few outliers force it: then those are remade, and the rest keep the size most of them have. Crooked
 * blocks are unpicked whatever the size, so they decide nothing. A pile that is oblong all alike may stay so.
 */
export function blockChoices(plan: Plan): BlockChoices {
  const held = heldAgainst(plan);
  if (!held) return { measured: 0, choices: [] };
  const { straight, usual, ease, oblong } = held;
  const n = straight.length;
  const short = straight.filter((b) => isShort(b, usual, ease)).length;
  return {
    measured: n,
    choices: [
      ...(short === 0 ? [keptWhole(held)] : whereSomeAreShort(held, short)),
      ...(oblong ? [squared(held)] : []),
    ],
  };
}

function choiceAt(held: Held, off: Off, key: SizeChoice['key'], name: string, says: string): SizeChoice {
  const { plan, meant } = held;
  const cut = sizeAt(held, off);
  const { counts, pointsLost } = countAt(plan.pile, cut, plan.unit, plan.seam);
  return {
    key,
    name,
    cut,
    counts,
    pointsLost,
    says,
    quilt: growth(plan, cut, meant),
    remade: key === 'cope' ? 0 : counts.small,
    coped: key === 'cope' ? counts.small : 0,
  };
}

const sizeText = (held: Held, off: Off): string =>
  formatSize(sizeAt(held, off).width, sizeAt(held, off).height, held.plan.unit);

/** None is too small for the size most have. */
function keptWhole(held: Held): SizeChoice {
  const { straight, usual, ease, oblong } = held;
  const size = sizeText(held, usual);
  const large = straight.filter(({ most }) => WAYS.some((way) => most[way] > usual[way] + ease)).length;
  const n = straight.length;
  const says = oblong
    ? `They are oblong all alike. Sewn so, the quilt comes out oblong by as much in every block.`
    : n === 1
      ? 'It can be sewn at this size.'
      : large > n / 2
        ? `${numberOf(n - large, 'block is', 'blocks are')} right and ${large} are larger: trim those. None is remade.`
        : `All ${n} straight blocks can be brought to ${size}: none is too small.`;
  return choiceAt(held, usual, 'keep', `Keep ${size}`, says);
}

/** Some are too small for the size most have: remake them, trim all, or frame them; the proposed one first. */
function whereSomeAreShort(held: Held, short: number): SizeChoice[] {
  const { plan, straight, usual } = held;
  const n = straight.length;
  const smallest = smallestOff(held);
  const one = short === 1;
  const size = sizeText(held, usual);
  const down = formatWithUnit(Math.max(...WAYS.map((way) => usual[way] - smallest[way])), plan.unit);
  const keep = choiceAt(
    held,
    usual,
    'keep',
    `Keep ${size}, remake ${one ? 'one' : short}`,
    `${one ? 'One block forces' : `${short} blocks force`} the other ${n - short} down ${down}. Remake ${one ? 'it' : 'them'}.`,
  );
  const trimSays = one
    ? `1 of ${n} is short by ${down}. Trim all to it.`
    : `${short} of ${n} are short, by up to ${down}: more than one would remake. Trim all to the smallest.`;
  const trim = choiceAt(held, smallest, 'trim-all', `Trim all to ${sizeText(held, smallest)}`, trimSays);
  const cope = choiceAt(
    held,
    usual,
    'cope',
    `Keep ${size}, frame ${one ? 'one' : short}`,
    `Frame ${one ? 'the short one' : 'the short ones'} with coping strips and trim ${one ? 'it' : 'them'} back up to ${size}.`,
  );
  return fewEnough(short, n)
    ? [keep, { ...trim, says: `No block is remade, and every other one loses up to ${down}.` }, cope]
    : [
        trim,
        { ...keep, says: `${numberOf(short, 'block is', 'blocks are')} remade; the others keep their size.` },
        cope,
      ];
}

/** An oblong pile trimmed square to its shorter way. */
function squared(held: Held): SizeChoice {
  const least = Math.min(held.usual.width, held.usual.height);
  const off = { width: least, height: least };
  return choiceAt(
    held,
    off,
    'square',
    `Trim square to ${sizeText(held, off)}`,
    'Every block loses what it is longer one way than the other.',
  );
}

/** How much the centre grows when every block is cut to another size than was meant. */
function growth({ setting, grid, block }: Plan, cut: CutTo, meant: CutTo): SizeChoice['quilt'] {
  const { extent } = settingOf(setting.kind);
  const grown = (direction: 'across' | 'down', size: number, by: number) =>
    extent(direction, grid[direction], size + by, setting) -
    extent(direction, grid[direction], size, setting);
  return {
    width: grown('across', block.width, cut.width - meant.width),
    height: grown('down', block.height, cut.height - meant.height),
  };
}
