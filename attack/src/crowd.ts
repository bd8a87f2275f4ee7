import sharp from 'sharp';
import { type Attack, Found } from './attack.ts';
import { House } from './house.ts';

/** What a server may have needed at most with fifty large pictures on their way, in MB (it was 1,289). */
const MOST_MB = 700;
/** How long one in a hundred of the others may wait meanwhile, in ms. */
const MOST_WAIT_MS = 100;
const BYTES = { 'content-type': 'application/octet-stream' };

/** A picture as heavy as a telephone's largest: nothing in it can be packed. */
const heavy = () =>
  sharp({
    create: {
      ...{ width: 2_600, height: 2_600, channels: 3, background: '#777' },
      noise: { type: 'gaussian', mean: 128, sigma: 60 },
    },
  })
    .png({ compressionLevel: 1 })
    .toBuffer();

/** How long others wait for a quilt while something goes on, the longest last, in ms. */
async function waits(house: House, id: string, work: Promise<unknown>): Promise<number[]> {
  let busy = true;
  const all: number[] = [];
  void work.finally(() => (busy = false));
  while (busy) all.push((await house.ask('GET', `/api/quilts/${id}`)).ms);
  return all.sort((a, b) => a - b);
}

export const crowd: Attack = {
  name: 'crowd',
  says: 'fifty booklets and fifty heavy pictures at once: all are made, others are answered meanwhile, and memory stays',
  usual: 50,
  async run({ rounds, patience }) {
    const found = new Found();
    const picture = await heavy();
    const house = await new House(undefined, ['--demo']).start();
    const { quilts } = JSON.parse((await house.ask('GET', '/api/quilts')).text) as {
      quilts: { id: string }[];
    };
    const of = (i: number) => quilts[i % quilts.length]!.id;
    const figures: Record<string, number> = {};
    const together = async (
      what: string,
      one: (i: number) => Promise<{ status: number }>,
      proper: number[],
    ) => {
      const all = Promise.all(Array.from({ length: rounds }, (_, i) => one(i)));
      const others = await waits(house, of(0), all);
      for (const { status } of await all)
        found.unless(proper.includes(status), `${what} is answered with ${status}`);
      const slowest = others[Math.floor(0.99 * others.length)] ?? 0;
      figures[`${what}: others p99 ms`] = Math.round(slowest);
      found.unless(slowest <= patience * MOST_WAIT_MS, `${what}: others wait ${slowest} ms`);
    };
    await together(
      'a booklet',
      (i) => house.ask('GET', `/api/quilts/${of(i)}/take?to=pdf&what=booklet`),
      [200],
    );
    await together('a picture', () => house.ask('POST', '/api/pictures', picture, BYTES), [201]);
    figures['peak MB'] = house.peakMB();
    found.unless(house.peakMB() <= MOST_MB, `the server needed ${house.peakMB()} MB`);
    await house.clear();
    return { figures: { 'at once': rounds, ...figures }, found: found.lines() };
  },
};
