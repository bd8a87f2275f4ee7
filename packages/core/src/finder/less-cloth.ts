import { numberOf } from '../figure/figure.ts';
import { formatSize, formatWithUnit } from '../length/format.ts';
import { atLeast, TOLERANCE } from '../length/tolerance.ts';
import { rulerStep } from '../length/unit.ts';
import { TURN_FABRICS } from '../piece/piece.ts';
import { JOB_NAMES } from '../piece/roles.ts';
import { fabricById, fabricFor, fabricUses, withFabric } from '../plan/fabric-use.ts';
import type { Plan } from '../plan/shape.ts';
import { computeQuilt } from '../quilt/compute.ts';
import type { Quilt } from '../quilt/quilt.ts';
import { lengthsOf, withLengths } from '../setting/registry.ts';
import { plannedSize } from '../soundness/planned-size.ts';
import { planProblems } from '../soundness/problems.ts';
import { allowanceFor } from '../shopping/buy.ts';
import { squaredOff } from '../shopping/shop-cut.ts';

/** What can be changed when a cloth is short. */
type WayOut =
  | 'joins'
  | 'sash'
  | 'sash-and-border'
  | 'pieced-sash'
  | 'border'
  | 'direction'
  | 'in-turns'
  | 'other-cloth'
  | 'grid';

/** Of ways that leave the quilt as large as it is, what changes least of how it looks comes first. */
const MILDEST: readonly WayOut[] = [
  'joins',
  'direction',
  'sash-and-border',
  'sash',
  'pieced-sash',
  'in-turns',
  'other-cloth',
];

/** One way to make do with the cloth there is. */
export interface WayToUseLess {
  readonly id: string;
  readonly way: WayOut;
  /** "Sashes of 1 1/4″ instead of 1 1/2″" */
  readonly title: string;
  /** What the quilt then is, and what it takes of the cloth. */
  readonly says: string;
  readonly plan: Plan;
  /** Of the cloth, in the plan's unit. */
  readonly needed: number;
  /** How far the quilt's size moves, width and height together. */
  readonly moves: number;
}

/** Cloth in hand: which one, and how long it is. */
export interface InHand {
  readonly cloth: string;
  readonly length: number;
}

/** Steps of a width that are tried, at most. */
const MOST_STEPS = 24;

/**
 * Ways out when there is only so much of a cloth, borders included: strips joined straight, narrower or pieced sashes, a
 * narrower sash with a wider border that keeps the size, narrower borders, strips cut the other way, another cloth that takes turns with it or does one of its jobs, fewer rows or columns. Only what then really is enough, with its
 * end squared and what the wash takes; what changes the quilt least comes first.
 */
export function waysToUseLessCloth(plan: Plan, { cloth, length }: InHand): WayToUseLess[] {
  const before = computeQuilt(plan);
  const found = [
    ...straightJoins(plan, cloth, length),
    ...narrowerSash(plan, cloth, length),
    ...sashIntoBorder(plan, cloth, length),
    ...piecedSash(plan, cloth, length),
    ...narrowerBorders(plan, cloth, length),
    ...otherDirection(plan, cloth, length),
    ...inTurnsWith(plan, cloth, length),
    ...otherCloth(plan, cloth, length),
    ...smallerGrid(plan, cloth, length),
  ];
  const now = wantedOf(plan, before, cloth);
  return (
    found
      // What takes no less of it helps nobody.
      .filter(({ needed }) => needed < now - TOLERANCE)
      .map(({ quilt, ...way }): WayToUseLess => ({
        ...way,
        says: `${formatSize(quilt.finished.width.value, quilt.finished.height.value, plan.unit)}, ${formatWithUnit(way.needed, plan.unit)} of the cloth`,
        moves: movedBetween(before, quilt),
      }))
      .sort(
        (a, b) => a.moves - b.moves || MILDEST.indexOf(a.way) - MILDEST.indexOf(b.way) || a.needed - b.needed,
      )
  );
}

/** Whether there is enough of it as the plan stands, with what squaring and the wash take. */
export const isEnough = (plan: Plan, quilt: Quilt, { cloth, length }: InHand): boolean =>
  atLeast(length, wantedOf(plan, quilt, cloth));

type Found = Omit<WayToUseLess, 'says' | 'moves'> & { readonly quilt: Quilt };

/** Length of a cloth a quilt wants of the shop, before shops round it. */
function wantedOf(plan: Plan, quilt: Quilt, cloth: string): number {
  const cut = quilt.fabrics.find(({ fabric }) => fabric.id === cloth);
  if (!cut) return 0;
  const allowance = allowanceFor(plan, cut.fabric, cut);
  return (cut.needed.value + squaredOff(allowance) + allowance.spare) / (1 - allowance.shrinkage / 100);
}

