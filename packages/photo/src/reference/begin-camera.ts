import type { Point } from '@lattice/core';
import { type Evidence, fitCamera, type FittedCamera, type KnownPlace, type SeenLine } from './fit-camera.ts';
import { matLines } from './mat-lines.ts';
import type { PhotoAsked, PhotoRefused } from './asked.ts';
import type { Raster } from '../picture/raster.ts';
import { findWhichSheet, type FoundReference, fromTopLeft, rectangle } from './reference.ts';
import { darkSquares } from './squares.ts';

/** A photo's camera, as far as its reference tells of it. */
export interface BegunCamera {
  readonly found: FoundReference | null;
  readonly fitted: FittedCamera;
  /** All it was fitted to. */
  readonly evidence: Evidence;
  /** Where the reference's corners lie on the table, in inches, and are seen, in pixels. */
  readonly about: readonly Point[];
  readonly seen: readonly Point[];
}

/** How surely a corner pointed at is placed, as a share of the picture's width. */
export const POINTED = 1.2 / 3000;
/** Corners pointed at mean the squares found within this of them, as a share of the picture's width. */
const MEANT = 0.012;

/** The reference, by itself or where it was pointed at, and the camera it tells of. */
export function beginCamera(raster: Raster, asked: PhotoAsked): BegunCamera | PhotoRefused {
  const pointed = asked.referenceCorners ? fromTopLeft(asked.referenceCorners, (p) => p) : null;
  const dark = darkSquares(raster);
  const squares = findWhichSheet(dark, asked.reference);
  const isMeant = (p: Point) =>
    squares!.corners.some((q) => Math.hypot(p.x - q.x, p.y - q.y) < MEANT * raster.width);
  const found = squares && (!pointed || pointed.every(isMeant)) ? squares : null;
  // Cards that are seen and lie otherwise than was told are no missing cards.
  if (!found && !pointed)
    return asked.reference.kind === 'cards' && dark.length >= 4 ? 'other-rectangle' : 'no-reference';
  const sure = POINTED * raster.width;
  const [w, h] = found
    ? [found.width, found.height]
    : (asked.rectangle ?? asItLies(asked.reference.sides, pointed!));
  const about = rectangle(w, h);
  const known = found ? [] : pointed!.map((seen, k): KnownPlace => ({ seen, place: about[k]!, sure }));
  const first: Evidence = { width: raster.width, height: raster.height, known, found, lines: [] };
  const fitted = fitCamera(first);
  if (!fitted) return 'not-flat';
  const seen = found?.corners ?? known.map((k) => k.seen);
  // Places that were pointed at lie on lines, of a mat or a ruler: those are found finer than they were pointed at.
  const mat = found ? null : matLines(raster, fitted.camera, known);
  if (!mat) return { found, fitted, evidence: first, about, seen };
  const evidence = { ...first, ...mat };
  return { found, fitted: fitCamera(evidence, fitted.camera.values) ?? fitted, evidence, about, seen };
}

/** The camera again, with lines that were seen since to be straight. */
export const withLines = ({ fitted, evidence }: BegunCamera, lines: readonly SeenLine[]): FittedCamera =>
  lines.length === 0
    ? fitted
    : (fitCamera({ ...evidence, lines: [...evidence.lines, ...lines] }, fitted.camera.values) ?? fitted);

/** A rectangle's sides as it lies in the picture: the longer one along the longer way. */
function asItLies(
  [a, b]: readonly [number, number],
  [p, q, r, s]: readonly Point[],
): readonly [number, number] {
  const long = (from: Point, to: Point) => Math.hypot(to.x - from.x, to.y - from.y);
  const lying = long(p!, q!) + long(s!, r!) > long(q!, r!) + long(p!, s!);
  return lying === a > b ? [a, b] : [b, a];
}
