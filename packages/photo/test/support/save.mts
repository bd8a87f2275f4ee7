import sharp from 'sharp';
import { floorPhoto } from './floor.ts';
import { photograph } from './photograph.ts';
import { sceneBy } from './scenes.ts';
import { tableOf } from './table.ts';

// Writes photos for tests that need files, and prints what is true of them: `FILE chance:SEED:WIDTH …` or `FILE floor:PLAN:SEED:WIDTH`.
const [file, asked] = process.argv.slice(2) as [string, string];
const [kind, ...rest] = asked.split(':');
if (kind === 'chance') {
  const scene = sceneBy(Number(rest[0]), Number(rest[1]));
  const { width, height, data } = photograph(tableOf(scene.laid), scene.shot);
  await sharp(Buffer.from(data as Uint8ClampedArray), { raw: { width, height, channels: 4 } })
    .jpeg({ quality: 92 })
    .toFile(file);
  process.stdout.write(JSON.stringify({ block: scene.block, reference: scene.reference }));
} else {
  const said = JSON.parse(rest[3] ? decodeURIComponent(rest[3]) : 'null') as
    { block: number; turn: number }[] | null;
  const { raster, corners, truth } = floorPhoto(
    rest[0]!,
    Number(rest[1]),
    Number(rest[2]),
    said ?? undefined,
  );
  const { width, height, data } = raster;
  await sharp(Buffer.from(data as Uint8ClampedArray), { raw: { width, height, channels: 4 } })
    .jpeg({ quality: 92 })
    .toFile(file);
  process.stdout.write(
    JSON.stringify({ corners: corners.map(({ seen }) => [seen.x / width, seen.y / height]), truth }),
  );
}
