import { FIBRES } from '../choice/battings.ts';
import { type Figure, lengthOf } from '../figure/figure.ts';
import { formatExact, formatSize, formatWorking } from '../length/format.ts';
import { rulerNearest } from '../length/rounding.ts';
import { fromInches, type Unit } from '../length/unit.ts';
import type { Plan } from '../plan/shape.ts';
import { settingOf } from '../setting/registry.ts';
import { atLeast } from '../length/tolerance.ts';

/** A share of a length, from the least to the most. */
interface Share {
  readonly least: number;
  readonly most: number;
}

/** Lines nearer than this are dense, farther than that sparse (from memory). */
const DENSE_INCHES = 1.5;
const SPARSE_INCHES = 3;

/** What quilting draws in, by how near its lines lie (rule QL-2; common practice, from memory). */
const QUILTED = {
  sparse: { least: 0.01, most: 0.03 },
  between: { least: 0.02, most: 0.04 },
  dense: { least: 0.03, most: 0.05 },
} as const satisfies Record<string, Share>;

/** How near the lines of a plan's quilting lie; a pattern all over a long-arm's is taken to lie between. */
function densityOf({
  quilting: { by, marking, spacing },
  unit,
}: Pick<Plan, 'quilting' | 'unit'>): keyof typeof QUILTED {
  if (by === 'long-arm') return 'between';
  if (marking === 'ditch' || atLeast(spacing, fromInches(SPARSE_INCHES, unit))) return 'sparse';
  return atLeast(fromInches(DENSE_INCHES, unit), spacing) ? 'dense' : 'between';
}

/** A quilt's size after something was done to it: what it comes to at least and at most. */
interface SizeRange {
  readonly width: { readonly least: Figure; readonly most: Figure };
  readonly height: { readonly least: Figure; readonly most: Figure };
}

/** What a quilt is likely to come to, and what would have to be planned for it to come to its target. */
export interface DrawsIn {
  /** Once quilted; null of a quilt that is quilted already. */
  readonly quilted: SizeRange | null;
  readonly washed: SizeRange;
  /** In a sentence, the shares and where they are from. */
  readonly says: string;
}

/**
 * What quilting and the first wash take of a size: `size × (1 − q)(1 − w)`, q by how near the lines lie, w by the batting
 * (rule QL-2). Ranges: what a quilt comes to is measured, not reckoned.
 */
export function drawsIn(plan: Plan, finished: { readonly width: number; readonly height: number }): DrawsIn {
  const { unit } = plan;
  const { q, w, both } = sharesOf(plan);
  return {
    quilted: q.most === 0 ? null : rangeOf(finished, q, unit, 'quilting'),
    washed: rangeOf(finished, both, unit, q.most === 0 ? 'the wash' : 'quilting and the wash'),
    says: [
      ...(q.most > 0 ? [`quilting draws in ${percent(q)}`] : []),
      `a first wash takes ${percent(w)}`,
    ].join(', '),
  };
}

/** What quilting takes, what the wash takes, and both together. */
function sharesOf(plan: Plan): { readonly q: Share; readonly w: Share; readonly both: Share } {
  const { trimmed, quilted } = settingOf(plan.setting.kind);
  const q: Share = trimmed || quilted ? { least: 0, most: 0 } : QUILTED[densityOf(plan)];
  const w: Share = FIBRES[plan.batting.fibre].wash;
  const both = { least: 1 - (1 - q.least) * (1 - w.least), most: 1 - (1 - q.most) * (1 - w.most) };
  return { q, w, both };
}

const percent = ({ least, most }: Share): string =>
  `${formatExact(100 * least)} to ${formatExact(100 * most)} %`;

function rangeOf(
  { width, height }: { width: number; height: number },
  share: Share,
  unit: Unit,
  what: string,
): SizeRange {
  const less = (size: number, by: number): Figure =>
    lengthOf(
      rulerNearest(unit).apply(size * (1 - by)),
      `${formatWorking(size, unit)} × (1 − ${formatExact(by)}) that ${what} may take = ${formatExact(size * (1 - by))}, ${rulerNearest(unit).name}`,
    );
  const of = (size: number) => ({ least: less(size, share.most), most: less(size, share.least) });
  return { width: of(width), height: of(height) };
}

/**
 * What would have to be planned so that a quilt comes to a target once it is quilted and washed: the target over what is
 * left of a length in the middle of both ranges.
 */
export function plannedFor(
  plan: Plan,
  target: { readonly width: number; readonly height: number },
): { readonly width: Figure; readonly height: Figure; readonly says: string } {
  const { unit } = plan;
  const { both } = sharesOf(plan);
  const left = 1 - (both.least + both.most) / 2;
  const planned = (size: number): Figure =>
    lengthOf(
      rulerNearest(unit).apply(size / left),
      `${formatWorking(size, unit)} ÷ ${formatExact(left)} that is left = ${formatExact(size / left)}, ${rulerNearest(unit).name}`,
    );
  const [width, height] = [planned(target.width), planned(target.height)];
  return { width, height, says: formatSize(width.value, height.value, unit) };
}
