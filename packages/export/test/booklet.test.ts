import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { computeQuilt, type Plan, placesInRows, withPlaced } from '@lattice/core';
import { take, takeaway, type TakeJob } from '../src/index.ts';
import { demoPlan, jobOf } from './support/job.ts';

const folder = mkdtempSync(path.join(tmpdir(), 'lattice-paper-'));
afterAll(() => rmSync(folder, { recursive: true }));

interface Rendered {
  readonly pages: readonly { width: number; height: number; dark: number; text: string }[];
  readonly info: Readonly<Record<string, unknown>>;
  readonly outline: readonly string[];
  readonly marked: { readonly Marked: boolean } | null;
}
/** Drawn by another library, at so many dots an inch. */
function rendered(bytes: Uint8Array, dpi: number, only?: { page: number; out: string }): Rendered {
  const file = path.join(folder, 'x.pdf');
  writeFileSync(file, bytes);
  const script = path.join(__dirname, 'support/render.mjs');
  const more = only ? [String(only.page), only.out] : [];
  const out = execFileSync(process.execPath, [script, file, String(dpi), ...more], { maxBuffer: 1 << 26 });
  return JSON.parse(out.toString()) as Rendered;
}
const pdf = async (plan: Plan, what = 'booklet', more: Partial<TakeJob> = {}) =>
  (await take(takeaway('pdf', what)!, jobOf(plan, more))).bytes;

/** Level lines of a page as drawn, so long at least and at most, in dots. */
function levelRuns(
  dark: (x: number, y: number) => boolean,
  { width, from: first, to }: { width: number; from: number; to: number },
  least: number,
  most: number,
): { y: number; from: number; length: number }[] {
  const runs = [];
  for (let y = first; y < to; y += 1)
    for (let x = 0, from = -1; x < width; x += 1) {
      if (dark(x, y) && from < 0) from = x;
      if ((!dark(x, y) || x === width - 1) && from >= 0) {
        if (x - from > least && x - from < most) runs.push({ y, from, length: x - from });
        from = -1;
      }
    }
  return runs;
}

