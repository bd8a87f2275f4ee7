import type { Point } from '@lattice/core';
import type { Camera } from '../camera/camera.ts';
import type { FineEdge } from '../camera/fine-edges.ts';
import type { FoundBlock } from '../block/find-block.ts';
import type { Raster } from '../picture/raster.ts';
import { offSquareBy } from '../block/six-lengths.ts';
import { middleOf } from '../picture/straight.ts';
import { type FoundReference, type Reference, SHEETS } from '../reference/reference.ts';

/** Something that makes a measurement by photo unsure. */
export type Doubt =
  | 'come-closer'
  | 'reference-far'
  | 'reference-small'
  | 'tilted'
  | 'too-unsure'
  | 'faint-edge'
  | 'ragged-edge'
  | 'bowed-edge'
  | 'two-blocks'
  | 'cut-off'
  | 'odd-shape'
  | 'not-square'
  | 'odd-lens'
  | 'printed-small'
  | 'printed-large'
  | 'is-a4'
  | 'is-letter'
  | 'no-colours';

interface Seen {
  readonly raster: Raster;
  readonly camera: Camera;
  readonly found: FoundReference | null;
  /** What was told that it is measured by. */
  readonly told: Reference;
  readonly about: readonly Point[];
  readonly corners: readonly Point[];
  readonly places: readonly Point[];
  readonly perInch: number;
  readonly uncertainty: number;
  readonly edges: readonly FineEdge[];
  readonly papers: readonly (FineEdge | null)[];
  readonly rough: FoundBlock | null;
  /** How far from usual the lens was found, in the spreads expected. */
  readonly unusual: number;
}

/** Below so many pixels to the inch an eighth of an inch is but three of them. */
const CLOSE_ENOUGH = 24;
/** A tilt beyond this, in degrees, squeezes the far side too much. */
const TILTED = 38;
/** An eighth of an inch can be judged while a length is known to half of that. */
const JUDGES_EIGHTH = 1 / 16;

/** A block whose corners are off square by more, in degrees, or that is so much longer than wide, is most likely not outlined at all. */
const OFF_SQUARE = 8;
const LONGER = 1.8;
/** A lens that is further from usual than this, in the spreads that were expected, is hardly told by so little. */
const USUAL_LENS = 3;

/** Doubts about the size itself, not about its last digits: it is not judged by before they are settled. */
export const UNSETTLED: ReadonlySet<Doubt> = new Set([
  'two-blocks',
  'cut-off',
  'odd-shape',
  'not-square',
  'printed-small',
  'printed-large',
]);

/** All that makes one measurement unsure, the gravest first. */
export function doubtsOf(seen: Seen): Doubt[] {
  const {
    raster,
    camera,
    found,
    told,
    about,
    corners,
    places,
    perInch,
    uncertainty,
    edges,
    papers,
    rough,
    unusual,
  } = seen;
  const doubts: Doubt[] = [];
  if (rough?.another) doubts.push('two-blocks');
  const rim = 2 + 0.004 * Math.max(raster.width, raster.height);
  if (corners.some((p) => p.x < rim || p.y < rim || p.x > raster.width - rim || p.y > raster.height - rim))
    doubts.push('cut-off');
  if (uncertainty > JUDGES_EIGHTH) doubts.push('too-unsure');
  if (perInch < CLOSE_ENOUGH) doubts.push('come-closer');
  if (tiltOf(camera) > TILTED) doubts.push('tilted');
  const size = Math.hypot(about[2]!.x - about[0]!.x, about[2]!.y - about[0]!.y);
  const middle = middleOf(places);
  const away = Math.hypot(middle.x - middleOf(about).x, middle.y - middleOf(about).y);
  if (away > 1.6 * size) doubts.push('reference-far');
  const across = Math.hypot(places[2]!.x - places[0]!.x, places[2]!.y - places[0]!.y);
  if (across > 2.6 * size) doubts.push('reference-small');
  const plain = rough?.rough.plain ?? [];
  if (edges.some((e) => e.plain < 0.55) || plain.some((p) => p < 0.5)) doubts.push('faint-edge');
  if (edges.some((e) => e.off > 1 / 32)) doubts.push('ragged-edge');
  if (edges.some((e) => Math.abs(e.bow) > 1 / 16)) doubts.push('bowed-edge');
  if (isOdd(places)) doubts.push('odd-shape');
  else if (isFarFromSquare(places)) doubts.push('not-square');
  if (unusual > USUAL_LENS) doubts.push('odd-lens');
  if (found && found.reference.paper) {
    const scale = printedScale(found, papers);
    if (scale !== null && scale < 0.985) doubts.push('printed-small');
    if (scale !== null && scale > 1.015) doubts.push('printed-large');
  }
  if (found?.reference.paper && found.reference.paper[0] !== told.paper?.[0])
    doubts.push(found.reference.paper[0] === SHEETS.a4.paper[0] ? 'is-a4' : 'is-letter');
  if (isGrey(raster)) doubts.push('no-colours');
  return doubts;
}

