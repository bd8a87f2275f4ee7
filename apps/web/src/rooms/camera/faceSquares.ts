import { lookOf, type PileBlock } from '@lattice/core';
import { pictureAddress } from '../drawing/faces.tsx';

/** Pixels of a face that is only compared. */
export const FACE_SQUARE = 40;

/** How each block looks, as a square of pixels: its picture, or its drawn face. A picture that cannot be had is left as its drawn face. */
export async function faceSquares(blocks: readonly PileBlock[]): Promise<Uint8ClampedArray[]> {
  const canvas = document.createElement('canvas');
  canvas.width = canvas.height = FACE_SQUARE;
  const context = canvas.getContext('2d', { willReadFrequently: true })!;
  const known = new Map<string, Uint8ClampedArray>();
  const squares: Uint8ClampedArray[] = [];
  for (const block of blocks) {
    const look = lookOf(block);
    let square = known.get(look.key);
    if (!square) {
      const image = look.picture === null ? null : await pictureOf(look.picture);
      const { ground, patches } = image ? look : lookOf(withoutPicture(block));
      context.setTransform(FACE_SQUARE, 0, 0, FACE_SQUARE, 0, 0);
      context.fillStyle = ground;
      context.fillRect(0, 0, 1, 1);
      if (image) context.drawImage(image, 0, 0, 1, 1);
      else
        for (const { colour, outlines } of patches) {
          context.fillStyle = colour;
          for (const outline of outlines) {
            context.beginPath();
            outline.forEach(([x, y], i) => (i === 0 ? context.moveTo(x, y) : context.lineTo(x, y)));
            context.fill();
          }
        }
      square = context.getImageData(0, 0, FACE_SQUARE, FACE_SQUARE).data;
      known.set(look.key, square);
    }
    squares.push(square);
  }
  return squares;
}

const withoutPicture = (block: PileBlock): PileBlock =>
  Object.fromEntries(Object.entries(block).filter(([key]) => key !== 'picture')) as unknown as PileBlock;

async function pictureOf(id: string): Promise<HTMLImageElement | null> {
  const image = new Image();
  image.src = pictureAddress(id);
  try {
    await image.decode();
    return image;
  } catch {
    return null;
  }
}
