import fc from 'fast-check';
import { unzipSync } from 'fflate';
import ICAL from 'ical.js';
import Papa from 'papaparse';
import sharp from 'sharp';
import { type LogEntry, type Plan, readPalette, readPlanJson } from '@lattice/core';
import { fileName, quiltFiles, take, TAKEAWAYS, takeaway, TYPES, zipOf } from '../src/index.ts';
import { ON_NODE } from '../src/node.ts';
import { anyPlan } from '../../core/test/support/plans.ts';
import { demoPlan, jobOf } from './support/job.ts';

const text = (bytes: Uint8Array) => Buffer.from(bytes).toString('utf8');
const written = async (plan: Plan, to: string, what?: string, more = {}) =>
  (await take(takeaway(to, what)!, jobOf(plan, { ...ON_NODE, ...more }))).bytes;

describe('everything that can be taken along', () => {
  test('has a name of its own among those of its format, a type and an ending', () => {
    const names = TAKEAWAYS.map(({ to, what }) => `${to} ${what}`);
    expect(new Set(names).size).toBe(names.length);
    for (const { to } of TAKEAWAYS) expect(TYPES[to][1]).not.toBe('');
  });
  test.each(TAKEAWAYS.map((one) => [`${one.to} ${one.what}`, one] as const))(
    '%s: the same bytes for the same plan and moment, from every demo quilt',
    async (_name, one) => {
      for (const name of one.to === 'pdf' ? ['cot-on-point'] : ['cot-on-point', 'harbour-metric']) {
        const make = async () => (await take(one, jobOf(demoPlan(name), ON_NODE))).bytes;
        const [first, second] = [await make(), await make()];
        expect(first.length).toBeGreaterThan(20);
        expect([name, Buffer.compare(first, second)]).toEqual([name, 0]);
      }
    },
    60_000,
  );
  test.each(TAKEAWAYS.map((one) => [`${one.to} ${one.what}`, one] as const))(
    '%s: names with markup, right to left, emoji, of ten thousand letters, with what cannot be seen',
    async (_name, one) => {
      const base = demoPlan('harbour-metric');
      const names = [
        '</svg><script>alert(1)</script>',
        'שמיכה "של" סבתא',
        '🧵'.repeat(40),
        '=cmd|x',
        '\u202E\u0000\n\rx',
        'x'.repeat(10_000),
      ];
      const nameOf = (i: number) => names[i % names.length]!;
      for (const title of names.slice(0, one.to === 'pdf' ? 1 : 3)) {
        const plan: Plan = {
          ...base,
          title,
          fabrics: base.fabrics.map((fabric, i) => ({ ...fabric, name: nameOf(i + 1) })),
          pile: base.pile
            .slice(0, 20)
            .map((block, i) => ({ ...block, name: nameOf(i), maker: nameOf(i + 3) })),
        };
        const { bytes, name: file } = await take(one, jobOf(plan, ON_NODE));
        expect(bytes.length).toBeGreaterThan(20);
        expect(file).not.toMatch(/[<>:"/\\|?*\u0000-\u001f\u202E]/);
        expect(file.length).toBeLessThan(200);
        if (one.to === 'html' || one.to === 'svg') expect(text(bytes)).not.toMatch(/<script/);
      }
    },
    60_000,
  );
});

test('file names: no path, no name a system keeps for itself, never empty', () => {
  expect(['../../etc', 'CON', '...', '', 'a/b\\c:d', ' x '].map((name) => fileName(name))).toEqual([
    ...['etc', 'quilt', 'quilt', 'quilt', 'a b c d', 'x'],
  ]);
});

describe('each comes out as what it is called, by readers that had no part in it', () => {
  test('a picture: 4096 dots along its longer side, in the quilt’s proportion', async () => {
    const { width, height, format } = await sharp(await written(demoPlan(), 'png')).metadata();
    expect([format, Math.max(width, height)]).toEqual(['png', 4096]);
    // 70 by 81 1/2.
    expect(Math.abs(width / height - 70 / 81.5)).toBeLessThan(0.001);
  });
  test('its colours are the cloths’: border, sash and cornerstone where they lie', async () => {
    const plan = demoPlan('cot-on-point');
    const { quilt } = jobOf(plan);
    const image = sharp(await written(plan, 'png'));
    const { data, info } = await image.raw().toBuffer({ resolveWithObject: true });
    const scale = info.width / quilt.finished.width.value;
    for (const piece of quilt.layout.pieces.filter(({ place }) => place === undefined)) {
      const middle = piece.outline.reduce(
        (sum, p) => ({ x: sum.x + p.x / piece.outline.length, y: sum.y + p.y / piece.outline.length }),
        { x: 0, y: 0 },
      );
      const at = info.channels * (Math.round(middle.y * scale) * info.width + Math.round(middle.x * scale));
      const cloth = plan.fabrics.find(({ id }) => id === quilt.layout.parts[piece.part]!.cutFrom!.fabric)!;
      const wanted = [1, 3, 5].map((from) => parseInt(cloth.colour.slice(from, from + 2), 16));
      wanted.forEach((part, i) => expect(Math.abs(data[at + i]! - part)).toBeLessThan(6));
    }
  });
  test('a block’s photo is in the picture, the drawing and the page', async () => {
    const red = await sharp({ create: { width: 50, height: 50, channels: 3, background: '#ff0000' } })
      .webp()
      .toBuffer();
    const base = demoPlan('swap-edge-to-edge');
    const plan: Plan = { ...base, pile: base.pile.map((block) => ({ ...block, picture: 'picture-0001' })) };
    const more = { picture: () => Promise.resolve(new Uint8Array(red)) };
    const { dominant } = await sharp(await written(plan, 'png', undefined, more)).stats();
    expect([dominant.r > 200, dominant.g < 60]).toEqual([true, true]);
    expect(text(await written(plan, 'svg', 'layout', more))).toContain('data:image/jpeg;base64,');
    expect(text(await written(plan, 'html', undefined, more))).toContain('data:image/jpeg;base64,');
    expect(Buffer.from(await written(plan, 'pdf', 'layout', more)).includes('/DCTDecode')).toBe(true);
  });
  test('a whole quilt as a zip: plan and log as they are', async () => {
    const plan = demoPlan();
    const log: LogEntry[] = [
      {
        id: 'note-00001',
        quilt: 'q1',
        at: '2026-11-26T11:00:00Z',
        kind: 'noted',
        body: { text: 'x', stage: '', about: {}, pictures: [] },
      },
    ];
    const files = unzipSync(await written(plan, 'zip', undefined, { log }));
    expect(readPlanJson(text(files['quilt.plan.json']!))).toEqual({ ok: true, plan });
    expect(JSON.parse(text(files['log.json']!))).toEqual(log);
  });
  test('pictures in a zip are the pictures, of blocks, of notes and of the stash; one that is missing is told', async () => {
    const paint = (red: number, width: number) =>
      sharp({ create: { width, height: 10, channels: 3, background: { r: red, g: 0, b: 0 } } })
        .webp({ lossless: true })
        .toBuffer();
    const ids = ['a', 'b', 'c', 'd'].map((letter) => letter.repeat(32));
    const there = new Map([
      [ids[0]!, await paint(200, 30)],
      [ids[1]!, await paint(100, 20)],
    ]);
    const block = { id: 'b1', name: 'Leaf', width: null, height: null, picture: ids[0]! };
    const plan = { ...demoPlan(), pile: [block, { ...block, id: 'b2', picture: ids[3]! }] };
    const note = { text: 'x', stage: '', about: {}, pictures: [ids[1]!] };
    const log = [
      { id: 'note-00001', quilt: 'q1', at: '2026-11-26T11:00:00Z', kind: 'noted', body: note },
      // Of another quilt: it does not come along.
      {
        id: 'note-00002',
        quilt: 'q2',
        at: '2026-11-26T11:00:00Z',
        kind: 'noted',
        body: { ...note, pictures: [ids[2]!] },
      },
    ] as LogEntry[];
    const picture = (id: string) => Promise.resolve(there.get(id) ?? null);
    const files = unzipSync(await written(plan, 'zip', undefined, { log, picture }));
    const names = Object.keys(files).filter((name) => name.startsWith('pictures/'));
    expect(names.sort()).toEqual([`pictures/${ids[0]}.webp`, `pictures/${ids[1]}.webp`]);
    for (const [i, width, red] of [
      [0, 30, 200],
      [1, 20, 100],
    ] as const) {
      const bytes = Buffer.from(files[`pictures/${ids[i]}.webp`]!);
      expect(await sharp(bytes).metadata()).toMatchObject({ format: 'webp', width, height: 10 });
      expect((await sharp(bytes).stats()).dominant.r).toBeGreaterThan(red - 16);
      expect((await sharp(bytes).stats()).dominant.r).toBeLessThan(red + 16);
    }
    expect(text(files['index.html']!)).toContain(ids[3]!);
  });
  test('a calendar, a palette, a table, the plan itself', async () => {
    const plan = demoPlan();
    const calendar = new ICAL.Component(ICAL.parse(text(await written(plan, 'ics'))) as unknown[]);
    expect(calendar.getAllSubcomponents('vevent').length).toBeGreaterThan(3);
    expect(readPalette(text(await written(plan, 'gpl')))).toMatchObject({
      ...{ ok: true, name: plan.title },
      colours: plan.fabrics.map(({ name, colour }) => ({ name, colour })),
    });
    const table = Papa.parse<Record<string, string>>(
      text(await written(plan, 'csv', 'shopping')).replace(/^\uFEFF/, ''),
      { header: true, skipEmptyLines: true },
    );
    expect(table.errors).toEqual([]);
    expect(table.data).toHaveLength(jobOf(plan).quilt.fabrics.length);
    expect(readPlanJson(text(await written(plan, 'json')))).toEqual({ ok: true, plan });
  });
});

test('any quilt and any notes: out as a zip and read again, nothing is lost', async () => {
  const words = fc.string({ maxLength: 60, unit: 'binary' }).map((text) => `x${text}`);
  await fc.assert(
    fc.asyncProperty(anyPlan, fc.array(words, { maxLength: 5 }), async (plan, notes) => {
      const log = notes.map((note, i): LogEntry => ({
        ...{ id: `note-${i}-0001`, quilt: 'q1', at: '2026-11-27T10:00:00Z', kind: 'noted' },
        body: { text: note, stage: '', about: {}, pictures: [] },
      }));
      const files = await quiltFiles(jobOf(plan, { log }), '', null);
      const read = unzipSync(zipOf(files, '2026-11-27T10:00:00Z'));
      expect(readPlanJson(text(read['quilt.plan.json']!))).toEqual({ ok: true, plan });
      expect(JSON.parse(text(read['log.json']!))).toEqual(JSON.parse(JSON.stringify(log)));
    }),
    { numRuns: 40 },
  );
});
