import type { Unit } from '../length/unit.ts';

/** Kinds of work that take a maker's time, in the order they come. */
export const WORKS = ['measure', 'cut', 'sew', 'press', 'baste', 'quilt', 'bind', 'other'] as const;
export type Work = (typeof WORKS)[number];

/** What a work's time is counted by: its name, and how many of what paces are reckoned in one of it holds. */
interface CountedBy {
  readonly one: string;
  readonly holds: number;
}

interface WorkWords {
  readonly name: string;
  readonly per: Readonly<Record<Unit, CountedBy>>;
}

/** Feet in a metre, by the definition of the inch. */
const METRE = 1 / 0.3048;

const byEach = (one: string): WorkWords['per'] => ({ in: { one, holds: 1 }, cm: { one, holds: 1 } });
const byArea: WorkWords['per'] = {
  in: { one: 'square foot', holds: 1 },
  cm: { one: 'square metre', holds: METRE ** 2 },
};
const byEdge: WorkWords['per'] = {
  in: { one: 'foot of edge', holds: 1 },
  cm: { one: 'metre of edge', holds: METRE },
};

/** What each is called, and what its time is counted by in a maker's own unit; paces are reckoned in feet throughout. */
export const WORK_WORDS: Readonly<Record<Work, WorkWords>> = {
  measure: { name: 'Measuring blocks', per: byEach('block') },
  cut: { name: 'Cutting', per: byEach('cut') },
  sew: { name: 'Sewing', per: byEach('seam') },
  press: { name: 'Pressing', per: byEach('trip to the iron') },
  baste: { name: 'Layering and basting', per: byArea },
  quilt: { name: 'Quilting', per: byArea },
  bind: { name: 'Binding', per: byEdge },
  other: { name: 'Something else', per: byEach('sitting') },
};