function tried(plan: Plan, cloth: string, length: number) {
  if (planProblems(plan).length > 0) return null;
  const quilt = computeQuilt(plan);
  const needed = wantedOf(plan, quilt, cloth);
  const holds = quilt.fabrics.every(({ tooNarrow }) => tooNarrow.length === 0);
  return holds && atLeast(length, needed) ? { plan, quilt, needed } : null;
}

/** The widest that is enough, a ruler's step narrower each time. */
function narrower(
  from: number,
  plan: Plan,
  at: (width: number) => Plan,
  enough: (plan: Plan) => ReturnType<typeof tried>,
) {
  const step = rulerStep(plan.unit);
  for (let i = 1; i <= MOST_STEPS && from - i * step > step - TOLERANCE; i++) {
    const width = from - i * step;
    const found = enough(at(width));
    if (found) return { ...found, width };
  }
  return null;
}

/** Straight joins take two seams where diagonal ones take a strip's width: the mildest way, for the quilt stays as it is. */
function straightJoins(plan: Plan, cloth: string, length: number): Found[] {
  const own = plan.borders.filter(
    (border) => border.fabric === cloth && border.joins === 'diagonal' && !border.pieced,
  );
  if (own.length === 0) return [];
  const ids = new Set(own.map(({ id }) => id));
  const borders = plan.borders.map((border) =>
    ids.has(border.id) ? { ...border, joins: 'straight' as const } : border,
  );
  const found = tried({ ...plan, borders }, cloth, length);
  if (!found) return [];
  const what = own.length > 1 ? 'Borders' : 'The border';
  return [
    { ...found, id: 'joins', way: 'joins', title: `${what} joined straight instead of on the diagonal` },
  ];
}

/** The sash narrower and the outermost border of another cloth wider by what that takes: the quilt keeps its size. */
function sashIntoBorder(plan: Plan, cloth: string, length: number): Found[] {
  const { sash } = lengthsOf(plan.setting);
  const outer = plan.borders.findLast((border) => border.fabric !== cloth && !border.pieced);
  if (sash === undefined || !outer || plan.fabricFor.sash !== cloth) return [];
  const { width, height } = plannedSize(plan);
  const found = narrower(
    sash,
    plan,
    (to) => {
      const changed = { ...plan, setting: withLengths(plan.setting, { sash: to }) };
      const now = plannedSize(changed);
      return {
        ...changed,
        borders: plan.borders.map((border) =>
          border === outer
            ? {
                ...border,
                sides: border.sides + (width - now.width) / 2,
                ends: border.ends + (height - now.height) / 2,
              }
            : border,
        ),
      };
    },
    (changed) => tried(changed, cloth, length),
  );
  if (!found) return [];
  const show = (v: number) => formatWithUnit(v, plan.unit);
  const wide = found.plan.borders[plan.borders.indexOf(outer)]!;
  const border =
    Math.abs(wide.sides - wide.ends) < TOLERANCE
      ? show(wide.sides)
      : `${show(wide.sides)} at the sides and ${show(wide.ends)} at top and bottom`;
  return [
    {
      ...found,
      id: 'sash-and-border',
      way: 'sash-and-border',
      title: `Sashes of ${show(found.width)} instead of ${show(sash)}, and a border of ${border}: the quilt keeps its size`,
    },
  ];
}

function narrowerSash(plan: Plan, cloth: string, length: number): Found[] {
  const { sash } = lengthsOf(plan.setting);
  const uses = fabricUses(plan).filter((use) => fabricFor(plan, use) === cloth);
  if (sash === undefined || !uses.some(({ what }) => what === 'sash' || what === 'middle-sash')) return [];
  const found = narrower(
    sash,
    plan,
    (width) => ({ ...plan, setting: withLengths(plan.setting, { sash: width }) }),
    (changed) => tried(changed, cloth, length),
  );
  if (!found) return [];
  const show = (v: number) => formatWithUnit(v, plan.unit);
  return [
    { ...found, id: 'sash', way: 'sash', title: `Sashes of ${show(found.width)} instead of ${show(sash)}` },
  ];
}

/** A sash pieced of two strips or three, one of them of another cloth: narrow ones save only in two, for their seams. */
function piecedSash(plan: Plan, cloth: string, length: number): Found[] {
  const { setting } = plan;
  if (!('strips' in setting) || setting.strips !== '1' || plan.fabricFor.sash !== cloth) return [];
  const chosen = plan.fabricFor['middle-sash'];
  const other = chosen === cloth ? plan.fabrics.find(({ id }) => id !== cloth)?.id : chosen;
  if (other === undefined) return [];
  const name = fabricById(plan, other).name;
  const ways = [
    { strips: '3', title: `Sashes of three strips, ${name} in the middle` },
    { strips: '2', title: `Sashes of two strips, one of ${name}` },
  ] as const;
  for (const { strips, title } of ways) {
    const fabricFor = { ...plan.fabricFor, 'middle-sash': other };
    const found = tried({ ...plan, setting: { ...setting, strips }, fabricFor }, cloth, length);
    if (found) return [{ ...found, id: 'pieced-sash', way: 'pieced-sash', title }];
  }
  return [];
}

