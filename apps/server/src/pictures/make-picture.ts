import { mainColours } from '@lattice/core';
import sharp from 'sharp';
import { Refusal } from '../errors.ts';

/** A block's picture as it is kept: square, small, nothing of the original but its pixels. */
export interface MadePicture {
  /** WebP. */
  readonly bytes: Buffer;
  readonly colours: readonly string[];
  readonly edge: string | null;
  /** What was done that the quilter would want to know. */
  readonly notes: readonly string[];
}

/** Pixels along a side: enough for a wall at full size, small enough for four hundred of them. */
const SIDE = 480;
/**
 * The most dots of each format: more than any camera takes, less than a trap. A JPEG is opened at a fraction of its
 * size; the others are opened whole, the newest at the greatest cost.
 */
const MOST_PIXELS: Readonly<Record<string, number>> = {
  jpeg: 120_000_000,
  png: 60_000_000,
  webp: 60_000_000,
  gif: 30_000_000,
  tiff: 60_000_000,
  heif: 50_000_000,
  avif: 50_000_000,
};
const MOST_OF_ALL = Math.max(...Object.values(MOST_PIXELS));
/** The picture is looked at this small for its colours, and its edge this many pixels deep. */
const LOOKED_AT = 40;
const EDGE = 3;

/**
 * Decodes a picture whole and makes a new one: turned upright as its camera said, cut square from its
 * middle, made small and encoded afresh, so that neither a place nor a script comes along with it.
 *
 * @throws Refusal when it is no picture, a drawing that can hold a script, broken, or absurdly large
 */
export async function makePicture(file: Buffer): Promise<MadePicture> {
  if (file.length === 0) throw notAPicture();
  const open = () => sharp(file, { limitInputPixels: MOST_OF_ALL, failOn: 'error', pages: 1 });
  const about = await open()
    .metadata()
    .catch((error: Error) => {
      throw /pixel limit/i.test(error.message) ? tooLarge() : notAPicture();
    });
  if (about.format === 'svg')
    throw new Refusal(
      'drawing',
      'This is a drawing that can hold a program, so it was not taken. Save it as a photo (JPEG or PNG) and add that.',
    );
  const most = MOST_PIXELS[about.format];
  if (most === undefined) throw notAPicture();
  if ((about.width ?? 0) * (about.height ?? 0) > most) throw tooLarge();
  try {
    const square = await open()
      .autoOrient()
      .flatten({ background: '#ffffff' })
      .resize(SIDE, SIDE, { fit: 'cover' })
      .toColourspace('srgb')
      .png()
      .toBuffer();
    const bytes = await sharp(square).webp({ quality: 80 }).toBuffer();
    const { data } = await sharp(square)
      .resize(LOOKED_AT, LOOKED_AT)
      .removeAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    const frames = (await sharp(file, { limitInputPixels: MOST_OF_ALL }).metadata()).pages ?? 1;
    return {
      bytes,
      colours: mainColours(data, 3),
      edge: mainColours(ring(data), 1)[0] ?? null,
      notes: frames > 1 ? ['It moves: only its first picture was taken.'] : [],
    };
  } catch (error) {
    // Room gives out before the dots do: for a picture's own limit, or for the workshop's.
    throw /pixel limit|memory|alloc/i.test((error as Error).message) ? tooLarge() : notAPicture();
  }
}

/** The outermost pixels of the small picture. */
function ring(pixels: Buffer): Uint8Array {
  const kept: number[] = [];
  for (let y = 0; y < LOOKED_AT; y++) {
    for (let x = 0; x < LOOKED_AT; x++) {
      if (Math.min(x, y, LOOKED_AT - 1 - x, LOOKED_AT - 1 - y) >= EDGE) continue;
      const at = 3 * (y * LOOKED_AT + x);
      kept.push(pixels[at]!, pixels[at + 1]!, pixels[at + 2]!);
    }
  }
  return Uint8Array.from(kept);
}

const notAPicture = () =>
  new Refusal(
    'not-a-picture',
    'This file is not a picture that can be read: it may be damaged, or of another kind. A photo as JPEG, PNG or WebP is taken.',
  );
const tooLarge = () =>
  new Refusal(
    'picture-too-large',
    'This picture has more dots than any camera takes, so it was not opened. Make it smaller and try again.',
  );
