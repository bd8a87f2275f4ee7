import { measurePhoto } from '@lattice/photo';
import sharp from 'sharp';
import { photograph } from '../../packages/photo/test/support/photograph.ts';
import { sceneBy } from '../../packages/photo/test/support/scenes.ts';
import { tableOf } from '../../packages/photo/test/support/table.ts';
import { median } from './measure.ts';

/** Scenes measured: beside a sheet, and among cards on a lined mat in shadow. */
const SEEDS = [2, 40];
const RUNS = 4;

/** A block measured by a photo of twelve million pixels, as a ratio to what the same photo takes to be unpacked. */
export async function* photo() {
  for (const seed of SEEDS) {
    const scene = sceneBy(seed, 1600);
    const { width, height, data } = photograph(tableOf(scene.laid), scene.shot);
    const jpeg = await sharp(Buffer.from(data as Uint8ClampedArray), { raw: { width, height, channels: 4 } })
      .resize(4000, 3000)
      .jpeg({ quality: 90 })
      .toBuffer();
    const pixels = () => sharp(jpeg).ensureAlpha().raw().toBuffer();
    const raster = { width: 4000, height: 3000, data: await pixels() };
    const unpacking: number[] = [];
    for (let run = 0; run < RUNS; run++) {
      const started = performance.now();
      await pixels();
      unpacking.push(performance.now() - started);
    }
    const unpackMs = unpacking.sort((a, b) => a - b)[Math.floor(RUNS / 2)]!;
    // Each time another photo to it: nothing is kept from the one before.
    const measureMs = median(() => measurePhoto({ ...raster }, { reference: scene.reference }), RUNS);
    yield {
      case: 'photo',
      name: scene.reference.kind,
      megapixels: 12,
      measureMs: Math.round(measureMs),
      ratioToUnpacking: Math.round((10 * measureMs) / unpackMs) / 10,
    };
  }
}
