import { Ajv2020 } from 'ajv/dist/2020.js';
import ClipperLib from 'clipper-lib';
import fc from 'fast-check';
import Papa from 'papaparse';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import {
  computeQuilt,
  cuttingCsv,
  type LogEntry,
  logCsv,
  type PileBlock,
  placedCsv,
  type Plan,
  planSchema,
  readBlocksCsv,
  readPalette,
  readPlanJson,
  readStashCsv,
  shoppingCsv,
  type StashPiece,
  textOf,
  timeCsv,
  writeBlocksCsv,
  writePalette,
  writePlanJson,
  writeStashCsv,
} from '../src/index.ts';
import { writeTable } from '../src/format/table-csv.ts';
import { areaOf } from '../src/geometry/outline.ts';
import { grownBy } from '../src/geometry/offset.ts';

const demo = (name: string): Plan => {
  const read = readPlanJson(readFileSync(path.resolve(__dirname, `../../../demo/${name}.plan.json`), 'utf8'));
  if (!read.ok) throw new Error(name);
  return read.plan;
};
const DEMOS = ['potting-shed', 'cot-on-point', 'swap-edge-to-edge', 'harbour-metric', 'tram-stop-quilted'];
const rowsOf = (text: string, delimiter = ',') =>
  Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true, delimiter }).data;

describe('an outline grown by a seam', () => {
  /** Corners on a circle, in order: such an outline does not bend in. */
  const convex = fc
    .array(fc.integer({ min: 0, max: 359 }), { minLength: 3, maxLength: 8 })
    .map((angles) => [...new Set(angles)].sort((a, b) => a - b))
    .filter((angles) => angles.every((a, i) => (angles[(i + 1) % angles.length]! - a + 360) % 360 > 25))
    .filter((angles) => angles.length >= 3)
    .map((angles) =>
      angles.map((a) => ({ x: 50 * Math.cos((a * Math.PI) / 180), y: 50 * Math.sin((a * Math.PI) / 180) })),
    );
  test('is what a library of geometry makes of it, outwards and inwards, whichever way round it is given', () => {
    const K = 1e6;
    const byLibrary = (outline: readonly { x: number; y: number }[], by: number) => {
      const offset = new ClipperLib.ClipperOffset(1e6, 0.25);
      const ring = outline.map(({ x, y }) => ({ X: Math.round(x * K), Y: Math.round(y * K) }));
      offset.AddPath(
        ClipperLib.Clipper.Orientation(ring) ? ring : [...ring].reverse(),
        ClipperLib.JoinType.jtMiter,
        ClipperLib.EndType.etClosedPolygon,
      );
      const out = new ClipperLib.Paths();
      offset.Execute(out, by * K);
      return out.reduce((sum, one) => sum + Math.abs(ClipperLib.Clipper.Area(one)) / K ** 2, 0);
    };
    fc.assert(
      fc.property(convex, fc.double({ min: -6, max: 6, noNaN: true }), fc.boolean(), (points, by, turned) => {
        fc.pre(Math.abs(by) > 1e-3);
        const outline = turned ? [...points].reverse() : points;
        const own = grownBy(outline, by);
        const area = byLibrary(outline, by);
        if (own === null) expect(area).toBeLessThan(areaOf(outline) * 0.75);
        else expect(Math.abs(areaOf(own) - area)).toBeLessThan(1e-3 * Math.max(1, area));
      }),
    );
  });
  test('a half-square triangle of 3″ with a quarter inch: legs of 3.854″ (the trade adds 7/8, common practice)', () => {
    const grown = grownBy(
      [
        { x: 0, y: 0 },
        { x: 3, y: 0 },
        { x: 0, y: 3 },
      ],
      0.25,
    )!;
    const leg = Math.max(...grown.map(({ x }) => x)) - Math.min(...grown.map(({ x }) => x));
    expect(leg).toBeCloseTo(3 + 0.25 * (2 + Math.SQRT2), 9);
  });
  test('nothing is left of a strip narrower than its seams', () => {
    expect(
      grownBy(
        [
          { x: 0, y: 0 },
          { x: 9, y: 0 },
          { x: 9, y: 0.4 },
          { x: 0, y: 0.4 },
        ],
        -0.25,
      ),
    ).toBeNull();
  });
});

