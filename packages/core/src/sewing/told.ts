import type { Layout } from '../layout/lay-out.ts';
import type { Plan } from '../plan/shape.ts';
import type { SeamParts } from './parts.ts';
import type { Pressing } from './pressing.ts';
import type { Sewing, SewingWay } from './sewing.ts';
import type { SeamWords } from './words.ts';

/** What a step of sewing is told from. */
export interface Told {
  readonly plan: Plan;
  /** The top's size at each step, as its layout has them. */
  readonly sizes: Layout['sizes'];
  readonly sewing: Sewing;
  readonly way: SewingWay;
  readonly pressing: Pressing;
  readonly parts: readonly SeamParts[];
  readonly words: SeamWords;
}
