import { nearestWhole, TOLERANCE } from '../length/tolerance.ts';

/** Scallops along one side between two corners: arcs alike, their tops on the quilt's edge and their valleys `depth` inside it. */
export interface SideScallops {
  readonly count: number;
  /** From valley to valley. */
  readonly width: number;
  readonly radius: number;
  /** Half of what each arc turns through, in radians. */
  readonly half: number;
}

/** Scallops all round a quilt, each side divided evenly and every corner turned. */
export interface Scallops {
  readonly depth: number;
  readonly across: SideScallops;
  readonly down: SideScallops;
  /** The corner's arc, with its top on both edges; `inset` is how far along each side its valley lies. */
  readonly corner: { readonly radius: number; readonly half: number; readonly inset: number };
}

/** Radius of an arc over a chord with this rise: `(c²/4 + d²) ÷ 2d` (geometry). */
export const arcRadius = (chord: number, rise: number): number => ((chord * chord) / 4 + rise * rise) / (2 * rise);

/** Half the angle of an arc over a chord with this rise. A rise above half the chord would be more than half a circle. */
const halfAngle = (radius: number, rise: number): number => Math.acos((radius - rise) / radius);

/** Half the chord of a circle at this rise. */
const halfChord = (radius: number, rise: number): number => Math.sqrt(Math.max(0, 2 * radius * rise - rise * rise));

/**
 * Divides both sides into scallops about `width` wide and `depth` deep. A corner is turned by an arc of a
 * circle that touches both edges; its radius is chosen so that its shoulders are as wide as the scallops
 * beside it. Each side then holds a whole number, evenly; one fewer where they would come out as more than
 * half circles and run into one another.
 */
export function solveScallops(quilt: { width: number; height: number }, width: number, depth: number): Scallops {
  const room = quilt.width - 2 * insetOf(arcRadius(width, depth), depth);
  const rise = quilt.height - 2 * insetOf(arcRadius(width, depth), depth);
  let [n, m] = [Math.max(1, nearestWhole(room / width)), Math.max(1, nearestWhole(rise / width))];
  for (;;) {
    const solved = dividedInto(quilt, n, m, depth);
    const steep = (side: SideScallops) => side.count > 1 && side.width < 2 * depth - TOLERANCE;
    if (steep(solved.across)) n--;
    else if (steep(solved.down)) m--;
    else return solved;
  }
}

/** How far along a side the valley beside a corner lies. */
const insetOf = (radius: number, depth: number): number => radius + halfChord(radius, depth);

/** So many scallops a side, and the corner that goes with them. */
function dividedInto(quilt: { width: number; height: number }, n: number, m: number, depth: number): Scallops {
  // The wider the corner the narrower the scallops: one radius makes both shoulders of the corner alike on average.
  const shoulders = (radius: number) => {
    const share = (side: number, count: number) => (side - 2 * insetOf(radius, depth)) / count;
    return (share(quilt.width, n) + share(quilt.height, m)) / 2 - 2 * halfChord(radius, depth);
  };
  let [low, high] = [depth, Math.min(quilt.width, quilt.height) / 2];
  for (let i = 0; i < 80; i++) {
    const middle = (low + high) / 2;
    if (shoulders(middle) > 0) low = middle;
    else high = middle;
  }
  const radius = (low + high) / 2;
  const inset = insetOf(radius, depth);
  const along = (side: number, count: number): SideScallops => {
    const chord = (side - 2 * inset) / count;
    const own = arcRadius(chord, depth);
    return { count, width: chord, radius: own, half: halfAngle(own, depth) };
  };
  return { depth, across: along(quilt.width, n), down: along(quilt.height, m), corner: { radius, half: halfAngle(radius, depth), inset } };
}

/** Why scallops of this size cannot go round a quilt of this size; null when they can. */
export function scallopRefusal(quilt: { width: number; height: number }, width: number, depth: number): 'too-deep' | 'too-wide' | null {
  if (depth > width / 2 + TOLERANCE) return 'too-deep';
  const radius = arcRadius(width, depth);
  if (Math.min(quilt.width, quilt.height) < 2 * (radius + width / 2) + width * 0.6) return 'too-wide';
  // Even a single one left between two corners may be squeezed past half a circle.
  const { across, down } = solveScallops(quilt, width, depth);
  return Math.min(across.width, down.width) < 2 * depth - TOLERANCE ? 'too-wide' : null;
}

/** Length of one arc along a side, and of a corner's. */
export const arcLength = ({ radius, half }: { readonly radius: number; readonly half: number }): number => 2 * radius * half;
export const cornerLength = ({ radius, half }: Scallops['corner']): number => radius * (Math.PI / 2 + 2 * half);
