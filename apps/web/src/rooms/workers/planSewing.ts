import {
  type ChosenSewing,
  chosenSewing,
  computeQuilt,
  type Edge,
  type Plan,
  type Sewing,
  type SewingWay,
  type SewRecord,
} from '@lattice/core';

/** What the page asks of the worker: how a quilt is sewn, as its maker chose. */
export interface SewingJob {
  readonly plan: Plan;
  readonly chosen: SewRecord['chosen'];
  /** As it is cut at the table: what is sewn round the quilt in the end. */
  readonly edge: Edge;
}

/** The sewing as a worker hands it over. */
export type PlannedSewing = ChosenSewing;

/** Works the sewing out, with what the page needs of it. */
export function planSewing({ plan, chosen, edge }: SewingJob): PlannedSewing {
  const { sewing, way, ...rest } = chosenSewing(plan, { ...computeQuilt(plan), edge }, chosen);
  return { ...rest, sewing: light(sewing), way: way && bare(way) };
}

/** What the page needs of it: of the ways it does not go their effort alone, of the top its pieces. */
const light = (sewing: Sewing): Sewing => ({
  ...sewing,
  top: { ...sewing.top, lines: [], shared: [] },
  ways: sewing.ways.map((way) => ({ ...way, seams: [], steps: [] })),
});

/** Where seams cross is told by the pressing. */
const bare = (way: SewingWay): SewingWay => ({
  ...way,
  seams: way.seams.map((seam) => ({ ...seam, crossings: [] })),
});
