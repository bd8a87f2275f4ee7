import fc from 'fast-check';
import {
  edgeOutline,
  edgePolygon,
  pathData,
  pathRound,
  type Point,
  scallopTemplates,
  sheetsOf,
  sceneSvg,
  type Template,
  templatesScene,
} from '../src/index.ts';
import type { EdgeForm } from '../src/edge/outline.ts';
import { scallopRefusal, type Scallops } from '../src/edge/scallops.ts';
import { areaOf } from '../src/geometry/outline.ts';
import { polygonOf } from './support/svg-path.ts';
import { sharedArea } from './support/tiling.ts';

const form = (width: number, depth: number): EdgeForm => ({
  shape: 'scalloped',
  corners: 'all',
  radius: 6,
  scallop: { width, depth },
});
const eighths = (least: number, most: number) =>
  fc.integer({ min: least * 8, max: most * 8 }).map((n) => n / 8);
const anyScallops = fc
  .record({
    width: eighths(36, 100),
    height: eighths(36, 100),
    scallop: eighths(4, 9),
    depth: fc.integer({ min: 4, max: 14 }).map((n) => n / 8),
  })
  .filter((e) => scallopRefusal(e, e.scallop, e.depth) === null)
  .map(({ width, height, scallop, depth }) => edgeOutline({ width, height }, form(scallop, depth)));

/** The card unfolded, its outline about the middle of its top. */
function unfolded({ outline, half, width }: Template): Point[] {
  const cut = polygonOf(pathData(outline));
  if (!half) return cut.map(({ x, y }) => ({ x: x - width / 2, y }));
  return [...cut, ...[...cut].reverse().map(({ x, y }) => ({ x: -x, y }))];
}

const svgOf = (cards: readonly Template[], unit: 'in' | 'cm') =>
  sceneSvg(templatesScene('Cards', cards, unit));

/** How far a point lies from an outline. */
function distanceTo(outline: readonly Point[], { x, y }: Point): number {
  return Math.min(
    ...outline.map((a, i) => {
      const b = outline[(i + 1) % outline.length]!;
      const [dx, dy] = [b.x - a.x, b.y - a.y];
      const t = Math.max(0, Math.min(1, ((x - a.x) * dx + (y - a.y) * dy) / (dx * dx + dy * dy || 1)));
      return Math.hypot(x - a.x - t * dx, y - a.y - t * dy);
    }),
  );
}

/** Where each card is laid on the quilt: one scallop of the top, one of the left side, the upper left corner. */
function laid(template: Template, scallops: Scallops): Point[] {
  const [corner, across, down] = [scallops.corner!, scallops.across!, scallops.down!];
  const card = unfolded(template);
  if (template.name === 'Corner') {
    const top = corner.radius * (1 - Math.SQRT1_2);
    return card.map(({ x, y }) => ({ x: top + (y + x) * Math.SQRT1_2, y: top + (y - x) * Math.SQRT1_2 }));
  }
  if (template.name === 'Scallop of the sides')
    return card.map(({ x, y }) => ({ x: y, y: corner.inset + down.width / 2 - x }));
  return card.map(({ x, y }) => ({ x: corner.inset + across.width / 2 + x, y }));
}

