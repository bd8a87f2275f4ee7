import { TOLERANCE } from '../length/tolerance.ts';
import { type Side, SIDES } from '../choice/edge.ts';

/** Scallops along one side between two corners: arcs alike, their tops on the quilt's edge and their valleys `depth` inside it. */
export interface SideScallops {
  readonly count: number;
  /** From valley to valley. */
  readonly width: number;
  readonly radius: number;
  /** Half of what each arc turns through, in radians. */
  readonly half: number;
}

/** Scallops on some or all sides of a quilt, each side divided evenly, and turned round every corner between two of them. */
export interface Scallops {
  readonly depth: number;
  readonly sides: readonly Side[];
  /** Along the top and the bottom, and along the sides; null where neither of the two has any. */
  readonly across: SideScallops | null;
  readonly down: SideScallops | null;
  /** The corner's arc, with its top on both edges; `inset` is how far along each side its valley lies. Null where no two scalloped sides meet. */
  readonly corner: ScallopCorner | null;
}

/** A corner turned by an arc. */
export interface ScallopCorner {
  readonly radius: number;
  readonly half: number;
  readonly inset: number;
}

/** Radius of an arc over a chord with this rise: `(c²/4 + d²) ÷ 2d` (geometry). */
export const arcRadius = (chord: number, rise: number): number =>
  ((chord * chord) / 4 + rise * rise) / (2 * rise);

/** Half the angle of an arc over a chord with this rise. A rise above half the chord would be more than half a circle. */
const halfAngle = (radius: number, rise: number): number => Math.acos((radius - rise) / radius);

/** Half the chord of a circle at this rise. */
const halfChord = (radius: number, rise: number): number =>
  Math.sqrt(Math.max(0, 2 * radius * rise - rise * rise));

/** How far along a side the valley beside a corner lies. */
const insetOf = (radius: number, depth: number): number => radius + halfChord(radius, depth);

/** Widths that scallops may come out at, beside the width that was asked for. */
const NARROWEST = 0.65;
const WIDEST = 1.45;
/** How much a width unlike the one asked for weighs beside scallops unlike one another. */
const OFF_WEIGHT = 0.2;
/** Corners are tried so finely between the narrowest and the widest, then between the best two neighbours. */
const CORNERS_TRIED = 120;

/** What is divided: the two lengths, with how many of each one's ends are turned corners. */
interface Sides {
  readonly lengths: readonly {
    readonly which: 'across' | 'down';
    readonly length: number;
    readonly turned: number;
  }[];
  readonly corners: boolean;
}

function sidesOf(quilt: { width: number; height: number }, sides: readonly Side[]): Sides {
  const has = (side: Side) => sides.includes(side);
  const level = Number(has('top')) + Number(has('bottom'));
  const upright = Number(has('left')) + Number(has('right'));
  return {
    lengths: [
      ...(level > 0 ? [{ which: 'across', length: quilt.width, turned: upright } as const] : []),
      ...(upright > 0 ? [{ which: 'down', length: quilt.height, turned: level } as const] : []),
    ],
    corners: level > 0 && upright > 0,
  };
}

/** A division: how many scallops each length holds, and how wide the corner's shoulders are where there is one. */
interface Division {
  readonly counts: readonly number[];
  readonly shoulder: number | null;
}

/**
 * Divides the scalloped sides into scallops about `width` wide and `depth` deep (rule SC-1). A corner between
 * two of them is turned by an arc of a circle that touches both edges, its shoulders valley to top as wide as
 * half a scallop. Counts and corner are chosen together so that the widest of all scallops and shoulders is as
 * little wider than the narrowest as can be, near the width asked for; none is more than half a circle. Null
 * where there is no such division.
 */
export function solveScallops(
  quilt: { width: number; height: number },
  width: number,
  depth: number,
  sides: readonly Side[] = SIDES,
): Scallops | null {
  const wanted = sidesOf(quilt, sides);
  const best = wanted.corners ? bestCornered(wanted, width, depth) : bestPlain(wanted, width, depth);
  if (!best) return null;
  const widths = widthsOf(wanted, best, depth);
  const along = (which: 'across' | 'down'): SideScallops | null => {
    const i = wanted.lengths.findIndex((l) => l.which === which);
    if (i < 0) return null;
    const radius = arcRadius(widths[i]!, depth);
    return { count: best.counts[i]!, width: widths[i]!, radius, half: halfAngle(radius, depth) };
  };
  const radius = best.shoulder === null ? null : arcRadius(best.shoulder, depth);
  return {
    depth,
    sides,
    across: along('across'),
    down: along('down'),
    corner:
      radius === null ? null : { radius, half: halfAngle(radius, depth), inset: insetOf(radius, depth) },
  };
}

