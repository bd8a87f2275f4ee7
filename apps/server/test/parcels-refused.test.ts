import { zipSync } from 'fflate';
import { writePlanJson } from '@lattice/core';
import sharp from 'sharp';
import { arrive, house, logOf, plan, shelfOf } from './support/parcels.ts';

describe('a file that is no parcel, or means harm, is refused within a second and nothing is written', () => {
  const good = { 'quilt.plan.json': Buffer.from(writePlanJson(plan)) };
  /** A zip with one name in place of another of the same length, in both places a zip has it. */
  const renamed = (zip: Uint8Array, from: string, to: string) =>
    Buffer.from(Buffer.from(zip).toString('latin1').replaceAll(from, to), 'latin1');
  /** The size a zip says its first file has, in the list at its end. */
  const lying = (zip: Uint8Array, size: number) => {
    const bytes = Buffer.from(zip);
    const at = bytes.indexOf(Buffer.from([0x50, 0x4b, 1, 2]));
    bytes.writeUInt32LE(size, at + 24);
    return bytes;
  };
  /** A zip that says it lists so many files: as such lists end when 65,535 are not enough (published as ZIP64). */
  const claiming = (zip: Uint8Array, files: number) => {
    const [list, end] = [Buffer.from(zip.slice(0, -22)), Buffer.from(zip.slice(-22))];
    const large = Buffer.alloc(56);
    large.writeUInt32LE(0x06064b50, 0);
    large.writeBigUInt64LE(44n, 4);
    for (const at of [24, 32]) large.writeBigUInt64LE(BigInt(files), at);
    large.writeBigUInt64LE(BigInt(end.readUInt32LE(12)), 40);
    large.writeBigUInt64LE(BigInt(end.readUInt32LE(16)), 48);
    const where = Buffer.alloc(20);
    where.writeUInt32LE(0x07064b50, 0);
    where.writeBigUInt64LE(BigInt(list.length), 8);
    where.writeUInt32LE(1, 16);
    for (const at of [8, 10]) end.writeUInt16LE(0xffff, at);
    return Buffer.concat([list, large, where, end]);
  };
  /** As a zip program writes a link to another file: Unix says so in the file's attributes. */
  const linked = () =>
    zipSync({ 'quilt.plan.json': [Buffer.from('/etc/passwd'), { os: 3, attrs: (0o120777 << 16) >>> 0 }] });
  let webp: Uint8Array = Buffer.alloc(0);
  beforeAll(async () => {
    webp = await sharp({ create: { width: 20, height: 20, channels: 3, background: '#36c' } })
      .webp()
      .toBuffer();
  });
  const cases: readonly [string, () => Uint8Array, RegExp][] = [
    ['not a zip', () => Buffer.from('quilt'), /not a zip/],
    ['cut short', () => zipSync(good).slice(0, -30), /not a zip, or it was cut short/],
    ['empty', () => zipSync({}), /no quilt/],
    ['without a quilt', () => zipSync({ 'x.txt': Buffer.from('x') }), /no quilt/],
    ['a bomb', () => zipSync({ ...good, 'log.json': [new Uint8Array(59_000_000), { level: 9 }] }), /tighter/],
    [
      'a larger bomb',
      () => zipSync({ ...good, 'log.json': [new Uint8Array(90_000_000), { level: 1 }] }),
      /larger/,
    ],
    [
      'a name that leads out',
      () => renamed(zipSync({ ...good, 'aa/x.json': Buffer.from('x') }), 'aa/x.json', '../x.json'),
      /leads out/,
    ],
    [
      'a name from the root',
      () => renamed(zipSync({ ...good, 'axx.json': Buffer.from('x') }), 'axx.json', '/xx.json'),
      /leads out/,
    ],
    [
      'one bit turned in what it holds',
      () => {
        const bytes = Buffer.from(zipSync(good, { level: 0 }));
        // A letter of the title, large for small: still a plan that can be read, and not the one that was packed.
        bytes[bytes.indexOf(plan.title)]! ^= 0x20;
        return bytes;
      },
      /damaged/,
    ],
    [
      // One bit of it, in the list only: the quilt would come without its journal, and nobody would say so.
      'a name that is another one in the list',
      () => {
        const bytes = Buffer.from(zipSync({ ...good, 'log.json': Buffer.from('[]') }));
        bytes[bytes.lastIndexOf('log.json')]! ^= 1;
        return bytes;
      },
      /list of files in this zip is damaged/,
    ],
    [
      'a list that counts fewer than it has',
      () => {
        const bytes = Buffer.from(zipSync({ ...good, 'log.json': Buffer.from('[]') }));
        for (const at of [8, 10]) bytes.writeUInt16LE(1, bytes.length - 22 + at);
        return bytes;
      },
      /more than it says/,
    ],
    ['a size that lies low', () => lying(zipSync(good), 10), /damaged/],
    ['a size that lies high', () => lying(zipSync(good), 3_900_000), /damaged|tighter/],
    ['a link', linked, /link/],
    ['three hundred thousand files', () => claiming(zipSync(good), 300_000), /holds \d+ files/],
    [
      'a plan that is none',
      () => zipSync({ 'quilt.plan.json': Buffer.from('{"title":1}') }),
      /plan cannot be read/,
    ],
    ['a plan cut short', () => zipSync({ 'quilt.plan.json': Buffer.from('{"title":') }), /not JSON/],
    ['a log with nonsense', () => zipSync({ ...good, 'log.json': Buffer.from('[{"id":"x"}]') }), /Entry 1/],
    [
      'a later kind',
      () => zipSync({ ...good, 'about.json': Buffer.from('{"version":9,"id":"quilt-0009"}') }),
      /later kind/,
    ],
    [
      'a second quilt that is none, after one with a good picture',
      () =>
        zipSync({
          ...Object.fromEntries(Object.entries(good).map(([name, bytes]) => [`one/${name}`, bytes])),
          'one/pictures/picture-0009.webp': webp,
          'two/quilt.plan.json': Buffer.from('{"title":1}'),
        }),
      /plan cannot be read/,
    ],
    [
      'a picture that is none',
      () => zipSync({ ...good, 'pictures/picture-0009.webp': Buffer.from('<svg/>') }),
      /./,
    ],
  ];
  test.each(cases)(
    '%s',
    async (_name, make, says) => {
      const here = await house();
      const bytes = make();
      const { status, body } = (await arrive(here, bytes)) as { status: number; body: { message: string } };
      expect([status >= 400 && status < 500, status !== 404]).toEqual([true, true]);
      expect(body.message).toMatch(says);
      expect(await shelfOf(here)).toEqual([]);
      expect(await logOf(here)).toEqual([]);
      expect(await here.database.knex('pictures').count({ n: '*' })).toEqual([{ n: 0 }]);
    },
    30_000,
  );
});
