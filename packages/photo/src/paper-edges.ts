import type { Camera } from './camera.ts';
import { fineEdge, type FineEdge } from './fine-edges.ts';
import type { Raster } from './raster.ts';
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
    const edge = fineEdge(raster, camera, a, paper[(k + 1) % 4]!, 0.16);
    return edge && edge.plain > PLAIN && edge.off < STRAIGHT ? edge : null;
  });
}