/** Valley to valley of each length's scallops. */
function widthsOf({ lengths }: Sides, { counts, shoulder }: Division, depth: number): number[] {
  const inset = shoulder === null ? 0 : insetOf(arcRadius(shoulder, depth), depth);
  return lengths.map(({ length, turned }, i) => (length - turned * inset) / counts[i]!);
}

/** How uneven a division is, with a little for being off the width asked for; infinite where it cannot be. */
function unevenness(sides: Sides, division: Division, width: number, depth: number): number {
  const all = [
    ...widthsOf(sides, division, depth),
    ...(division.shoulder === null ? [] : [division.shoulder]),
  ];
  const [least, most] = [Math.min(...all), Math.max(...all)];
  if (least < Math.max(NARROWEST * width, 2 * depth) - TOLERANCE || most > WIDEST * width + TOLERANCE)
    return Infinity;
  return Math.log(most / least) + OFF_WEIGHT * Math.abs(Math.log(Math.sqrt(most * least) / width));
}

/** Sides that meet no other scalloped side only have to be near the width. */
function bestPlain(sides: Sides, width: number, depth: number): Division | null {
  return leastOf(
    sides.lengths.reduce<Division[]>(
      (found, { length }) => {
        const near = Math.max(1, Math.floor(length / width));
        return found.flatMap(({ counts }) =>
          [near, near + 1].map((count) => ({ counts: [...counts, count], shoulder: null })),
        );
      },
      [{ counts: [], shoulder: null }],
    ),
    sides,
    width,
    depth,
  );
}

function bestCornered(sides: Sides, width: number, depth: number): Division | null {
  const [least, most] = [Math.max(NARROWEST * width, 2 * depth), WIDEST * width];
  const step = (most - least) / CORNERS_TRIED;
  // For each width of shoulder, the counts that come nearest to it from either side.
  const tries = Array.from({ length: CORNERS_TRIED + 1 }, (_, i) => least + i * step).flatMap((shoulder) => {
    const inset = insetOf(arcRadius(shoulder, depth), depth);
    return sides.lengths.reduce<Division[]>(
      (found, { length, turned }) => {
        const near = Math.floor((length - turned * inset) / shoulder);
        return found.flatMap(({ counts }) =>
          [near, near + 1]
            .filter((count) => count >= 1)
            .map((count) => ({ counts: [...counts, count], shoulder })),
        );
      },
      [{ counts: [], shoulder }],
    );
  });
  const best = leastOf(tries, sides, width, depth);
  if (!best) return null;
  // With these counts the corner is settled finely: thirds of what lies between the neighbours, again and again.
  let [low, high] = [Math.max(least, best.shoulder! - step), Math.min(most, best.shoulder! + step)];
  const at = (shoulder: number): Division => ({ counts: best.counts, shoulder });
  const off = (shoulder: number) => unevenness(sides, at(shoulder), width, depth);
  for (let i = 0; i < 60; i++) {
    const [a, b] = [low + (high - low) / 3, high - (high - low) / 3];
    if (off(a) <= off(b)) high = b;
    else low = a;
  }
  return leastOf([best, at((low + high) / 2)], sides, width, depth);
}

function leastOf(
  divisions: readonly Division[],
  sides: Sides,
  width: number,
  depth: number,
): Division | null {
  let best: { division: Division; off: number } | null = null;
  for (const division of divisions) {
    const off = unevenness(sides, division, width, depth);
    if (off < (best?.off ?? Infinity)) best = { division, off };
  }
  return best?.division ?? null;
}

/** Why scallops of this size cannot go along these sides of a quilt of this size; null when they can. */
export function scallopRefusal(
  quilt: { width: number; height: number },
  width: number,
  depth: number,
  sides: readonly Side[] = SIDES,
): 'too-deep' | 'too-wide' | null {
  if (depth > width / 2 + TOLERANCE) return 'too-deep';
  return solveScallops(quilt, width, depth, sides) === null ? 'too-wide' : null;
}

/** Length of one arc along a side, and of a corner's. */
export const arcLength = ({ radius, half }: { readonly radius: number; readonly half: number }): number =>
  2 * radius * half;
/** Length of the arc that turns a corner, in the plan's unit. */
export const cornerLength = ({ radius, half }: ScallopCorner): number => radius * (Math.PI / 2 + 2 * half);
