import {
  computeQuilt,
  type GuideStep,
  guideOf,
  type Plan,
  type Pressing,
  pressingOf,
  seamKey,
  type Sewing,
  sewingOf,
  type SewingWay,
  type SewRecord,
} from '@lattice/core';

/** What the page asks of the worker: how a quilt is sewn, as its maker chose. */
export interface SewingJob {
  readonly plan: Plan;
  readonly chosen: SewRecord['chosen'];
}

/** How it is sewn; null where no straight seams will do, with the reason. */
export interface PlannedSewing {
  readonly sewing: Sewing;
  readonly way: SewingWay | null;
  readonly pressing: Pressing | null;
  readonly guide: readonly GuideStep[];
}

/** Works the sewing out: every way, then the chosen one or the best, how it is pressed, and its steps. */
export function planSewing({ plan, chosen }: SewingJob): PlannedSewing {
  const quilt = computeQuilt(plan);
  const sewing = sewingOf(plan, quilt.layout, chosen ?? undefined);
  const id = chosen?.method ?? sewing.best?.id;
  const way =
    sewing.ways.find(({ method }) => method.id === id) ??
    sewing.ways.find(({ method }) => method.id === sewing.best?.id) ??
    null;
  if (!way) return { sewing, way: null, pressing: null, guide: [] };
  const pressed = new Map(Object.entries(chosen?.pressed ?? {}));
  const fixed = new Map(
    way.seams.flatMap((seam, number) => {
      const press = pressed.get(seamKey(sewing, seam));
      return press === undefined ? [] : [[number, press] as const];
    }),
  );
  const pressing = pressingOf(plan, quilt.layout, sewing, way, {
    fixed,
    ...(chosen && { weights: chosen.weights }),
  });
  return { sewing: light(sewing), way: bare(way), pressing, guide: guideOf(plan, quilt, sewing, way) };
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
