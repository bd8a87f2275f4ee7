import { type Figure, lengthOf, numberOf } from '../figure/figure.ts';
import { formatExact, formatWithUnit, formatWorking } from '../length/format.ts';
import { allowanceFor } from '../plan/fabric-use.ts';
import type { Fabric, Plan } from '../plan/shape.ts';
import { costOf } from '../shopping/cost.ts';
import { type ShopCut, shopCut } from '../shopping/shop-cut.ts';
import type { Demand } from './demands.ts';
import type { CutPiece } from './pieces.ts';
import { stripNeed } from './strip-need.ts';
import { type LengthwiseCut, planStrips, type StripGroup } from './strips.ts';

/** What is cut from one fabric, and what to ask the shop for. */
export interface FabricCut {
  readonly fabric: Fabric;
  readonly strips: readonly StripGroup[];
  readonly lengthwise: LengthwiseCut | null;
  /** What layers and edge take of it. */
  readonly demands: readonly Demand[];
  readonly needed: Figure;
  readonly buy: ShopCut;
  /** Null where nobody has said its price. */
  readonly cost: Figure | null;
  /** What this fabric is too narrow for, in words. */
  readonly tooNarrow: readonly string[];
  /** What to mind about the cloth while it is cut and sewn. */
  readonly notes: readonly string[];
}

/** Cutting and buying for every fabric that is used, in the plan's order. */
export function cutFabrics(plan: Plan, pieces: readonly CutPiece[], demands: readonly Demand[]): FabricCut[] {
  return plan.fabrics
    .map((fabric) =>
      cutFabric(
        plan,
        fabric,
        pieces.filter((p) => p.fabric === fabric.id),
        demands.filter((d) => d.fabric === fabric.id),
      ),
    )
    .filter((cut) => cut.needed.value > 0 || cut.tooNarrow.length > 0);
}

function cutFabric(
  plan: Plan,
  fabric: Fabric,
  pieces: readonly CutPiece[],
  demands: readonly Demand[],
): FabricCut {
  const { unit } = plan;
  const show = (v: number) => formatWorking(v, unit);
  const { groups, lengthwise, tooWide } = planStrips(
    pieces.map((piece) => stripNeed(plan, piece)),
    { usable: fabric.usableWidth, seam: plan.seam, unit },
  );
  const amounts: { length: number; line: string }[] = groups.map(({ width, strips, yields }) => ({
    length: strips.value * width,
    line: `${yields.map((y) => y.name).join(', ')}: ${numberOf(strips.value, 'strip')} × ${show(width)} = ${formatExact(strips.value * width)}`,
  }));
  if (lengthwise) {
    amounts.unshift({
      length: lengthwise.length.value,
      line: `${lengthwise.yields.map((y) => y.name).join(', ')}, lengthwise: ${formatExact(lengthwise.length.value)}`,
    });
  }
  amounts.push(...demands);
  const total = amounts.reduce((sum, a) => sum + a.length, 0);
  const lines = amounts.map((a) => a.line);
  if (amounts.length > 1) lines.push(`Together ${formatExact(total)}`);
  const allowance = allowanceFor(plan, fabric);
  return {
    fabric,
    strips: groups,
    lengthwise,
    demands,
    needed: lengthOf(total, ...lines),
    buy: shopCut(total, allowance, unit),
    cost: costOf([{ length: total, price: fabric.price, allowance }], unit),
    tooNarrow: tooWide.map(({ need, measure }) =>
      measure === 'width'
        ? `${need.name} are cut ${formatWithUnit(need.width, unit)} wide and ${fabric.name} is ${formatWithUnit(fabric.usableWidth, unit)} usable: choose a wider fabric for them.`
        : `${need.name} are cut ${formatWithUnit(need.length, unit)} long across the print, ${fabric.name} is ${formatWithUnit(fabric.usableWidth, unit)} usable, and they are never joined: choose a wider fabric, or one without a direction.`,
    ),
    notes: clothNotes(fabric, pieces.length > 0),
  };
}

/** A cloth's own habits, for the cutting table: its direction where pieces of the top are cut from it, alike sides anywhere. */
function clothNotes({ name, direction, alike }: Fabric, ofTop: boolean): string[] {
  const notes: string[] = [];
  if (ofTop && direction === 'one-way')
    notes.push(
      `${name} has a print that runs one way up the selvage: no piece is turned, uprights and levels are counted apart, and every piece is laid with the print up.`,
    );
  if (ofTop && direction === 'stripe')
    notes.push(
      `${name} is striped along the selvage: pieces may be turned upside down, not on their side; uprights and levels are counted apart.`,
    );
  if (alike)
    notes.push(
      `Both sides of ${name} look alike: mark the right side of every piece with a pin before it is sewn.`,
    );
  return notes;
}
