import type { Point } from '@lattice/core';
import {
  type Camera,
  CAMERA_VALUES,
  cameraFrom,
  cameraOf,
  type CameraValues,
  perspective,
} from '../camera/camera.ts';
import { type Fitted, leastSquares } from '../camera/least-squares.ts';
import { askew, type FoundReference, rectangle, squareAt } from './reference.ts';
import { lineThrough, offLine } from '../picture/straight.ts';

/** A line of the table that is straight, as points where the photo shows it. */
export interface SeenLine {
  readonly points: readonly Point[];
  /** How surely each is placed, in pixels. */
  readonly sure: number;
}

/** What is known of a place on the table: where it lies, and where it is seen. */
export interface KnownPlace {
  readonly place: Point;
  readonly seen: Point;
  readonly sure: number;
}

/** All a photo tells about its camera. */
export interface Evidence {
  readonly width: number;
  readonly height: number;
  readonly known: readonly KnownPlace[];
  readonly found: FoundReference | null;
  readonly lines: readonly SeenLine[];
}

/** The camera, and how surely it is known. */
export interface FittedCamera {
  readonly camera: Camera;
  readonly fitted: Fitted;
  /** How far its focal length, axis or bend came out from what is usual, in the spreads expected of each. */
  readonly unusual: number;
}

/** Lenses of cameras people carry, as on a frame of 36 by 24 mm: most between 22 and 52 mm (common practice). */
const USUAL_FOCAL = 31;
const FOCAL_SPREAD = 0.32;
/** How much a usual lens still bends: within 0.02 (from memory). */
const BEND_SPREAD = 0.02;
/** How far the lens's axis is from the middle of the picture, as a share of its longer side (from memory). */
const AXIS_SPREAD = 0.006;
/** How far a printed outline may seem moved by ink and blur, in inches. */
const BLEED_SPREAD = 0.004;

/** The focal length in pixels of a lens as on a frame of 36 by 24 mm. */
const focalInPixels = (mm: number, width: number, height: number): number =>
  (mm / Math.hypot(36, 24)) * Math.hypot(width, height);

const STEPS = [0.01, 1, 1, 0.001, 0.001, 0.001, 0.001, 0.01, 0.01, 0.02];

/**
 * The camera that explains best what a photo shows: places known, squares of one inch and lines that are straight.
 * What it does not show (focal length, bend, axis) is held near what is usual.
 *
 * @param before an earlier fit to begin from
 */
export function fitCamera(evidence: Evidence, before?: CameraValues): FittedCamera | null {
  const { width, height, known, found, lines } = evidence;
  const usual = Math.log(focalInPixels(USUAL_FOCAL, width, height));
  const begin = before ?? firstGuess(evidence);
  if (!begin) return null;
  const outer = found ? rectangle(found.width, found.height) : [];
  const cards = found?.reference.kind === 'cards';
  const back = cameraOf(begin);
  const angles = cards
    ? found.squares.map((s, k) =>
        askew(
          s.corners.map((p) => back.place(p)),
          k,
        ),
      )
    : [];
  const start = [...begin, ...(found ? [0] : []), ...angles];
  const steps = [...STEPS, ...(found ? [0.001] : []), ...angles.map(() => 0.002)];
  const long = Math.max(width, height);
  const residuals = (v: readonly number[]): number[] => {
    const camera = cameraOf(v.slice(0, CAMERA_VALUES));
    const out = [
      (v[0]! - usual) / FOCAL_SPREAD,
      (v[1]! - width / 2) / (AXIS_SPREAD * long),
      (v[2]! - height / 2) / (AXIS_SPREAD * long),
      v[3]! / BEND_SPREAD,
    ];
    for (const k of known) {
      const p = camera.seen(k.place);
      out.push((p.x - k.seen.x) / k.sure, (p.y - k.seen.y) / k.sure);
    }
    if (found) {
      const bleed = v[CAMERA_VALUES]!;
      out.push(bleed / BLEED_SPREAD);
      found.squares.forEach((s, k) => {
        const turn = cards ? v[CAMERA_VALUES + 1 + k]! : 0;
        squareAt(outer[k]!, k, turn, bleed).forEach((place, i) => {
          const p = camera.seen(place);
          const at = s.corners[i]!;
          out.push((p.x - at.x) / s.sure, (p.y - at.y) / s.sure);
        });
      });
    }
    for (const line of lines) {
      const straight = line.points.map((p) => camera.unbent(p));
      const through = lineThrough(straight);
      for (const p of straight) out.push(through ? gently(offLine(through, p) / line.sure) : 0);
    }
    return out;
  };
  // A reference that no camera explains leaves equations that have no answer.
  const fitted = solved(() => leastSquares(residuals, start, steps));
  if (!fitted?.values.every(Number.isFinite)) return null;
  const unusual = Math.max(...residuals(fitted.values).slice(0, PRIORS).map(Math.abs));
  return { camera: cameraOf(fitted.values.slice(0, CAMERA_VALUES)), fitted, unusual };
}

/** The first residuals hold what a photo does not show near what is usual: focal length, axis both ways, bend. */
const PRIORS = 4;

/** The answer, or null where the library finds none and throws. */
function solved(answer: () => Fitted): Fitted | null {
  try {
    return answer();
  } catch {
    return null;
  }
}

/** Beyond three times what is expected a residual counts by its root only: strays do not pull (Huber). */
const gently = (r: number): number => (Math.abs(r) <= 3 ? r : Math.sign(r) * Math.sqrt(6 * Math.abs(r) - 9));

function firstGuess({ width, height, known, found }: Evidence): CameraValues | null {
  const places = [...known.map((k) => k.place), ...(found ? rectangle(found.width, found.height) : [])];
  const seen = [...known.map((k) => k.seen), ...(found?.corners ?? [])];
  if (places.length < 4) return null;
  const h = perspective(places, seen);
  return h && cameraFrom(h, focalInPixels(USUAL_FOCAL, width, height), width / 2, height / 2);
}
