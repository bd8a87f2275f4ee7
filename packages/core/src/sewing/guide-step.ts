import type { EdgeStep } from '../edge/finish/finish.ts';
import type { PartSize } from './part-sizes.ts';

/** One step of the work as it is told: a sitting at the machine, or something that is done besides. */
export interface GuideStep extends EdgeStep {
  /** Its seams by their numbers; none for what comes after the top. */
  readonly seams: readonly number[];
  /** Its seams are sewn in one go and cut apart, not one by one: units of squares left whole, or of strips. */
  readonly inOneGo?: true;
  /** Seams that are run at the machine where they are fewer than the pieces have: long ones, of strips sewn before they are cut. */
  readonly run?: number;
  /** What the parts it makes should measure when it is done, raw edge to raw edge; empty where that says nothing. */
  readonly measures: readonly PartSize[];
}

/** The cautions of a whole guide, each once: for paper, which is read from its beginning. */
export const cautionsOf = (guide: readonly GuideStep[]): string[] => [
  ...new Set(guide.flatMap(({ cautions }) => cautions)),
];