describe('tables', () => {
  test('as RFC 4180 has it: CR LF, quotes where they are needed, doubled inside', () => {
    expect(writeTable([{ a: 'x, y', b: 'he said "hm"', c: 1.5 }])).toBe(
      'a,b,c\r\n"x, y","he said ""hm""",1.5\r\n',
    );
  });
  test('for the other half of the world: semicolon and decimal comma', () => {
    expect(writeTable([{ a: 'x, y', b: 1.5, c: null }], 'comma')).toBe('a;b;c\r\nx, y;1,5;\r\n');
  });
  test('what a spreadsheet would reckon with is words; numbers stay numbers', () => {
    for (const formula of [
      '=cmd|"/C calc"!A0',
      '+1+1',
      '@SUM(A1)',
      '\t=1',
      '-1+2',
      '-x',
      '\n=1+1',
      ' \n =1',
      '-1\n=2',
      '=1\n2',
    ])
      expect(rowsOf(writeTable([{ a: formula }]))[0]!['a']).toBe(`'${formula}`);
    expect(rowsOf(writeTable([{ a: -1.25 }]))[0]!['a']).toBe('-1.25');
    expect(rowsOf(writeTable([{ a: -1.25 }], 'comma'), ';')[0]!['a']).toBe('-1,25');
  });
  test.each(DEMOS)('%s: the lists sum to what the quilt is', (name) => {
    const plan = demo(name);
    const quilt = computeQuilt(plan);
    const lines = [...quilt.pieces, ...quilt.besides];
    const pieces = rowsOf(cuttingCsv(plan, quilt)).map((row) => Number(row['pieces']));
    expect(pieces).toEqual(lines.map(({ count }) => count.value));
    const placed = rowsOf(placedCsv(plan, quilt));
    const area = placed.reduce(
      (sum, row) => sum + Number(row[`across (${plan.unit})`]) * Number(row[`along (${plan.unit})`]),
      0,
    );
    const wanted = quilt.fabrics.reduce(
      (sum, cloth) =>
        sum +
        [...cloth.pieces, ...cloth.runs.flatMap(({ segments }) => segments)].reduce(
          (all, { w, h }) => all + w * h,
          0,
        ),
      0,
    );
    expect(Math.abs(area - wanted)).toBeLessThan(1e-3);
    const shopping = rowsOf(shoppingCsv(plan, quilt.fabrics, 'comma'), ';');
    expect(shopping.map((row) => row['ask'])).toEqual(quilt.fabrics.map(({ buy }) => buy.text));
    expect(Number(shopping[0]![`length (${plan.unit})`]!.replace(',', '.'))).toBeCloseTo(
      quilt.fabrics[0]!.buy.length.value,
      5,
    );
  });
  test('a log and its time: every entry, in full; every sitting', () => {
    const log: LogEntry[] = [
      {
        id: 'e-000002',
        quilt: 'q',
        at: '2026-11-27T10:00:00Z',
        kind: 'time-noted',
        body: { work: 'sew', minutes: 30, amount: null, step: '=1' },
      },
      {
        id: 'e-000001',
        quilt: 'q',
        at: '2026-11-26T10:00:00Z',
        kind: 'noted',
        body: { text: '=cmd', stage: '', about: {}, pictures: [] },
      },
      {
        id: 'e-000003',
        quilt: 'other',
        at: '2026-11-26T10:00:00Z',
        kind: 'noted',
        body: { text: 'x', stage: '', about: {}, pictures: [] },
      },
    ];
    const rows = rowsOf(logCsv(log, 'q'));
    expect(rows.map(({ id }) => id)).toEqual(['e-000001', 'e-000002']);
    expect(JSON.parse(rows[0]!['body']!)).toEqual(log[1]!.body);
    const time = rowsOf(
      timeCsv([
        {
          ...{ id: 'a', quilt: 'q', work: 'sew', start: '2026-11-27T10:00:00Z', minutes: 30 },
          did: { cuts: 0, seams: 0, presses: 0, blocks: 0, said: null },
          steps: [{ step: '=1', minutes: 30 }],
          typed: true,
          leftOn: false,
          struck: false,
        },
      ]),
    );
    expect(time).toEqual([
      {
        start: '2026-11-27T10:00:00Z',
        work: 'Sewing',
        minutes: '30',
        steps: "'=1 30 min",
        'written down': 'yes',
        counts: 'yes',
      },
    ]);
  });
  test('blocks and stash come back as they went, whatever their names are', () => {
    const name = fc
      .oneof(
        fc.string({ minLength: 1, maxLength: 40 }),
        fc.constantFrom('=cmd', '+1', '@x', '-y', 'a;b,"c"', '🧵', 'שלום'),
      )
      .map((text) => text.replace(/[\p{Cc}\p{Zl}\p{Zp}\uFEFF]/gu, '').trim())
      .filter((text) => text !== '' && !text.startsWith("'"));
    fc.assert(
      fc.property(fc.array(name, { minLength: 1, maxLength: 6 }), (names) => {
        const pile: PileBlock[] = names.map((one, i) => ({
          id: `b${i}`,
          name: one,
          width: 10.5,
          height: 10.375,
        }));
        const back = readBlocksCsv(writeBlocksCsv(pile, 'in'), 'in');
        expect(back.blocks.map((block) => block.name)).toEqual(names);
        const stash = names.map((one) => ({
          ...{
            name: one,
            kind: 'piece',
            unit: 'in',
            width: 18,
            length: 22,
            count: 2,
            gone: 0,
            colour: '#c4532f',
          },
          ...{ direction: 'none', alike: false, washed: true, price: 12.5, from: '' },
        })) as unknown as StashPiece[];
        expect(readStashCsv(writeStashCsv(stash, 'in'), 'in').pieces.map((piece) => piece.name)).toEqual(
          names,
        );
      }),
    );
  });
});

