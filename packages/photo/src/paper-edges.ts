import type { Point } from '@lattice/core';
import type { Camera } from './camera.ts';
import { fineEdge, type FineEdge } from './fine-edges.ts';
import type { Raster } from './raster.ts';
import type { FoundReference } from './reference.ts';

/** Share of the places along a paper's edge that must show it. */
const PLAIN = 0.6;
/** A paper's edge strays no more than this from straight, in inches: otherwise it is something else, or curls. */
const STRAIGHT = 0.012;

/** The paper's corners beside its four squares, clockwise from the top left, in inches; none where the reference is no sheet. */
export function paperOf({ reference, width, height }: FoundReference): readonly Point[] {
  if (!reference.paper) return [];
  const [short, long] = reference.paper;
  const [pw, ph] = width < height ? [short, long] : [long, short];
  const mx = (pw - width) / 2;
  const my = (ph - height) / 2;
  return [
    { x: -mx, y: -my },
    { x: width + mx, y: -my },
    { x: width + mx, y: height + my },
    { x: -mx, y: height + my },
  ];
}

/** The edges of a sheet's paper that show plainly, in the order of its corners; null for one that does not. */
export function paperEdges(
  raster: Raster,
  camera: Camera,
  found: FoundReference,
): readonly (FineEdge | null)[] {
  const paper = paperOf(found);
  return paper.map((a, k) => {
    const edge = fineEdge(raster, camera, a, paper[(k + 1) % 4]!, 0.16);
    return edge && edge.plain > PLAIN && edge.off < STRAIGHT ? edge : null;
  });
}
