import { CLOSING_STEPS } from '../choice/edge.ts';
import type { Work } from '../choice/works.ts';
import { fromInches, type Unit } from '../length/unit.ts';
import type { LogEntry } from '../log/entry.ts';
import { sewRecord } from '../log/sew-record.ts';
import type { SizeDone } from './pace.ts';

/** How large a quilt is, in its own unit. */
export interface QuiltSize {
  readonly width: number;
  readonly height: number;
  readonly unit: Unit;
}

/** The step after which work that is counted by a quilt's size is done. */
const DONE_BY: Readonly<Partial<Record<Work, readonly string[]>>> = {
  baste: ['layer', 'turn'],
  quilt: ['quilt'],
  bind: CLOSING_STEPS,
};

/** Square feet and feet round of a size. */
export function feetOf({ width, height, unit }: QuiltSize): {
  readonly area: number;
  readonly round: number;
} {
  const foot = fromInches(12, unit);
  return { area: (width * height) / foot ** 2, round: (2 * (width + height)) / foot };
}

/** How much was basted, quilted and bound of quilts whose size is known, where their log says that it is done. */
export function sizeDoneIn(log: readonly LogEntry[], sizes: ReadonlyMap<string, QuiltSize>): SizeDone {
  return (quilt, work) => {
    const size = sizes.get(quilt);
    const steps = DONE_BY[work];
    if (!size || !steps) return null;
    const { done } = sewRecord(log, quilt, size.unit);
    if (!steps.some((step) => done.has(step))) return null;
    const { area, round } = feetOf(size);
    return work === 'bind' ? round : area;
  };
}