describe('the letters of a file, as spreadsheets of both worlds save it', () => {
  const text = 'name;breite;höhe\r\nDrüben „A“;12,5;12,5\r\n';
  const two = (order: 'le' | 'be', mark: boolean) => {
    const bytes = Buffer.from(mark ? `\uFEFF${text}` : text, 'utf16le');
    return order === 'le' ? bytes : bytes.swap16();
  };
  test('UTF-8 and UTF-16, with a mark at the beginning and without; and Windows’ own', () => {
    for (const bytes of [
      Buffer.from(text),
      Buffer.from(`\uFEFF${text}`),
      two('le', true),
      two('be', true),
      two('le', false),
      two('be', false),
    ])
      expect(textOf(bytes)).toBe(text);
    // By the table of the code page: ü is FC, „ is 84, “ is 93.
    expect(textOf(Uint8Array.from([0x44, 0x72, 0xfc, 0x20, 0x84, 0x41, 0x93]))).toBe('Drü „A“');
    expect(textOf(new Uint8Array())).toBe('');
  });
  test('a table with semicolons and decimal commas in UTF-16 is read as one in UTF-8', () => {
    const table = (bytes: Uint8Array) => readBlocksCsv(textOf(bytes), 'cm').blocks;
    const plain = 'name;width;height\r\nA;31,5;31,8\r\n';
    expect(table(Buffer.from(`\uFEFF${plain}`, 'utf16le'))).toMatchObject([
      { name: 'A', width: 31.5, height: 31.8 },
    ]);
    expect(table(Buffer.from(plain))).toMatchObject([{ name: 'A', width: 31.5, height: 31.8 }]);
  });
});

describe('palettes', () => {
  test('come back as they went; names are one line', () => {
    const colour = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);
    const one = fc.record({ name: fc.string({ minLength: 1, maxLength: 30 }), colour });
    fc.assert(
      fc.property(fc.array(one, { minLength: 1, maxLength: 20 }), (colours) => {
        const back = readPalette(writePalette('x', colours));
        expect(back.ok && back.colours.map((c) => c.colour)).toEqual(colours.map((c) => c.colour));
      }),
    );
  });
  test('what is none says why, and where', () => {
    expect(readPalette('nothing')).toMatchObject({
      ok: false,
      problem: expect.stringContaining('no palette'),
    });
    expect(readPalette('GIMP Palette\nName: a\n#\n300 0 0 x\n')).toMatchObject({
      problem: expect.stringContaining('Line 4'),
    });
    expect(readPalette('GIMP Palette\n')).toMatchObject({ ok: false });
    // With comments, columns and no names, as drawing programs write it.
    expect(readPalette('GIMP Palette\r\nName: Hedge\r\nColumns: 4\r\n# c\r\n 12  34  56\r\n')).toEqual({
      ...{ ok: true, name: 'Hedge', colours: [{ name: '#0c2238', colour: '#0c2238' }] },
    });
  });
});

describe('the plan file as a JSON Schema, by a validator that had no part in it', () => {
  const validate = new Ajv2020({ strict: false, allErrors: false, validateFormats: false }).compile(
    planSchema(),
  );
  test('is of 2020-12; every demo plan is one', () => {
    expect(planSchema()).toMatchObject({ $schema: 'https://json-schema.org/draft/2020-12/schema' });
    for (const name of DEMOS)
      expect([name, validate(JSON.parse(writePlanJson(demo(name))))]).toEqual([name, true]);
  });
  test('a plan with a field that is missing, unknown, or of another kind is none', () => {
    const plan = JSON.parse(writePlanJson(demo('potting-shed'))) as Record<string, unknown>;
    for (const bad of [
      { ...plan, unit: 'ell' },
      { ...plan, grid: { across: 'five', down: 6 } },
      { ...plan, setting: { kind: 'tumbling' } },
      { ...plan, more: 1 },
      { ...plan, fabrics: [] },
      [],
    ])
      expect(validate(bad)).toBe(false);
    delete plan['grid'];
    expect(validate(plan)).toBe(false);
  });
});
