import type { Point } from '@lattice/core';
import { boxesIn, laidOn } from './box-search.ts';
import type { Camera } from '../camera/camera.ts';
import { type Flat, flattened } from '../camera/flat.ts';
import { groundOf, LIGHT_COUNTS, withoutThin } from './ground.ts';
import { hiddenBy, onSheet, rimOf } from './hidden.ts';
import type { Raster } from '../picture/raster.ts';
import { type FoundReference, rectangle } from '../reference/reference.ts';
import { type RoughOutline, roughOutline } from './rough-edges.ts';

/** What lies on the table beside the reference. */
export interface FoundBlock {
  /** Its edges, roughly; in inches. */
  readonly rough: RoughOutline;
  /** Another one nearly as large lies there too. */
  readonly another: RoughOutline | null;
}

/** How unlike the ground a thing must be, tried in turn: a faint block first, then one that stands out where shadows do too. */
const LEAST_UNLIKE = [4, 10];
/** Patches looked at, the largest first. */
const PATCHES = 3;
/** How plainly edges must show for size to count. */
const PLAIN_ENOUGH = 0.7;
/** How plainly the edges show (their mean) where nothing else is tried. */
const PLAIN = 0.9;
/** An outline less plain than this is none. */
const LEAST_PLAIN = 0.35;
/** Another thing of this share of the block's size is another block. */
const ANOTHER = 0.3;

/** The block on the table; null where nothing of the kind is seen. */
export function findBlock(
  raster: Raster,
  camera: Camera,
  found: FoundReference | null,
  about: readonly Point[] = found ? rectangle(found.width, found.height) : [],
): FoundBlock | null {
  const flat = flattened(raster, camera, about);
  const beside = bestOn(flat, hiddenBy(flat, found), rimOf(flat, camera, raster.width, raster.height));
  if (beside && beside.plain > PLAIN_ENOUGH) return asFound(beside);
  // A small block may lie on the sheet itself.
  const sheet = onSheet(flat, found);
  const on = sheet && bestOn(flat, sheet.hidden, sheet.rim);
  const best = [beside, on].filter((c) => c !== null).sort((a, b) => b.plain - a.plain)[0];
  return best && best.plain > LEAST_PLAIN ? asFound(best) : null;
}

/** The most likely block on one ground. */
function bestOn(flat: Flat, hidden: Uint8Array, rim: Uint8Array): Candidate | null {
  let best: Candidate | null = null;
  for (const light of LIGHT_COUNTS) {
    const ground = groundOf(flat, hidden, rim, light);
    for (const least of LEAST_UNLIKE) {
      const laid = laidOn(flat, ground.unlike, hidden, least);
      const cleared = withoutThin(ground, laid);
      const seen = boxesIn(flat, laid, PATCHES).map(({ corners, area }): Candidate => {
        const rough = roughOutline(flat, cleared, hidden, corners);
        return { rough, area, plain: meanOf(rough.plain), others: [] };
      });
      const first = seen.reduce<Candidate | null>(
        (a, b) => (!a || b.plain * b.area > a.plain * a.area ? b : a),
        null,
      );
      const plainest = seen.reduce<Candidate | null>((a, b) => (!a || b.plain > a.plain ? b : a), null);
      // The largest that shows plainly is meant; else the plainest.
      const meant = first && first.plain > PLAIN_ENOUGH ? first : plainest;
      if (!meant) continue;
      if (!best || meant.plain > best.plain + 0.02)
        best = { ...meant, others: seen.filter((c) => apart(c.rough.corners, meant.rough.corners)) };
      if (best.plain > PLAIN) return best;
    }
  }
  return best;
}

/** Something that may be the block. */
interface Candidate {
  readonly rough: RoughOutline;
  readonly area: number;
  /** How plainly its edges show, in the mean. */
  readonly plain: number;
  /** What else was seen, beside it. */
  readonly others: readonly Candidate[];
}

function asFound({ rough, area, others }: Candidate): FoundBlock {
  const another = others.find((c) => c.area > ANOTHER * area && Math.min(...c.rough.plain) > 0.5);
  return { rough, another: another?.rough ?? null };
}

/** Whether two outlines lie beside each other: the middle of neither is within the other. */
function apart(a: readonly Point[], b: readonly Point[]): boolean {
  const middle = (q: readonly Point[]) => ({ x: meanOf(q.map((p) => p.x)), y: meanOf(q.map((p) => p.y)) });
  const within = (q: readonly Point[], { x, y }: Point) =>
    q.every((p, k) => {
      const r = q[(k + 1) % 4]!;
      return (r.x - p.x) * (y - p.y) - (r.y - p.y) * (x - p.x) > 0;
    });
  return !within(a, middle(b)) && !within(b, middle(a));
}

const meanOf = (list: readonly number[]): number => list.reduce((s, v) => s + v, 0) / list.length;
