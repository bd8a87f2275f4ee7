import { formatFine, formatWithUnit } from '../length/format.ts';
import { near, TOLERANCE } from '../length/tolerance.ts';
import { fromInches, type Unit } from '../length/unit.ts';
import type { PileBlock } from '../plan/shape.ts';
import { copingFor } from './coping.ts';
import { measureOf } from './measure.ts';
import { EASE_INCHES, TRUE_INCHES } from '../length/ease.ts';

/** A size blocks are cut to. */
export interface CutTo {
  readonly width: number;
  readonly height: number;
}

/** What is to be done with one block at a size, and why. */
export interface Verdict {
  readonly kind: 'unmeasured' | 'fine' | 'ease' | 'trim' | 'small' | 'crooked';
  /** What to take off each of two opposite sides; 0 for nothing. */
  readonly offSides: number;
  readonly offEnds: number;
  /** Points that lie at the seam line would be sewn over. */
  readonly pointsLost: boolean;
  readonly text: string;
}

/** The words for each verdict, for tables and charts. */
export const VERDICT_NAMES: Readonly<Record<Verdict['kind'], string>> = {
  unmeasured: 'Not measured',
  fine: 'Fine',
  ease: 'Ease in',
  trim: 'Trim',
  small: 'Too small',
  crooked: 'Crooked',
};

/**
 * Judges one block against the size all are cut to (rules BL-1, BL-2): fine, eased in up to 1/8", trimmed by
 * taking the excess equally off opposite sides so that the centre stays centred, too small, or crooked:
 * its places differ by more than can be eased, so it is unpicked rather than trimmed away.
 *
 * @example
 * const block = { id: 'b1', name: 'Snail', width: 10.4375, height: 10.5 };
 * verdictOn(block, { width: 10.5, height: 10.5 }, 'in', 0.25).kind; // 'fine'
 */
export function verdictOn(block: PileBlock, cut: CutTo, unit: Unit, seam: number): Verdict {
  const measure = measureOf(block);
  const none = { offSides: 0, offEnds: 0, pointsLost: false };
  if (!measure) return { kind: 'unmeasured', ...none, text: 'Measure it both ways.' };
  const ease = fromInches(EASE_INCHES, unit) + TOLERANCE;
  const exact = fromInches(TRUE_INCHES, unit) + TOLERANCE;
  const show = (v: number) => formatWithUnit(v, unit);
  if (measure.skew > ease) {
    return {
      kind: 'crooked',
      ...none,
      text: `Its sides differ by ${show(measure.skew)}: unpick it and sew it again. Trimming it square would cut into the patch.`,
    };
  }
  if (measure.lean > ease) {
    const degrees =
      (Math.atan2(measure.lean, Math.max(measure.mostWidth, measure.mostHeight)) * 180) / Math.PI;
    return {
      kind: 'crooked',
      ...none,
      text: `Its corners are off square by ${degrees.toFixed(1)}°, ${formatFine(measure.lean, unit)} over a side: unpick it and sew it again. Trimming it square would cut into the patch.`,
    };
  }
  const short = Math.max(cut.width - measure.leastWidth, cut.height - measure.leastHeight);
  if (short > ease)
    return {
      kind: 'small',
      ...none,
      text: `${show(short)} too small: remake it, or ${copingFor(measure, cut, seam, unit, block.points === true).text}`,
    };
  const [wide, high] = [measure.mostWidth - cut.width, measure.mostHeight - cut.height];
  const over = Math.max(wide, high);
  if (over > ease) {
    // What cannot be told from the size is not trimmed.
    const [offSides, offEnds] = [wide > exact ? wide / 2 : 0, high > exact ? high / 2 : 0];
    const most = Math.max(offSides, offEnds);
    const pointsLost = block.points === true;
    const sides = near(offSides, offEnds)
      ? `${formatFine(offSides, unit)} off all four sides`
      : [
          offSides > 0 ? `${formatFine(offSides, unit)} off left and right` : '',
          offEnds > 0 ? `${formatFine(offEnds, unit)} off top and bottom` : '',
        ]
          .filter(Boolean)
          .join(', ');
    const left = seam - most;
    const warning = !pointsLost
      ? ''
      : left > TOLERANCE
        ? ` That leaves ${formatFine(left, unit)} of the ${show(seam)} beyond its points: they will be sewn over.`
        : ' That cuts its points off.';
    return { kind: 'trim', offSides, offEnds, pointsLost, text: `Trim ${sides}.${warning}` };
  }
  if (Math.max(Math.abs(short), over) > exact)
    return {
      kind: 'ease',
      ...none,
      text: `${short > 0 ? `${show(short)} short` : `${show(over)} over`}: pin its corners and ease it in.`,
    };
  return { kind: 'fine', ...none, text: 'Sew it as it is.' };
}
