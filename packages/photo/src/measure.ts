import { Matrix } from 'ml-matrix';
import type { Point } from '@lattice/core';
import { type Camera, CAMERA_VALUES, cameraOf } from './camera.ts';
import { findBlock } from './find-block.ts';
import { type FineEdge, fineOutline, SAMPLES } from './fine-edges.ts';
import { type Evidence, fitCamera, type FittedCamera, type KnownPlace, type SeenLine } from './fit-camera.ts';
import { matLines } from './mat-lines.ts';
import { paperEdges } from './paper-edges.ts';
import type { Raster } from './raster.ts';
import { findReference, type FoundReference, fromTopLeft, type Reference, rectangle } from './reference.ts';
import { inRow, offSquareBy, type SixLengths, sixLengths } from './six-lengths.ts';
import { darkSquares } from './squares.ts';
import { crossing, lineDespiteStrays } from './straight.ts';
import { type Doubt, doubtsOf } from './doubts.ts';

/** What is told beside the photo itself. */
export interface PhotoAsked {
  readonly reference: Reference;
  /** The reference's corners in the picture, in pixels, clockwise; looked for when left out. */
  readonly referenceCorners?: readonly Point[];
  /** Width and height of the rectangle as it lies in the picture, in inches, where its corners are given. */
  readonly rectangle?: readonly [number, number];
  /** The block's corners in the picture, in pixels, clockwise; looked for when left out. */
  readonly blockCorners?: readonly Point[];
}

/** A block measured by a photo. */
export interface PhotoMeasured {
  readonly six: SixLengths;
  /** How far each corner is from square, in degrees. */
  readonly skew: readonly number[];
  /** The reference's corners, clockwise from the top left, in pixels. */
  readonly reference: readonly Point[];
  /** The block's corners, the same. */
  readonly corners: readonly Point[];
  /** The block's corners on the table, in inches. */
  readonly places: readonly Point[];
  readonly camera: Camera;
  readonly found: FoundReference | null;
  /** A length is surer than this, in inches, nineteen times of twenty. */
  readonly uncertainty: number;
  /** Pixels to the inch at the block. */
  readonly perInch: number;
  /** What makes it unsure, and what to do about it. */
  readonly doubts: readonly Doubt[];
}

/** Why a photo cannot be measured. */
export type PhotoRefused = 'no-reference' | 'no-block' | 'not-flat';

/** How surely a corner pointed at is placed, in pixels of a picture 3000 across. */
const POINTED = 1.2 / 3000;
/** A line's points count as surely placed as this at best, in pixels: the eye of the camera is not finer. */
const LINE_SURE = 0.35;

/**
 * Measures a block by one photo.
 *
 * @returns what it measures; or why it cannot be
 */
export function measurePhoto(raster: Raster, asked: PhotoAsked): PhotoMeasured | PhotoRefused {
  const begun = beginCamera(raster, asked);
  if (typeof begun === 'string') return begun;
  const { found } = begun;
  let { known, fitted } = begun;
  const base: Evidence = { width: raster.width, height: raster.height, known, found, lines: [] };

  // Places that were pointed at lie on lines, of a mat or a ruler: those are found finer than they were pointed at.
  const mat = found ? null : matLines(raster, fitted.camera, known);
  if (mat) {
    known = mat.known;
    fitted = fitCamera({ ...base, known, lines: mat.lines }, fitted.camera.values) ?? fitted;
  }
  const ruled = mat?.lines ?? [];

  const about = found ? rectangle(found.width, found.height) : known.map((k) => k.place);
  const given = asked.blockCorners;
  const seenBlock = given ? null : findBlock(raster, fitted.camera, found, about);
  const rough = given ? given.map((p) => fitted.camera.place(p)) : seenBlock?.rough.corners;
  if (!rough) return 'no-block';
  const outline = fineOutline(raster, fitted.camera, rough);
  if (!outline && !given) return 'no-block';

  const papers = found?.reference.paper ? paperEdges(raster, fitted.camera, found) : [];
  const straight = [...(outline?.edges ?? []), ...papers]
    .filter((e) => e !== null)
    .filter((e) => e.plain > 0.5)
    .map((e) => asLine(e, fitted.camera));
  const lines = [...straight, ...ruled];
  if (lines.length > 0) fitted = fitCamera({ ...base, known, lines }, fitted.camera.values) ?? fitted;

  const camera = fitted.camera;
  const edges = given
    ? null
    : outline!.edges.map((e) =>
        lineDespiteStrays(
          e.seen.map((p) => camera.place(p)),
          0.008,
        ),
      );
  const crossed = edges?.map((e, k) => {
    const before = edges[(k + 3) % 4];
    return e && before ? crossing(before, e) : null;
  });
  const places0 =
    crossed && crossed.every((p) => p !== null)
      ? crossed
      : given
        ? given.map((p) => camera.place(p))
        : outline!.corners;
  const places = fromTopLeft(places0, (p) => camera.seen(p));
  const corners = places.map((p) => camera.seen(p));
  const six = sixLengths(places);
  const middle = { x: mean(places.map((p) => p.x)), y: mean(places.map((p) => p.y)) };
  const perInch = perInchOf(camera, middle);
  const uncertainty =
    2 *
    Math.hypot(
      cameraDoubt(fitted, corners),
      given ? (POINTED * raster.width) / perInch : edgeDoubt(outline!.edges, perInch),
    );
  return {
    six,
    skew: offSquareBy(places),
    reference: found?.corners ?? known.map((k) => k.seen),
    corners,
    places,
    camera,
    found,
    uncertainty,
    perInch,
    doubts: doubtsOf({
      raster,
      camera,
      found,
      about,
      corners,
      places,
      perInch,
      uncertainty,
      edges: outline?.edges ?? [],
      papers,
      rough: seenBlock,
    }),
  };
}

