import { numberOf } from '../figure/figure.ts';
import { formatSize, formatWithUnit } from '../length/format.ts';
import type { Unit } from '../length/unit.ts';
import type { PileBlock, Plan } from '../plan/shape.ts';
import { settingOf } from '../setting/registry.ts';
import {
  type Difference,
  isShort,
  remakesTheShort,
  sizeAt,
  smallestDifference,
  type StraightBlocks,
  straightBlocks,
  WAYS,
} from './usual-size.ts';
import { type CutTo, type Verdict, verdictOn } from './verdict.ts';

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

/** Blocks at a cut size: how many are fine, eased, trimmed, too small, crooked. */
function countAt(
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

/**
 * Sizes to cut the pile to, with what each costs (rule BL-3). All are trimmed to the smallest, unless a
 * few outliers force it: then those are remade, and the rest keep the size most of them have. Crooked
 * blocks are unpicked whatever the size, so they decide nothing. A pile that is oblong all alike may stay so.
 */
export function blockChoices(plan: Plan): BlockChoices {
  const blocks = straightBlocks(plan);
  if (!blocks) return { measured: 0, choices: [] };
  const { straight, usual, ease, oblong } = blocks;
  const n = straight.length;
  const short = straight.filter((b) => isShort(b, usual, ease)).length;
  return {
    measured: n,
    choices: [
      ...(short === 0 ? [keptWhole(blocks)] : whereSomeAreShort(blocks, short)),
      ...(oblong ? [squared(blocks)] : []),
    ],
  };
}

function choiceAt(
  blocks: StraightBlocks,
  off: Difference,
  key: SizeChoice['key'],
  name: string,
  says: string,
): SizeChoice {
  const { plan, meant } = blocks;
  const cut = sizeAt(blocks, off);
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

const sizeText = (blocks: StraightBlocks, off: Difference): string =>
  formatSize(sizeAt(blocks, off).width, sizeAt(blocks, off).height, blocks.plan.unit);

/** None is too small for the size most have. */
function keptWhole(blocks: StraightBlocks): SizeChoice {
  const { straight, usual, ease, oblong } = blocks;
  const size = sizeText(blocks, usual);
  const large = straight.filter(({ most }) => WAYS.some((way) => most[way] > usual[way] + ease)).length;
  const n = straight.length;
  return choiceAt(blocks, usual, 'keep', `Keep ${size}`, whyKept(n, large, size, oblong));
}

/** Why the size most of them have is kept: of `n` straight blocks none is too small, and so many are larger. */
function whyKept(n: number, large: number, size: string, oblong: boolean): string {
  if (oblong)
    return 'All are oblong by the same amount. Sewn as they are, each makes the quilt longer one way by that much.';
  if (n === 1) return 'It can be sewn at this size.';
  if (large > n / 2)
    return `${numberOf(n - large, 'block is', 'blocks are')} right and ${large} are larger: trim those. None is remade.`;
  return `All ${n} straight blocks can be brought to ${size}: none is too small.`;
}

/** Some are too small for the size most have: remake them, trim all, or frame them; the proposed one first. */
function whereSomeAreShort(blocks: StraightBlocks, short: number): SizeChoice[] {
  const { plan, straight, usual } = blocks;
  const n = straight.length;
  const smallest = smallestDifference(blocks);
  const one = short === 1;
  const size = sizeText(blocks, usual);
  const down = formatWithUnit(Math.max(...WAYS.map((way) => usual[way] - smallest[way])), plan.unit);
  const keep = choiceAt(
    blocks,
    usual,
    'keep',
    `Keep ${size}, remake ${one ? 'one' : short}`,
    `${one ? 'One block forces' : `${short} blocks force`} the other ${n - short} down ${down}. Remake ${one ? 'it' : 'them'}.`,
  );
  const trimSays = one
    ? `1 of ${n} is short by ${down}. Trim all to it.`
    : `${short} of ${n} are short, by up to ${down}: more than one would remake. Trim all to the smallest.`;
  const trim = choiceAt(blocks, smallest, 'trim-all', `Trim all to ${sizeText(blocks, smallest)}`, trimSays);
  const cope = choiceAt(
    blocks,
    usual,
    'cope',
    `Keep ${size}, frame ${one ? 'one' : short}`,
    `Frame ${one ? 'the short one' : 'the short ones'} with coping strips and trim ${one ? 'it' : 'them'} back up to ${size}.`,
  );
  return remakesTheShort(blocks)
    ? [keep, { ...trim, says: `No block is remade, and every other one loses up to ${down}.` }, cope]
    : [
        trim,
        { ...keep, says: `${numberOf(short, 'block is', 'blocks are')} remade; the others keep their size.` },
        cope,
      ];
}

/** An oblong pile trimmed square to its shorter way. */
function squared(blocks: StraightBlocks): SizeChoice {
  const least = Math.min(blocks.usual.width, blocks.usual.height);
  const off = { width: least, height: least };
  return choiceAt(
    blocks,
    off,
    'square',
    `Trim square to ${sizeText(blocks, off)}`,
    'Every block loses what it is longer one way than the other.',
  );
}

/** How much the centre grows when every block is cut to another size than was meant. */
function growth({ setting, grid, block, seam }: Plan, cut: CutTo, meant: CutTo): SizeChoice['quilt'] {
  const { extent } = settingOf(setting.kind);
  const grown = (direction: 'across' | 'down', size: number, by: number) =>
    extent(direction, grid[direction], size + by, setting, seam) -
    extent(direction, grid[direction], size, setting, seam);
  return {
    width: grown('across', block.width, cut.width - meant.width),
    height: grown('down', block.height, cut.height - meant.height),
  };
}
