import type { Point } from '@lattice/core';
import type { PhotoAsked, PhotoRefused } from './reference/asked.ts';
import { beginCamera, type BegunCamera, POINTED, withLines } from './reference/begin-camera.ts';
import type { Camera } from './camera/camera.ts';
import { type Doubt, doubtsOf } from './verdict/doubts.ts';
import { findBlock, type FoundBlock } from './block/find-block.ts';
import { type FineEdge, type FineOutline, fineOutline } from './camera/fine-edges.ts';
import type { SeenLine } from './reference/fit-camera.ts';
import { paperEdges } from './reference/paper-edges.ts';
import type { Raster } from './picture/raster.ts';
import { type FoundReference, fromTopLeft } from './reference/reference.ts';
import { offSquareBy, type SixLengths, sixLengths } from './block/six-lengths.ts';
import { crossing, lineDespiteStrays, middleOf } from './picture/straight.ts';
import { cameraDoubt, edgeDoubt } from './block/uncertainty.ts';

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

/** A line's points count as surely placed as this at best, in pixels: the eye of the camera is not finer. */
const LINE_SURE = 0.35;
/** An edge seen in fewer of its places than this tells nothing of the lens. */
const TELLS = 0.5;

/**
 * Measures a block by one photo.
 *
 * @returns what it measures; or why it cannot be
 */
export function measurePhoto(raster: Raster, asked: PhotoAsked): PhotoMeasured | PhotoRefused {
  const begun = beginCamera(raster, asked);
  if (typeof begun === 'string') return begun;
  const block = outlineOf(raster, begun, asked.blockCorners ?? null);
  if (!block) return 'no-block';
  const { found, about, seen } = begun;
  const { outline, given } = block;
  const papers = found ? paperEdges(raster, begun.fitted.camera, found) : [];
  const straight = [...(outline?.edges ?? []), ...papers].filter((e) => e !== null && e.plain > TELLS);
  const fitted = withLines(
    begun,
    straight.map((e) => asLine(e!, begun.fitted.camera)),
  );
  const { camera } = fitted;

  const places = fromTopLeft(given ? given.map((p) => camera.place(p)) : placedAgain(outline!, camera), (p) =>
    camera.seen(p),
  );
  const corners = places.map((p) => camera.seen(p));
  const perInch = perInchOf(camera, middleOf(places));
  const edgesBy = given ? (POINTED * raster.width) / perInch : edgeDoubt(outline!.edges, perInch);
  // A lens beyond what was expected was held back by that: what it leaves is more than the fit itself can tell.
  const held = Math.max(1, fitted.unusual / 2);
  const uncertainty = 2 * Math.hypot(held * cameraDoubt(fitted, corners), edgesBy);
  const edges = outline?.edges ?? [];
  return {
    six: sixLengths(places),
    skew: offSquareBy(places),
    reference: seen,
    ...{ corners, places, camera, found, uncertainty, perInch },
    doubts: doubtsOf({
      ...{
        raster,
        camera,
        found,
        told: asked.reference,
        about,
        corners,
        places,
        perInch,
        uncertainty,
        edges,
        papers,
      },
      rough: block.seen,
      unusual: fitted.unusual,
    }),
  };
}

/** The block's outline: found, or near the corners that were given; null where there is none. */
function outlineOf(
  raster: Raster,
  { fitted: { camera }, found, about }: BegunCamera,
  given: readonly Point[] | null,
): {
  readonly given: readonly Point[] | null;
  readonly seen: FoundBlock | null;
  readonly outline: FineOutline | null;
} | null {
  if (given) {
    const outline = fineOutline(
      raster,
      camera,
      given.map((p) => camera.place(p)),
    );
    return { given, seen: null, outline };
  }
  const seen = findBlock(raster, camera, found, about);
  const outline = seen && fineOutline(raster, camera, seen.rough.corners);
  return outline && { given: null, seen, outline };
}

/** How far an honest point of an edge may lie off it, in inches. */
const HONEST = 0.008;

/** An outline's corners, its edges laid again through where the photo shows them, by a camera that is better known. */
function placedAgain({ edges, corners }: FineOutline, camera: Camera): readonly Point[] {
  const lines = edges.map((e) =>
    lineDespiteStrays(
      e.seen.map((p) => camera.place(p)),
      HONEST,
    ),
  );
  const crossed = lines.map((line, k) => {
    const before = lines[(k + 3) % 4];
    return line && before ? crossing(before, line) : null;
  });
  return crossed.every((p) => p !== null) ? crossed : corners;
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
