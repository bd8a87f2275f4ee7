/** What a command and a server have at hand for writing files: letters from a package, a library that draws. */
import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import sharp from 'sharp';
import type { TakeJob } from './job.ts';

const { resolve } = createRequire(import.meta.url);
const lettersOf = (weight: 400 | 700) =>
  readFile(resolve(`@fontsource/archivo/files/archivo-latin-${weight}-normal.woff`));

/** Letters of a PDF and the drawing of a PNG, without a browser. */
export const ON_NODE: Pick<TakeJob, 'letters' | 'draw' | 'jpeg'> = {
  letters: async () => {
    const [plain, strong] = await Promise.all([lettersOf(400), lettersOf(700)]);
    return { plain, strong };
  },
  jpeg: (picture, pixels) =>
    sharp(picture)
      .resize({ width: pixels, withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: 82 })
      .toBuffer(),
  draw: (svg, width, height) =>
    sharp(Buffer.from(svg), { limitInputPixels: false })
      .resize(width, height, { fit: 'fill' })
      .png()
      .toBuffer(),
};
