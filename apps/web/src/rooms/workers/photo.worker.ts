import type { Point } from '@lattice/core';
import {
  type Camera,
  colourAt,
  KIND_WORDS,
  type LayoutAsked,
  measurePhoto,
  type PhotoAsked,
  paperIn,
  photoKindOf,
  type PhotoMeasured,
  type PhotoRefused,
  type Raster,
  readLayout,
  type ReadLayout,
  straightened,
  swatchOf,
} from '@lattice/photo';

/** A view of the table from above: its picture, and where on the table that lies, in inches. */
export interface TableView {
  readonly picture: ImageBitmap;
  readonly left: number;
  readonly top: number;
  readonly perInch: number;
}

/** What is asked of the photo that is open. One answer comes for each, in turn. */
export type PhotoQuestion =
  | { readonly ask: 'open'; readonly file: Blob }
  | { readonly ask: 'measure'; readonly asked: PhotoAsked }
  | {
      readonly ask: 'near';
      readonly at: Point;
      readonly on: 'photo' | 'table';
      readonly dots: number;
      readonly size: number;
    }
  | { readonly ask: 'face'; readonly corners: readonly Point[]; readonly size: number }
  | { readonly ask: 'layout'; readonly asked: LayoutAsked }
  | { readonly ask: 'paper' }
  | { readonly ask: 'swatch'; readonly cloth: Point; readonly paper: Point };

/** A photo that lies open: its size, and a smaller picture of it to point at. */
export interface OpenPhoto {
  readonly width: number;
  readonly height: number;
  readonly picture: ImageBitmap;
}
export type MeasuredPhoto = Omit<PhotoMeasured, 'camera' | 'found'> & {
  readonly values: readonly number[];
  readonly bend: number;
  readonly table: TableView;
};

export interface PhotoAnswers {
  open: OpenPhoto;
  measure: MeasuredPhoto | PhotoRefused;
  near: ImageBitmap;
  /** The block's face, straightened, as JPEG. */
  face: Blob;
  layout: ReadLayout | null;
  /** Where white paper lies, beside a black square; null where there is none. */
  paper: Point | null;
  /** The cloth’s colour, set against the paper’s white. */
  swatch: string;
}
export type PhotoNews = { readonly id: number } & ({ readonly ok: unknown } | { readonly wrong: string });

/** Photos beyond this many pixels are made smaller: a lens is not sharper, and a phone has little room. */
const MOST_PIXELS = 16_000_000;
/** The picture to point at, along its longer side. */
const SHOWN = 1400;
const VIEW_PIXELS = 900_000;

let raster: (Raster & { data: Uint8ClampedArray<ArrayBuffer> }) | null = null;
let camera: Camera | null = null;

class Wrong extends Error {}

async function open(file: Blob): Promise<OpenPhoto> {
  // The one before is let go first: two large photos at once may be too many.
  raster = null;
  camera = null;
  const wrong = KIND_WORDS[photoKindOf(new Uint8Array(await file.slice(0, 16).arrayBuffer()))];
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
  } catch {
    throw new Wrong(wrong ?? 'This photo is damaged, or too large to be read here.');
  }
  const scale = Math.min(1, Math.sqrt(MOST_PIXELS / (bitmap.width * bitmap.height)));
  const [width, height] = [Math.round(bitmap.width * scale), Math.round(bitmap.height * scale)];
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d', { willReadFrequently: true })!;
  context.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  raster = {
    width,
    height,
    data: context.getImageData(0, 0, width, height).data as Uint8ClampedArray<ArrayBuffer>,
  };
  const small = Math.min(1, SHOWN / Math.max(width, height));
  const picture = await createImageBitmap(canvas, {
    resizeWidth: Math.max(1, Math.round(width * small)),
    resizeHeight: Math.max(1, Math.round(height * small)),
    resizeQuality: 'high',
  });
  return { width, height, picture };
}

const held = (): NonNullable<typeof raster> => {
  if (!raster) throw new Wrong('There is no photo.');
  return raster;
};

/** A picture each of whose dots is looked up in the photo. */
async function drawn(
  width: number,
  height: number,
  at: (x: number, y: number) => Point,
): Promise<ImageBitmap> {
  const data = new Uint8ClampedArray(width * height * 4);
  const photo = held();
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i += 4) {
      const p = at(x + 0.5, y + 0.5);
      if (p.x < 0 || p.y < 0 || p.x > photo.width || p.y > photo.height) continue;
      const [r, g, b] = colourAt(photo, p);
      data[i] = r;
      data[i + 1] = g;
      data[i + 2] = b;
      data[i + 3] = 255;
    }
  return createImageBitmap(new ImageData(data, width, height));
}

async function measure(asked: PhotoAsked): Promise<MeasuredPhoto | PhotoRefused> {
  const found = measurePhoto(held(), asked);
  if (typeof found === 'string') return found;
  const { camera: fitted, found: reference, ...rest } = found;
  camera = fitted;
  const shown = [...found.places, ...found.reference.map((p) => fitted.place(p))];
  const xs = shown.map((p) => p.x);
  const ys = shown.map((p) => p.y);
  const round = 1.2;
  const left = Math.min(...xs) - round;
  const top = Math.min(...ys) - round;
  const wide = Math.max(...xs) + round - left;
  const high = Math.max(...ys) + round - top;
  const perInch = Math.min(found.perInch, Math.sqrt(VIEW_PIXELS / (wide * high)));
  const picture = await drawn(Math.round(wide * perInch), Math.round(high * perInch), (x, y) =>
    fitted.seen({ x: left + x / perInch, y: top + y / perInch }),
  );
  return {
    ...rest,
    values: fitted.values,
    bend: reference ? fitted.values[3]! : 0,
    table: { picture, left, top, perInch },
  };
}

async function answer(question: PhotoQuestion): Promise<unknown> {
  switch (question.ask) {
    case 'open':
      return open(question.file);
    case 'measure':
      return measure(question.asked);
    case 'near': {
      const { at, on, dots, size } = question;
      const perInch = camera && on === 'table' ? dotsToInch(at) : 1;
      const part = (v: number) => ((v - size / 2) / size) * dots;
      return drawn(size, size, (x, y) => {
        const p = { x: at.x + part(x) / perInch, y: at.y + part(y) / perInch };
        return on === 'table' && camera ? camera.seen(p) : p;
      });
    }
    case 'face': {
      const { corners, size } = question;
      const square = straightened(held(), corners, size);
      const canvas = new OffscreenCanvas(size, size);
      canvas.getContext('2d')!.putImageData(new ImageData(square, size, size), 0, 0);
      return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 });
    }
    case 'layout':
      return readLayout(held(), question.asked);
    case 'paper':
      return paperIn(held());
    case 'swatch':
      return swatchOf(held(), question.cloth, question.paper);
  }
}

/** The photo's own dots to the inch at a place. */
function dotsToInch(p: Point): number {
  const a = camera!.seen(p);
  const b = camera!.seen({ x: p.x + 0.25, y: p.y });
  return 4 * Math.hypot(b.x - a.x, b.y - a.y);
}

// One after another: a question about a photo must not meet the next one being opened.
let before: Promise<unknown> = Promise.resolve();
self.onmessage = ({ data: { id, question } }: MessageEvent<{ id: number; question: PhotoQuestion }>) => {
  before = before.then(async () => {
    try {
      self.postMessage({ id, ok: await answer(question) } satisfies PhotoNews);
    } catch (error) {
      const wrong = error instanceof Wrong ? error.message : 'This photo could not be worked on here.';
      self.postMessage({ id, wrong } satisfies PhotoNews);
    }
  });
};
