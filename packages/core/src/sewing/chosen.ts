import type { SewRecord } from '../log/sew-record.ts';
import type { Plan } from '../plan/shape.ts';
import type { Quilt } from '../quilt/quilt.ts';
import { guideOf } from './guide.ts';
import type { GuideStep } from './guide-step.ts';
import { seamKey } from './machine.ts';
import type { Pressing } from './pressing.ts';
import { pressingOf, type Sewing, sewingOf, type SewingWay } from './sewing.ts';

/** How a quilt is sewn; the way is null where no straight seams will do, with the reason in `sewing`. */
export interface ChosenSewing {
  readonly sewing: Sewing;
  readonly way: SewingWay | null;
  readonly pressing: Pressing | null;
  readonly guide: readonly GuideStep[];
}

/**
 * The sewing as its maker chose it, or the best there is: every way, then the one, how it is pressed, and its steps.
 * Screen, machine, paper and files all ask this.
 *
 * @example
 * const plan = { ...startPlan('sashed-sampler'), grid: { across: 2, down: 5 } };
 * chosenSewing(plan, computeQuilt(plan), null).way.method.id; // 'web'
 */
export function chosenSewing(plan: Plan, quilt: Quilt, chosen: SewRecord['chosen']): ChosenSewing {
  const sewing = sewingOf(plan, quilt.layout, chosen ?? undefined);
  const byId = (id: string | undefined) => sewing.ways.find(({ method }) => method.id === id);
  const way = byId(chosen?.method) ?? byId(sewing.best?.id) ?? null;
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
  return { sewing, way, pressing, guide: guideOf(plan, quilt, sewing, way, pressing) };
}