describe('the booklet', () => {
  test('every page has dark dots and words, on either paper; it has an outline, a title, a language and page numbers', async () => {
    for (const paper of ['a4', 'letter'] as const) {
      const bytes = await pdf(demoPlan('cot-on-point'), 'booklet', { paper });
      const { pages, info, outline, marked } = rendered(bytes, 50);
      const [width, height] = paper === 'a4' ? [8.27, 11.69] : [8.5, 11];
      for (const [i, page] of pages.entries()) {
        expect(Math.abs(page.width - width * 50)).toBeLessThan(2);
        expect(Math.abs(page.height - height * 50)).toBeLessThan(2);
        // Letters of a web font that is not embedded aright leave a page white, and the text can be found all the same.
        expect([i, page.dark > 120]).toEqual([i, true]);
        expect(page.text).toContain(`${i + 1} of ${pages.length}`);
      }
      expect(info).toMatchObject({ Title: 'Cot quilt for the corner house', Language: 'en' });
      expect(marked).toMatchObject({ Marked: true });
      expect(outline).toEqual(
        expect.arrayContaining([
          'The layout',
          'To buy',
          'Cutting',
          'Sewing',
          'Templates, true to size',
          'Record card',
        ]),
      );
    }
  });
  test('letters are embedded, and only those that are used', async () => {
    const bytes = await pdf(demoPlan(), 'shopping');
    const text = Buffer.from(bytes).toString('latin1');
    const names = [...text.matchAll(/\/BaseFont \/([^\s/]+)/g)].map(([, name]) => name!);
    expect(names.length).toBeGreaterThan(1);
    // A subset bears six letters before its name (ISO 32000, 9.6.4).
    for (const name of names) expect(name).toMatch(/^[A-Z]{6}\+Archivo/);
    expect(text).toMatch(/\/FontFile2 /);
    expect(text).toContain('/Lang (en)');
  });
  test('the squares to check the printing by measure 300 and 354 dots at 300 dots an inch', async () => {
    const bytes = await pdf(demoPlan(), 'templates');
    const out = path.join(folder, 'page.grey');
    const { pages } = rendered(bytes, 300, { page: 1, out });
    const { width } = pages[0]!;
    const grey = readFileSync(out);
    const dark = (x: number, y: number) => grey[y * width + x]! < 140;
    // Long level lines in the upper part of the page: the upper and lower sides of the squares.
    const runs = levelRuns(dark, { width, from: 0, to: 1100 }, 250, 420);
    for (const side of [300, 300 * (3 / 2.54)]) {
      const own = runs.filter(({ length }) => Math.abs(length - side) < 8);
      const [top, bottom] = [Math.min(...own.map(({ y }) => y)), Math.max(...own.map(({ y }) => y))];
      // A line is about two dots thick, half of it outside the square.
      for (const { length } of own) expect(Math.abs(length - side)).toBeLessThanOrEqual(4);
      expect(Math.abs(bottom - top - side)).toBeLessThanOrEqual(4);
    }
  });
  test('the label for the back is true to size: cut 5 × 4, turned under at 4 1/2 × 3 1/2, its words inside', async () => {
    const out = path.join(folder, 'label.grey');
    const plan = demoPlan('cot-on-point');
    const all = rendered(await pdf(plan), 40).pages;
    const page = all.findIndex(({ text }) => text.includes('Label, true to size'));
    const { pages } = rendered(await pdf(plan), 300, { page: page + 1, out });
    const { width, height } = pages[0]!;
    const grey = readFileSync(out);
    const dark = (x: number, y: number) => grey[y * width + x]! < 140;
    // 4½ × 3½ finished (from memory) with a seam of ¼ all round: 1500 by 1200 dots; the fold is broken.
    const runs = levelRuns(dark, { width, from: 0, to: height }, 1450, 1550);
    const [top, bottom] = [Math.min(...runs.map(({ y }) => y)), Math.max(...runs.map(({ y }) => y))];
    expect(runs.length).toBeGreaterThan(1);
    for (const { length } of runs) expect(Math.abs(length - 1500)).toBeLessThanOrEqual(5);
    expect(Math.abs(bottom - top - 1200)).toBeLessThanOrEqual(5);
    const left = runs[0]!.from;
    // Nothing but the fold stands within a quarter of an inch of the cut, and words stand inside it.
    const inside = (x: number, y: number) => dark(left + x, top + y);
    const count = (x0: number, x1: number, y0: number, y1: number) => {
      let dots = 0;
      for (let y = y0; y < y1; y++) for (let x = x0; x < x1; x++) if (inside(x, y)) dots++;
      return dots;
    };
    expect(count(10, 68, 10, 1190)).toBe(0);
    expect(count(90, 1410, 90, 1110)).toBeGreaterThan(1000);
  });
  test('the same plan at the same moment is the same file; another moment is another', async () => {
    const plan = demoPlan('harbour-metric');
    const [one, two, later] = await Promise.all([
      pdf(plan),
      pdf(plan),
      pdf(plan, 'booklet', { made: '2026-11-28T12:00:00.000Z' }),
    ]);
    expect(Buffer.compare(one, two)).toBe(0);
    expect(Buffer.compare(one, later)).not.toBe(0);
  });
  test('whatever a name is, it is shown or stood in for, and nothing breaks', async () => {
    const names = [
      'שמיכה מהסבתא',
      'ผ้าห่ม 🧵🪡',
      '<b>&amp;</b>(\\)',
      '\u202Eabc\u0000\u0007',
      'x'.repeat(200),
      '',
    ];
    for (const name of names) {
      const plan = {
        ...demoPlan('harbour-metric'),
        title: name,
        fabrics: demoPlan('harbour-metric').fabrics.map((f) => ({ ...f, name })),
      };
      const { pages } = rendered(await pdf(plan, 'shopping'), 40);
      expect(pages[0]!.dark).toBeGreaterThan(100);
      if (name.startsWith('<b>')) expect(pages[0]!.text).toContain('<b>&amp;</b>(\\)');
    }
  });
  test('every step of the sewing is told and drawn, and every card of the cutting', async () => {
    const { pages } = rendered(await pdf(demoPlan('cot-on-point'), 'steps'), 40);
    expect(pages.map(({ text }) => text).join(' ')).toMatch(/1\. .*Right sides together/s);
  });
  test('the layout names every block in the place it hangs in, row by row', async () => {
    const bare = demoPlan('potting-shed');
    const pile = Array.from({ length: 31 }, (_, i) => ({
      id: `b${i}`,
      name: `Leaf ${(7 * i) % 31}`,
      width: null,
      height: null,
    }));
    // The spare one is hung in another’s place: the list tells where they hang, not the order of the pile.
    const plan = withPlaced({ ...bare, pile }, 30, 'b30', 20)!;
    const { pages } = rendered(await pdf(plan, 'layout'), 40);
    const text = pages.map((page) => page.text).join(' ');
    expect(text).toContain('Which block goes where');
    for (const { row, places } of placesInRows(plan, computeQuilt(plan).layout)) {
      const told = places.map(({ number, says }) => `${number} ${says}`).join(', ');
      expect(text.replace(/\s+/g, ' ')).toContain(`Row ${row}: ${told}`);
    }
    // Without blocks of its own there is nothing to name.
    const none = rendered(await pdf({ ...bare, pile: [], wall: [] }, 'layout'), 40);
    expect(none.pages.map((page) => page.text).join(' ')).not.toContain('Which block goes where');
  });
});
