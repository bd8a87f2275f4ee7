import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { formatFine, fromInches, parseLength, type Point, type Unit } from '@lattice/core';
import {
  DOUBT_WORDS,
  fromTopLeft,
  KIND_WORDS,
  measurePhoto,
  type PhotoAsked,
  photoKindOf,
  type PhotoMeasured,
  type Raster,
  REFUSED_WORDS,
  SHEETS,
} from '@lattice/photo';
import sharp from 'sharp';
import type { Surroundings } from './open-plan.ts';

export interface MeasureFlags {
  readonly reference?: string;
  readonly referenceCorners?: string;
  readonly blockCorners?: string;
  readonly unit?: string;
  readonly json?: boolean;
}

/** Photos beyond this many pixels are made smaller first: their lenses are not sharper. */
const MOST_PIXELS = 16_000_000;

class Wrong extends Error {}

/** Measures a block by a photo. Answers the exit code: 0, or 2 after a line that says why it cannot. */
export async function measure(
  file: string,
  flags: MeasureFlags,
  { base, out, complain }: Surroundings,
): Promise<number> {
  try {
    const unit = unitOf(flags.unit ?? 'in');
    const { raster, shrunk } = await photoIn(path.resolve(base, file), file);
    const asked = askedBy(flags, unit, shrunk);
    const measured = measurePhoto(raster, asked);
    if (typeof measured === 'string') throw new Wrong(`${file}: ${REFUSED_WORDS[measured]}`);
    if (flags.json) out(JSON.stringify(asJson(measured, unit, shrunk)));
    else for (const line of told(measured, unit)) out(line);
    return 0;
  } catch (error) {
    if (!(error instanceof Wrong)) throw error;
    complain(error.message);
    return 2;
  }
}

function unitOf(text: string): Unit {
  if (text !== 'in' && text !== 'cm') throw new Wrong(`--unit ${text}: in or cm is needed.`);
  return text;
}

/** A photo's pixels, turned as it was held; `shrunk` is how much smaller they were made. */
async function photoIn(place: string, name: string): Promise<{ raster: Raster; shrunk: number }> {
  let bytes: Buffer;
  try {
    bytes = await readFile(place);
  } catch {
    throw new Wrong(`${name}: there is no such file that can be read.`);
  }
  const wrong = KIND_WORDS[photoKindOf(bytes)];
  if (wrong !== null) throw new Wrong(`${name}: ${wrong}`);
  try {
    const {
      width,
      height,
      orientation = 1,
    } = await sharp(bytes, { limitInputPixels: 120_000_000 }).metadata();
    // The later orientations of EXIF lie on their side.
    const upright = orientation > 4 ? height : width;
    const scale = Math.min(1, Math.sqrt(MOST_PIXELS / (width * height)));
    const image = sharp(bytes, { limitInputPixels: 120_000_000 }).rotate();
    if (scale < 1) image.resize({ width: Math.round(upright * scale) });
    const { data, info } = await image
      .toColourspace('srgb')
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    const raster = { width: info.width, height: info.height, data };
    return { raster, shrunk: info.width / upright };
  } catch {
    throw new Wrong(`${name}: this photo is damaged, or too large to be read.`);
  }
}

function askedBy(
  { reference = 'letter', referenceCorners, blockCorners }: MeasureFlags,
  unit: Unit,
  shrunk: number,
): PhotoAsked {
  const corners = (flag: string, text: string | undefined) =>
    text === undefined ? undefined : cornersIn(flag, text, shrunk);
  const pointed = corners('--reference-corners', referenceCorners);
  const block = corners('--block-corners', blockCorners);
  const given = {
    ...(pointed ? { referenceCorners: pointed } : {}),
    ...(block ? { blockCorners: block } : {}),
  };
  if (reference === 'letter' || reference === 'a4') return { reference: SHEETS[reference], ...given };
  const parts = reference.split(/[x×]/i).map((part) => parseLength(part, unit));
  const [width, height] = parts.map((part) => (part.ok ? part.value / fromInches(1, unit) : NaN));
  if (parts.length !== 2 || !(width! > 0) || !(height! > 0))
    throw new Wrong(`--reference ${reference}: letter, a4 or WIDTHxHEIGHT like 12x16 is needed.`);
  return { reference: { kind: 'cards', sides: [width!, height!] }, rectangle: [width!, height!], ...given };
}

function cornersIn(flag: string, text: string, shrunk: number): readonly Point[] {
  const corners = text
    .trim()
    .split(/\s+/)
    .map((part) => part.split(',').map(Number))
    .map(([x, y]) => ({ x: (x ?? NaN) * shrunk, y: (y ?? NaN) * shrunk }));
  if (corners.length !== 4 || corners.some((p) => !Number.isFinite(p.x + p.y)))
    throw new Wrong(
      `${flag}: four corners are needed in pixels, clockwise, like "210,80 1440,95 1430,1290 205,1300".`,
    );
  return fromTopLeft(corners, (p) => p);
}

/** What was measured, as data: corners in the photo's own pixels, lengths in the unit. */
function asJson(
  { six, reference, corners, uncertainty, skew, doubts }: PhotoMeasured,
  unit: Unit,
  shrunk: number,
) {
  const pixels = (points: readonly Point[]) =>
    points.map((p) => [rounded(p.x / shrunk, 100), rounded(p.y / shrunk, 100)]);
  const length = (inches: number) => rounded(fromInches(inches, unit), 10_000);
  const each = <K extends string>(of: Readonly<Record<K, number>>) =>
    Object.fromEntries(Object.entries<number>(of).map(([key, v]) => [key, length(v)]));
  return {
    unit,
    reference: pixels(reference),
    corners: pixels(corners),
    width: each(six.width),
    height: each(six.height),
    skew: skew.map((v) => rounded(v, 100)),
    uncertainty: length(uncertainty),
    warnings: doubts.map((doubt) => DOUBT_WORDS[doubt]),
  };
}

const rounded = (v: number, by: number): number => Math.round(v * by) / by;

function told({ six: { width, height }, skew, uncertainty, doubts }: PhotoMeasured, unit: Unit): string[] {
  const show = (inches: number) => formatFine(fromInches(inches, unit), unit);
  return [
    `Width:  top ${show(width.top)}, middle ${show(width.middle)}, bottom ${show(width.bottom)}`,
    `Height: left ${show(height.left)}, middle ${show(height.middle)}, right ${show(height.right)}`,
    `Corners off square by ${skew.map((v) => `${v > 0 ? '+' : ''}${v.toFixed(1)}°`).join(', ')} (clockwise from the top left)`,
    `Each is right to ${fromInches(uncertainty, unit).toFixed(unit === 'cm' ? 2 : 3)} ${unit} in 19 photos out of 20`,
    ...doubts.map((doubt) => `Note: ${DOUBT_WORDS[doubt]}`),
  ];
}