const mean = (list: readonly number[]): number => list.reduce((s, v) => s + v, 0) / list.length;

/** The reference, by itself or where it was pointed at, and the camera it tells of. */
function beginCamera(
  raster: Raster,
  { reference, referenceCorners, rectangle: sides }: PhotoAsked,
): { found: FoundReference | null; known: readonly KnownPlace[]; fitted: FittedCamera } | PhotoRefused {
  const squares = darkSquares(raster);
  let found = findReference(squares, reference);
  let known: KnownPlace[] = [];
  if (referenceCorners) {
    const pointed = fromTopLeft(referenceCorners, (p) => p);
    const near =
      found &&
      pointed.every((p) =>
        found!.corners.some((q) => Math.hypot(p.x - q.x, p.y - q.y) < 0.012 * raster.width),
      );
    if (!near) {
      found = null;
      const [w, h] = sides ?? asItLies(reference.sides, pointed);
      const outer = rectangle(w, h);
      known = pointed.map((seen, k) => ({ seen, place: outer[k]!, sure: POINTED * raster.width }));
    }
  }
  if (!found && known.length === 0) return 'no-reference';
  const fitted = fitCamera({
    width: raster.width,
    height: raster.height,
    known,
    found,
    lines: [],
  });
  return fitted ? { found, known, fitted } : 'not-flat';
}

/** A rectangle's sides as it lies in the picture: the longer one along the longer way. */
function asItLies(
  [a, b]: readonly [number, number],
  [p, q, r, s]: readonly Point[],
): readonly [number, number] {
  const long = (from: Point, to: Point) => Math.hypot(to.x - from.x, to.y - from.y);
  const lying = long(p!, q!) + long(s!, r!) > long(q!, r!) + long(p!, s!);
  return lying === a > b ? [a, b] : [b, a];
}

/** An edge as a line that is straight: no surer than its own straying. */
const asLine = (e: FineEdge, camera: Camera): SeenLine => ({
  points: e.seen,
  sure: Math.max(LINE_SURE, 1.6 * e.off * perInchOf(camera, e.line.at)),
});

/** Pixels to the inch at a place: the geometric mean of both ways. */
function perInchOf(camera: Camera, p: Point): number {
  const a = camera.seen(p);
  const b = camera.seen({ x: p.x + 0.5, y: p.y });
  const c = camera.seen({ x: p.x, y: p.y + 0.5 });
  return 2 * Math.sqrt(Math.abs((b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x)));
}

/** How unsure the lengths are because the camera is not wholly known: the greatest of the six, in inches. */
function cameraDoubt({ camera, fitted }: FittedCamera, corners: readonly Point[]): number {
  const lengths = (values: readonly number[]) => {
    const at = cameraOf(values);
    return inRow(sixLengths(corners.map((p) => at.place(p))));
  };
  const steps = [0.003, 0.5, 0.5, 0.0005, 0.0003, 0.0003, 0.0003, 0.003, 0.003, 0.01];
  const slopes = new Matrix(6, CAMERA_VALUES);
  steps.forEach((step, j) => {
    const moved = (by: number) => lengths(camera.values.map((v, k) => (k === j ? v + by : v)));
    const more = moved(step);
    const less = moved(-step);
    more.forEach((v, i) => slopes.set(i, j, (v - less[i]!) / (2 * step)));
  });
  const part = fitted.covariance.subMatrix(0, CAMERA_VALUES - 1, 0, CAMERA_VALUES - 1);
  const spread = slopes.mmul(part).mmul(slopes.transpose());
  return Math.sqrt(Math.max(...[0, 1, 2, 3, 4, 5].map((i) => Math.max(0, spread.get(i, i)))));
}

/** Where an edge may seem to lie beside where it does, for blur and shadow, in pixels. */
const EDGE_BIAS = 0.5;

/** How unsure the lengths are because the edges stray: in inches. */
function edgeDoubt(edges: readonly FineEdge[], perInch: number): number {
  // Neighbouring places along an edge stray together: of each four, one counts.
  const each = edges.map((e) =>
    Math.hypot(EDGE_BIAS / perInch, (2 * e.off) / Math.sqrt(Math.max(1, (e.plain * SAMPLES) / 4))),
  );
  return Math.SQRT2 * Math.max(...each);
}
