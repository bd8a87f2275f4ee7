import type { PartSize } from './part-sizes.ts';

/** One step of the work as it is told: a sitting at the machine, or something that is done besides. */
export interface GuideStep {
  readonly id: string;
  readonly title: string;
  /** Its seams by their numbers; none for what comes after the top. */
  readonly seams: readonly number[];
  /** What to pick up, and how it lies. */
  readonly pick: string;
  readonly does: readonly string[];
  /** What the parts it makes should measure when it is done, raw edge to raw edge; empty where that says nothing. */
  readonly measures: readonly PartSize[];
  /** What usually goes wrong here, and what helps (common practice). */
  readonly wrong: readonly string[];
  /** Where it can hurt; empty where it cannot. */
  readonly cautions: readonly string[];
}

/** The cautions of a whole guide, each once: for paper, which is read from its beginning. */
export const cautionsOf = (guide: readonly GuideStep[]): string[] => [
  ...new Set(guide.flatMap(({ cautions }) => cautions)),
];