/** Pixels of a photo looked at for colour, and how far apart its lights must be somewhere for it to have some. */
const LOOKED_AT = 4000;
const COLOURED = 10;

/** Whether a photo is black and white. */
function isGrey({ data, width, height }: Raster): boolean {
  const step = Math.max(1, Math.floor((width * height) / LOOKED_AT)) * 4;
  let coloured = 0;
  for (let i = 0; i + 2 < width * height * 4; i += step) {
    const most = Math.max(data[i]!, data[i + 1]!, data[i + 2]!);
    if (most - Math.min(data[i]!, data[i + 1]!, data[i + 2]!) > COLOURED) coloured++;
  }
  return coloured < LOOKED_AT / 200;
}

/** How far the camera looks from straight down, in degrees. */
function tiltOf(camera: Camera): number {
  const [x, y, z] = [camera.values[4]!, camera.values[5]!, camera.values[6]!];
  const angle = Math.hypot(x, y, z);
  if (angle < 1e-9) return 0;
  // The turn's last entry is the cosine of the angle between the table's upright and the way it looks.
  const cos = Math.cos(angle) + ((1 - Math.cos(angle)) * z * z) / (angle * angle);
  return (Math.acos(Math.min(1, Math.max(-1, cos))) * 180) / Math.PI;
}

/** Whether opposite edges differ so much that it is hardly one block (more than a seventh), or a corner is far from square. */
function isOdd(p: readonly Point[]): boolean {
  const side = p.map((a, k) => Math.hypot(p[(k + 1) % 4]!.x - a.x, p[(k + 1) % 4]!.y - a.y));
  const unlike = (a: number, b: number) => Math.abs(a - b) > Math.max(a, b) / 7;
  return unlike(side[0]!, side[2]!) || unlike(side[1]!, side[3]!);
}

/** Whether corners are far from square, or it is much longer than wide: a table's edge, a shadow, part of a block. */
function isFarFromSquare(p: readonly Point[]): boolean {
  const side = p.map((a, k) => Math.hypot(p[(k + 1) % 4]!.x - a.x, p[(k + 1) % 4]!.y - a.y));
  const [wide, high] = [side[0]! + side[2]!, side[1]! + side[3]!];
  return (
    Math.max(wide, high) > LONGER * Math.min(wide, high) ||
    offSquareBy(p).some((v) => Math.abs(v) > OFF_SQUARE)
  );
}

/** How large the squares are printed, 1 being right: by the paper's own size, where both its sides show; null where they do not. */
function printedScale(found: FoundReference, papers: readonly (FineEdge | null)[]): number | null {
  const [top, right, bottom, left] = papers;
  const paper = found.reference.paper!;
  const [pw, ph] = found.width < found.height ? paper : [paper[1], paper[0]];
  const apart = (a: FineEdge, b: FineEdge) =>
    Math.abs((b.line.at.x - a.line.at.x) * -a.line.way.y + (b.line.at.y - a.line.at.y) * a.line.way.x);
  const scales = [
    left && right ? pw / apart(left, right) : null,
    top && bottom ? ph / apart(top, bottom) : null,
  ].filter((s) => s !== null);
  return scales.length === 0 ? null : scales.reduce((s, v) => s + v, 0) / scales.length;
}
