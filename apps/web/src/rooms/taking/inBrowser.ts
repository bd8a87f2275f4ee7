import type { TakeJob } from '@lattice/export';
import plainUrl from '@fontsource/archivo/files/archivo-latin-400-normal.woff?url';
import strongUrl from '@fontsource/archivo/files/archivo-latin-700-normal.woff?url';
import { pictureAddress } from '../drawing/faces.tsx';

const bytesAt = async (address: string): Promise<Uint8Array> => {
  const answer = await fetch(address);
  if (!answer.ok) throw new Error(`${address}: ${answer.status}`);
  return new Uint8Array(await answer.arrayBuffer());
};

/** What is drawn on a canvas, as a file. */
async function drawnAs(
  type: 'image/png' | 'image/jpeg',
  width: number,
  height: number,
  image: CanvasImageSource,
): Promise<Uint8Array> {
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [width, height];
  const context = canvas.getContext('2d')!;
  context.fillStyle = '#ffffff';
  context.fillRect(0, 0, width, height);
  context.drawImage(image, 0, 0, width, height);
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, type, 0.85));
  if (!blob) throw new Error('The browser has no room for a picture of this size.');
  return new Uint8Array(await blob.arrayBuffer());
}

/** How a browser gets letters and pictures, and draws. */
export const IN_BROWSER: Pick<TakeJob, 'letters' | 'draw' | 'jpeg' | 'picture'> = {
  letters: async () => {
    const [plain, strong] = await Promise.all([bytesAt(plainUrl), bytesAt(strongUrl)]);
    return { plain, strong };
  },
  draw: async (svg, width, height) => {
    const address = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }));
    try {
      const image = new Image();
      image.src = address;
      await image.decode();
      return await drawnAs('image/png', width, height, image);
    } finally {
      URL.revokeObjectURL(address);
    }
  },
  jpeg: async (picture, pixels) => {
    const image = await createImageBitmap(new Blob([picture as Uint8Array<ArrayBuffer>]));
    const scale = Math.min(1, pixels / image.width);
    return drawnAs('image/jpeg', Math.round(image.width * scale), Math.round(image.height * scale), image);
  },
  // Out of reach a picture stays behind, and the file says so.
  picture: (id) => bytesAt(pictureAddress(id)).catch(() => null),
};
