import type { Point } from '@lattice/core';
import type { Camera } from '../camera/camera.ts';
import { fineEdge, type FineEdge } from '../camera/fine-edges.ts';
import type { Raster } from '../picture/raster.ts';
import { type FoundReference, paperOf } from './reference.ts';

/** Share of the places along a paper's edge that must show it. */
const PLAIN = 0.6;
/** A paper's edge strays no more than this from straight, in inches: otherwise it is something else, or curls. */
const STRAIGHT = 0.012;

/** The edges of a sheet's paper that show plainly, in the order of its corners; null for one that does not. */
export function paperEdges(
  raster: Raster,
  camera: Camera,
  found: FoundReference,
): readonly (FineEdge | null)[] {
  const paper = found.reference.paper ? paperOf(found) : [];
  return paper.map((a, k) => {
    const b = paper[(k + 1) % 4]!;
    // A sheet printed too small or too large has its edges elsewhere: widely first, then finely where it was seen.
    const seen = fineEdge(raster, camera, a, b, WIDELY);
    if (!seen || seen.plain < PLAIN) return null;
    const onto = (p: Point): Point => {
      const { at, way } = seen.line;
      const along = (p.x - at.x) * way.x + (p.y - at.y) * way.y;
      return { x: at.x + along * way.x, y: at.y + along * way.y };
    };
    const edge = fineEdge(raster, camera, onto(a), onto(b), FINELY);
    return edge && edge.plain > PLAIN && edge.off < STRAIGHT ? edge : null;
  });
}

/** How far from where it should be a paper's edge is looked for, in inches; and then how far from where it was seen. */
const WIDELY = 0.34;
const FINELY = 0.06;
