import type { Work } from '../choice/works.ts';

/** Something that is done at the table or the machine: so much of one kind of work. */
interface WorkJob {
  readonly id: string;
  readonly name: string;
  readonly what: 'work';
  readonly work: Work;
  readonly amount: number;
  /** Jobs that have to be done before it. */
  readonly after: readonly string[];
}

/** Days that pass whether anybody sews or not: cloth on its way, the wash, the post. */
interface WaitJob {
  readonly id: string;
  readonly name: string;
  readonly what: 'wait';
  /** The fewest, most likely and most days. */
  readonly days: readonly [number, number, number];
  /** It is not over before this date. */
  readonly until: string | null;
  readonly after: readonly string[];
}

/** A place in somebody's queue: what comes too late for it waits for another. */
interface SlotJob {
  readonly id: string;
  readonly name: string;
  readonly what: 'slot';
  readonly starts: string;
  readonly ready: string;
  /** Days until another place, where this one is missed. */
  readonly again: readonly [number, number, number];
  readonly after: readonly string[];
}

/** What is left to do of a quilt, in the order it is done; what comes after something stands after it. */
export type Job = WorkJob | WaitJob | SlotJob;

/** A quilt that shares the maker's hours. */
export interface QuiltJobs {
  readonly quilt: string;
  readonly title: string;
  /** The date it has to be ready by; null for whenever it is. */
  readonly due: string | null;
  readonly jobs: readonly Job[];
}