/** Another cloth takes turns with it in a job of the setting. */
function inTurnsWith(plan: Plan, cloth: string, length: number): Found[] {
  const jobs = TURN_FABRICS.filter(
    (what) => plan.fabricFor[what] === cloth && !plan.rotations.some((r) => r.for === what),
  );
  return jobs.flatMap((what): Found[] => {
    const turns = JOB_NAMES[what];
    for (const other of plan.fabrics) {
      if (other.id === cloth) continue;
      const rotation = { for: what, fabrics: [other.id], order: 'sequence' as const, seed: 1 };
      const found = tried({ ...plan, rotations: [...plan.rotations, rotation] }, cloth, length);
      // A job nothing is cut for helps nobody.
      if (!found || found.needed >= wantedOf(plan, computeQuilt(plan), cloth) - TOLERANCE) continue;
      return [
        { ...found, id: `turns-${what}`, way: 'in-turns', title: `${turns} in turn with ${other.name} too` },
      ];
    }
    return [];
  });
}

function narrowerBorders(plan: Plan, cloth: string, length: number): Found[] {
  return plan.borders.flatMap((border, i): Found[] => {
    if (border.fabric !== cloth) return [];
    const wide = Math.max(border.sides, border.ends);
    const found = narrower(
      wide,
      plan,
      (width) => ({
        ...plan,
        borders: plan.borders.map((b, at) =>
          at === i ? { ...b, sides: Math.min(b.sides, width), ends: Math.min(b.ends, width) } : b,
        ),
      }),
      (changed) => tried(changed, cloth, length),
    );
    if (!found) return [];
    const show = (v: number) => formatWithUnit(v, plan.unit);
    const name = plan.borders.length > 1 ? `Border ${i + 1}` : 'Border';
    return [
      {
        ...found,
        id: `border-${border.id}`,
        way: 'border',
        title: `${name} of ${show(found.width)} instead of ${show(wide)}`,
      },
    ];
  });
}

function otherDirection(plan: Plan, cloth: string, length: number): Found[] {
  return plan.borders.flatMap((border, i): Found[] => {
    if (border.fabric !== cloth || border.pieced) return [];
    const cut = border.cut === 'lengthwise' ? ('crosswise' as const) : ('lengthwise' as const);
    // A print that has a direction would lie on its side at top and bottom (rule CU-3).
    if (cut === 'lengthwise' && fabricById(plan, cloth).direction !== 'none') return [];
    const found = tried(
      { ...plan, borders: plan.borders.map((b, at) => (at === i ? { ...b, cut } : b)) },
      cloth,
      length,
    );
    if (!found) return [];
    const name = plan.borders.length > 1 ? `Border ${i + 1}` : 'The border';
    const how = cut === 'crosswise' ? 'cut across the cloth, joined' : 'cut along the selvage, no joins';
    return [{ ...found, id: `direction-${border.id}`, way: 'direction', title: `${name} ${how}` }];
  });
}

function otherCloth(plan: Plan, cloth: string, length: number): Found[] {
  const uses = fabricUses(plan).filter((use) => fabricFor(plan, use) === cloth);
  const others = plan.fabrics.filter(({ id }) => id !== cloth);
  return uses.flatMap((use): Found[] => {
    for (const other of others) {
      const found = tried(withFabric(plan, use, other.id), cloth, length);
      // A job nothing is cut for helps nobody.
      if (!found || found.needed >= wantedOf(plan, computeQuilt(plan), cloth) - TOLERANCE) continue;
      const of = use.what.replace(/-/g, ' ');
      return [
        {
          ...found,
          id: `cloth-${JSON.stringify(use)}`,
          way: 'other-cloth',
          title: `The ${of} from ${other.name}`,
        },
      ];
    }
    return [];
  });
}

function smallerGrid(plan: Plan, cloth: string, length: number): Found[] {
  const { across, down } = plan.grid;
  return (
    [
      ['column', across - 1, down],
      ['row', across, down - 1],
    ] as const
  ).flatMap(([what, a, d]): Found[] => {
    if (a < 1 || d < 1) return [];
    const found = tried({ ...plan, grid: { across: a, down: d }, wall: [], measured: [] }, cloth, length);
    if (!found) return [];
    const left = across * down - a * d;
    return [
      {
        ...found,
        id: `grid-${what}`,
        way: 'grid',
        title: `One ${what} fewer: ${a} by ${d}, ${numberOf(left, 'block')} for something else`,
      },
    ];
  });
}

const movedBetween = (a: Quilt, b: Quilt): number =>
  Math.abs(a.finished.width.value - b.finished.width.value) +
  Math.abs(a.finished.height.value - b.finished.height.value);