describe('cards to cut scallops by', () => {
  // The polygon library knows nothing of how either was drawn: a card laid where it belongs covers cloth that stays, and nothing beyond the edge.
  test('laid on the quilt they lie inside its edge, their curve along it', () => {
    fc.assert(
      fc.property(anyScallops, (outline) => {
        const scallops = outline.scallops!;
        const quilt = edgePolygon(outline, 0.05);
        for (const template of scallopTemplates(scallops, 'in')) {
          const card = laid(template, scallops);
          // A card's curve and the quilt's are broken into chords of their own: hundredths of a square inch lie between them.
          expect(areaOf(card) - sharedArea({ outline: card }, { outline: quilt })).toBeLessThan(0.02);
          const curve = polygonOf(pathData(template.outline), 8).slice(0, 9);
          const onQuilt = laid({ ...template, outline: pathRound(curve) }, scallops);
          expect(Math.max(...onQuilt.map((p) => distanceTo(quilt, p)))).toBeLessThan(0.001);
        }
      }),
      { numRuns: 15 },
    );
  });
  test('each is as large as it says', () => {
    fc.assert(
      fc.property(anyScallops, ({ scallops }) => {
        for (const { width, height, outline } of scallopTemplates(scallops!, 'in')) {
          const cut = polygonOf(pathData(outline));
          const [across, down] = [cut.map((p) => p.x), cut.map((p) => p.y)];
          expect(Math.min(...across, ...down)).toBeGreaterThan(-1e-6);
          // The chords that stand for an arc stay a little inside it.
          expect(width - Math.max(...across)).toBeLessThan(0.01);
          expect(Math.max(...across)).toBeLessThan(width + 1e-6);
          expect(Math.max(...down)).toBeCloseTo(height, 6);
        }
      }),
      { numRuns: 60 },
    );
  });
  test('a card too large for a sheet is printed on several that cover it exactly; a small one on one', () => {
    const large = scallopTemplates(edgeOutline({ width: 90, height: 100 }, form(20, 1.5)).scallops!, 'in');
    expect(large.map((card) => sheetsOf(card, 'in').length > 1)).toContain(true);
    for (const card of large) {
      const sheets = sheetsOf(card, 'in');
      expect(sheets.reduce((sum, s) => sum + s.width * s.height, 0)).toBeCloseTo(card.width * card.height, 6);
      // Letter paper with half an inch of margin, room left for a line of words.
      for (const s of sheets)
        expect(
          s.width <= 7.5 &&
            s.height <= 10 &&
            s.x + s.width <= card.width + 1e-9 &&
            s.y + s.height <= card.height + 1e-9,
        ).toBe(true);
    }
    expect(sheetsOf({ width: 7.5, height: 2 }, 'in')).toEqual([{ x: 0, y: 0, width: 7.5, height: 2 }]);
    expect(sheetsOf({ width: 19.05, height: 5 }, 'cm')).toHaveLength(1);
  });
  test('one card serves all sides where they are alike; else each its own, and says how many times', () => {
    const square = scallopTemplates(edgeOutline({ width: 60, height: 60 }, form(6, 1)).scallops!, 'in');
    expect(square.map((t) => t.name)).toEqual(['Scallop', 'Corner']);
    expect(square[0]!.says).toMatch(/^\d+ along top and bottom, \d+ along the sides; .* wide, 1″ deep$/);
    // Apart by a thirty-second or more, the two say so.
    const [across, down] = scallopTemplates(
      edgeOutline({ width: 70, height: 81.5 }, form(6, 1)).scallops!,
      'in',
    );
    expect([across!.says, down!.says]).toEqual([
      expect.stringContaining('; 6″ wide'),
      expect.stringContaining('; 5 31/32″ wide'),
    ]);
    expect(
      scallopTemplates(edgeOutline({ width: 48, height: 71 }, form(6, 1)).scallops!, 'in').map((t) => t.name),
    ).toEqual(['Scallop of top and bottom', 'Scallop of the sides', 'Corner']);
  });
  test('the same in centimetres', () => {
    const inches = scallopTemplates(edgeOutline({ width: 60, height: 72 }, form(6, 1)).scallops!, 'in');
    const cm = scallopTemplates(
      edgeOutline({ width: 60 * 2.54, height: 72 * 2.54 }, form(6 * 2.54, 2.54)).scallops!,
      'cm',
    );
    expect(cm.map((t) => [t.name, t.width.toFixed(6), t.height.toFixed(6), t.half])).toEqual(
      inches.map((t) => [t.name, (t.width * 2.54).toFixed(6), (t.height * 2.54).toFixed(6), t.half]),
    );
  });
});

describe('as one drawing', () => {
  let templates: readonly Template[];
  beforeAll(() => {
    templates = scallopTemplates(edgeOutline({ width: 60, height: 72 }, form(9, 1)).scallops!, 'in');
  });
  test('true to size: a unit of the drawing is an inch, and a square of 1" checks the printing', () => {
    const svg = svgOf(templates, 'in');
    const [, width, height] = svg.match(/width="([\d.]+)in" height="([\d.]+)in"/)!.map(Number);
    expect(svg).toContain(`viewBox="0 0 ${width} ${height}"`);
    expect(svg).toContain('d="M0.5 0.5L1.5 0.5L1.5 1.5L0.5 1.5Z"');
    const metric = svgOf(templates, 'cm').match(/id="check" d="([^"]+)"/)![1]!;
    const side = polygonOf(metric).map((p) => p.x);
    expect(Math.max(...side) - Math.min(...side)).toBeCloseTo(3, 9);
  });
  test('cards lie below one another without touching; a half card says which edge is the fold', () => {
    const svg = svgOf(templates, 'in');
    const cards = templates.map(({ name }) => {
      const data = svg.match(new RegExp(`id="${name}" d="([^"]+)"`))![1]!;
      return polygonOf(data).map((p) => p.y);
    });
    expect(cards).toHaveLength(templates.length);
    for (const [i, card] of cards.entries())
      if (i > 0) expect(Math.min(...card)).toBeGreaterThan(Math.max(...cards[i - 1]!));
    expect(templates.some((t) => t.half)).toBe(true);
    expect(svg).toContain('half: left edge on a fold');
  });
  test('a name with signs in it does not break the drawing', () => {
    expect(svgOf([{ ...templates[0]!, name: 'A < B & "C"' }], 'in')).toContain(
      '<title>A &lt; B &amp; &quot;C&quot;</title>',
    );
  });
});
