import type { Random } from '@lattice/core';
import sharp from 'sharp';
import { type Attack, Found, oneOf } from './attack.ts';
import { bendBytes } from './bend.ts';
import { type Answer, House } from './house.ts';

/** A small picture with something on it, in every format that is taken. */
async function wholePictures(): Promise<Buffer[]> {
  const noise = sharp({
    create: {
      width: 320,
      height: 240,
      channels: 3,
      background: '#b33',
      noise: { type: 'gaussian', mean: 120, sigma: 40 },
    },
  });
  const png = await noise.png().toBuffer();
  return Promise.all([
    png,
    sharp(png).jpeg().toBuffer(),
    sharp(png).webp().toBuffer(),
    sharp(png).avif({ effort: 0 }).toBuffer(),
    sharp(png).gif().toBuffer(),
    sharp(png).tiff().toBuffer(),
    Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><script>1</script></svg>'),
  ]);
}

/** Pictures that are small to send and huge to open. */
const bomb = (side: number, format: 'png' | 'webp' | 'gif' | 'tiff' | 'avif') =>
  sharp({
    create: { width: side, height: side, channels: 3, background: '#404040' },
    limitInputPixels: false,
  })
    .toFormat(format, format === 'avif' ? { effort: 0 } : format === 'tiff' ? { compression: 'lzw' } : {})
    .toBuffer();

const PROPER: ReadonlySet<number> = new Set([201, 413, 415]);
/** What a whole server may have needed at most, in MB: it opens no picture itself. */
const MOST_MB = 700;

const post = (house: House, bytes: Buffer): Promise<Answer> =>
  house.ask('POST', '/api/pictures', bytes, { 'content-type': 'application/octet-stream' });

/** Asks for the shelf while pictures are being opened; answers the longest wait in ms. */
async function meanwhile(house: House, work: Promise<unknown>): Promise<number> {
  let busy = true;
  let longest = 0;
  void work.finally(() => (busy = false));
  while (busy) longest = Math.max(longest, (await house.ask('GET', '/api/quilts')).ms);
  return longest;
}

async function bombs(house: House, random: Random, many: boolean, found: Found): Promise<number> {
  const made = await Promise.all([
    bomb(8_000, 'png'),
    ...(many
      ? [
          bomb(15_000, 'png'),
          bomb(12_000, 'webp'),
          bomb(6_900, 'avif'),
          bomb(15_000, 'tiff'),
          bomb(6_000, 'gif'),
        ]
      : []),
  ]);
  const all = Promise.all(Array.from({ length: many ? 12 : 3 }, () => post(house, oneOf(random, made))));
  const longest = await meanwhile(house, all);
  for (const { status } of await all)
    found.unless(PROPER.has(status) || status === 503, `a picture made to choke is answered with ${status}`);
  return longest;
}

export const pictures: Attack = {
  name: 'pictures',
  says: 'bent pictures and ones that are huge to open: kept small or refused, others not kept waiting',
  usual: 10_000,
  async run({ rounds, random, patience }) {
    const found = new Found();
    const house = await new House().start();
    const whole = await wholePictures();
    let taken = 0;
    for (let i = 0; i < rounds; i++) {
      const { status, text } = await post(house, bendBytes(random, oneOf(random, whole)));
      found.unless(PROPER.has(status), `a bent picture is answered with ${status}: ${text.slice(0, 100)}`);
      if (status === 201) taken++;
    }
    const longest = await bombs(house, random, rounds >= 1_000, found);
    found.unless(
      longest < patience * 1_000,
      `the shelf waits ${Math.round(longest)} ms while pictures are opened`,
    );
    const good = await post(house, whole[1]!);
    found.unless(good.status === 201, `a good picture afterwards is answered with ${good.status}`);
    const peak = house.peakMB();
    found.unless(peak <= MOST_MB, `the server needed ${peak} MB`);
    await house.clear();
    return {
      figures: {
        pictures: rounds,
        taken,
        'longest wait of others ms': Math.round(longest),
        'server’s peak MB': peak,
      },
      found: found.lines(),
    };
  },
};
