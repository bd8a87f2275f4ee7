import type { Problem } from '../refusal/refusal.ts';
import { piecedAdvice } from '../border/pieced/advice.ts';
import { pileAdvice, type Pile, sizeAdvice } from '../pile/pile.ts';
import type { TopSize } from '../border/sizes.ts';
import type { Placed } from '../cutting/placed.ts';
import { SHOWS_INCHES } from '../strip/joins.ts';
import type { CutLine } from '../cut/line.ts';
import type { Edge } from '../edge/edge.ts';
import { edgeAdvice } from '../edge/edge-advice.ts';
import { battingAdvice } from '../layer/batting-advice.ts';
import type { Layers } from '../layer/layers.ts';
import type { Layout } from '../layout/lay-out.ts';
import type { RotationCounts } from '../layout/orientation.ts';
import { formatLength, formatSize, formatWithUnit } from '../length/format.ts';
import { TOLERANCE } from '../length/tolerance.ts';
import { fromInches } from '../length/unit.ts';
import { borderIndex, fabricById } from '../plan/fabric-use.ts';
import type { Plan } from '../plan/shape.ts';
import { lengthsOf } from '../setting/registry.ts';

/** Something worth knowing that stops nothing. `path` is the field it belongs beside. */
export type Advice = Problem;

/** What advice is drawn from besides the plan. */
interface Known {
  readonly pile: Pile;
  readonly pieces: readonly CutLine[];
  readonly fabrics: readonly Placed[];
  readonly lies: RotationCounts;
  readonly layout: Layout;
  readonly layers: Layers | null;
  readonly edge: Edge;
}

/** Everything worth saying about a plan that can be drawn: the pile, proportions, fabrics too narrow, joins that show. */
export function adviseOn(plan: Plan, { pile, pieces, fabrics, lies, layout, layers, edge }: Known): Advice[] {
  const said: Advice[] = [];
  const say = (path: Advice['path'], message: string | null) => {
    if (message !== null) said.push({ path, message });
  };
  say(['grid'], pileAdvice(pile));
  say(['pile'], sizeAdvice(pile, plan.unit));
  say(['setting', 'sash'], sashProportion(plan));
  const shorter = Math.min(plan.block.width, plan.block.height);
  // No border wider than the block (rule BO-8).
  plan.borders.forEach((border, i) => {
    if (Math.max(border.sides, border.ends) > shorter + TOLERANCE) {
      say(
        ['borders', i, 'sides'],
        `This border is wider than the block (${formatWithUnit(shorter, plan.unit)}). It will draw the eye away from the blocks.`,
      );
    }
  });
  // A print laid along the selvage stands at the sides, and lies at top and bottom (rule CU-3).
  plan.borders.forEach((border, i) => {
    const { name, direction } = fabricById(plan, border.fabric);
    if (border.cut === 'lengthwise' && direction !== 'none' && !border.pieced)
      say(
        ['borders', i, 'cut'],
        `${name} has a print with a direction. Cut along the selvage it stands up at the sides and lies on its side at top and bottom; cut across it stands up all round.`,
      );
  });
  for (const { fabric, tooNarrow } of fabrics) {
    const index = plan.fabrics.findIndex((f) => f.id === fabric.id);
    for (const message of tooNarrow) say(['fabrics', index, 'usableWidth'], message);
  }
  said.push(...piecedAdvice(plan, layout.sizes));
  if (plan.places.swap !== 'none')
    say(['places', 'swap'], `${lies.swapped.working[0]}: make that many so, and the rest as usual.`);
  say(['measured'], measuredOtherwise(plan, layout.sizes));
  for (const { path, message } of joinsThatShow(plan, pieces, fabrics)) say(path, message);
  if (layers) said.push(...battingAdvice(plan, layout));
  said.push(...edgeAdvice(plan, edge, layout));
  return said;
}

/** More than seams and stretch can account for: 2" (from memory). */
const OTHERWISE_INCHES = 2;

/** A top that measured so unlike its plan that the plan was perhaps changed since. */
function measuredOtherwise({ unit }: Plan, sizes: readonly TopSize[]): string | null {
  const most = fromInches(OTHERWISE_INCHES, unit);
  const off = sizes.find(
    (s) =>
      s.measured &&
      (Math.abs(s.used.width.value - s.planned.width.value) > most ||
        Math.abs(s.used.height.value - s.planned.height.value) > most),
  );
  if (!off) return null;
  return (
    `${off.borders === 0 ? 'The centre' : `The top with ${off.borders === 1 ? 'its first border' : `${off.borders} borders`}`} was planned ${formatSize(off.planned.width.value, off.planned.height.value, unit)} and measured ${formatSize(off.used.width.value, off.used.height.value, unit)}. ` +
    'If the plan was changed since, measure again, or forget the measurement.'
  );
}

/** Joins that cannot be kept from the middle or an end of a strip, with what one strip more would do. */
function joinsThatShow(plan: Plan, lines: readonly CutLine[], fabrics: readonly Placed[]): Advice[] {
  const { unit } = plan;
  const shows = fromInches(SHOWS_INCHES, unit) - TOLERANCE;
  return fabrics.flatMap(({ runs }) =>
    runs.flatMap(({ clear, withOneMore, pieces }): Advice[] => {
      const use = lines.find((p) =>
        pieces.some((piece) => piece.line === p.id && piece.joins.length > 0),
      )?.use;
      if (clear >= shows || !use) return [];
      const mended =
        withOneMore >= shows
          ? ` Cut one strip more and it moves to ${formatWithUnit(withOneMore, unit)} away.`
          : '';
      return [
        {
          path:
            use.what === 'border' ? ['borders', borderIndex(plan, use.border), 'sides'] : ['setting', 'sash'],
          message: `However the strips are cut, one join falls ${formatWithUnit(clear, unit)} from the middle or an end, where it shows.${mended}`,
        },
      ];
    }),
  );
}

/** Sash 1/6 to 1/4 of the block: a rule of thumb (rule ST-3), so only well outside it is worth a word. */
function sashProportion({ setting, block, unit }: Plan): string | null {
  const { sash } = lengthsOf(setting);
  if (sash === undefined) return null;
  const shorter = Math.min(block.width, block.height);
  const usual = `Usual is a sixth to a quarter: ${formatLength(shorter / 6, unit)} to ${formatWithUnit(shorter / 4, unit)}.`;
  if (sash > shorter / 3 + TOLERANCE) return `This sash is wide for the block. ${usual}`;
  if (sash < shorter / 12 - TOLERANCE) return `This sash is narrow for the block. ${usual}`;
  return null;
}
