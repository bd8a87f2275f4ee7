import { formatWithUnit } from '../length/format.ts';
import type { Layout } from '../layout/lay-out.ts';
import { fabricById } from '../plan/fabric-use.ts';
import { isOfBorder } from '../piece/roles.ts';
import type { Plan } from '../plan/shape.ts';
import { settingOf } from '../setting/registry.ts';
import { SeamLedger, NotSewable, type Seam, type SewnStep } from './seam-ledger.ts';
import { sewBorders } from './borders.ts';
import { type Effort, effortOf } from './effort.ts';
import type { SewingHabits, SewingMethod } from './method.ts';
import { type BlockPlace, blockPlaces } from './places.ts';
import { pressAll, type Pressing, type PressWish } from './pressing.ts';
import { METHODS } from './registry.ts';
import { type Top, topOf } from './top.ts';

/** One way a top can be sewn, seam by seam. */
export interface SewingWay {
  readonly method: Pick<SewingMethod, 'id' | 'name' | 'says'>;
  readonly seams: readonly Seam[];
  readonly steps: readonly SewnStep[];
  readonly effort: Effort;
}

/** How a top can be sewn: every way that suits it, and the best of them with its reason. */
export interface Sewing {
  readonly top: Top;
  readonly places: ReadonlyMap<number, BlockPlace>;
  /** In the order of the registry; empty where straight seams will not do. */
  readonly ways: readonly SewingWay[];
  readonly best: { readonly id: string; readonly why: string } | null;
  /** Why no way suits it; null where one does. */
  readonly hindered: string | null;
}

const LEFT_TO_RIGHT: SewingHabits = { fromRight: false, alternate: false };

/** Every way of sewing a layout together. The plan has passed `planProblems`, and the layout is its own. */
export function sewingOf(plan: Plan, layout: Layout, habits: SewingHabits = LEFT_TO_RIGHT): Sewing {
  const top = topOf(layout);
  const centre = top.pieces.flatMap(({ role }, piece) => (isOfBorder(role) ? [] : [piece]));
  const quilted = settingOf(plan.setting.kind).quilted ?? false;
  const refusals: string[] = [];
  const ways = METHODS.filter((method) => (method.quilted ?? false) === quilted).flatMap(
    (method): SewingWay[] => {
      const bench = new SeamLedger(top);
      try {
        method.sewCentre(bench, { top, pieces: centre, habits });
        sewBorders(bench, plan.borders, centre[0]!);
      } catch (error) {
        if (!(error instanceof NotSewable)) throw error;
        refusals.push(error.message);
        return [];
      }
      const { seams, steps } = bench;
      const { id, name, says } = method;
      const effort = effortOf(seams, steps, method.chained ?? false, plan.unit);
      return [{ method: { id, name, says }, seams, steps, effort }];
    },
  );
  const longest = refusals.reduce((a, b) => (b.length > a.length ? b : a), '');
  return {
    top,
    places: blockPlaces(top),
    ways,
    best: bestOf(ways, plan),
    // The longest refusal is the one that knows most.
    hindered: ways.length > 0 ? null : longest,
  };
}

/** The way that takes the least time, and what it has before the next. */
function bestOf(ways: readonly SewingWay[], { unit }: Plan): Sewing['best'] {
  const [first, next] = [...ways].sort((a, b) => a.effort.minutes - b.effort.minutes);
  if (!first) return null;
  const { id } = first.method;
  if (!next) return { id, why: 'The one way that suits it.' };
  const saves = next.effort.minutes - first.effort.minutes;
  const seam = `its longest seam is ${formatWithUnit(first.effort.longest, unit)}`;
  const trips = `${first.effort.trips} trips to the iron`;
  return {
    id,
    why:
      saves > 0
        ? `About ${saves} minutes less than ${next.method.name.toLowerCase()}: ${trips}, ${seam}.`
        : `As quick as ${next.method.name.toLowerCase()}, and ${trips}; ${seam}.`,
  };
}

/** Which way the seams of a way are pressed, and how many crossings nest. */
export function pressingOf(
  plan: Plan,
  layout: Layout,
  { top, places }: Pick<Sewing, 'top' | 'places'>,
  { seams }: Pick<SewingWay, 'seams'>,
  wish: PressWish = {},
): Pressing {
  const colours = top.pieces.map(({ part }) => {
    const from = layout.parts[part]!.cutFrom;
    return from && fabricById(plan, from.fabric).colour;
  });
  return pressAll(seams, { top, places, colourOf: (piece) => colours[piece]! }, wish);
}
