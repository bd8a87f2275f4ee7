import { Helper } from 'dxf';
import DxfParser from 'dxf-parser';
import { parse } from 'svg-parser';
import {
  cutsScene,
  type Plan,
  quiltScene,
  sceneSvg,
  type Scene,
  templatesOf,
  templatesScene,
} from '@lattice/core';
import { sceneDxf } from '../src/dxf.ts';
import { DEMOS, demoPlan, jobOf } from './support/job.ts';

interface Polyline {
  readonly type: string;
  readonly layer: string;
  readonly shape?: boolean;
  readonly closed?: boolean;
  readonly vertices: readonly { readonly x: number; readonly y: number }[];
}
const shoelace = (points: readonly { x: number; y: number }[]) =>
  Math.abs(
    points.reduce((sum, a, i) => {
      const b = points[(i + 1) % points.length]!;
      return sum + a.x * b.y - b.x * a.y;
    }, 0) / 2,
  );
const boxOf = (points: readonly { x: number; y: number }[]) => ({
  width: Math.max(...points.map(({ x }) => x)) - Math.min(...points.map(({ x }) => x)),
  height: Math.max(...points.map(({ y }) => y)) - Math.min(...points.map(({ y }) => y)),
});

/** Closed outlines as two readers, each with a parser of its own, find them. */
function readTwice(text: string) {
  const one = new DxfParser().parseSync(text)!;
  const two = new Helper(text).parsed as unknown as { entities: Polyline[]; header: { insUnits?: number } };
  const byOne = (one.entities as unknown as Polyline[]).filter(
    ({ type, shape }) => /POLYLINE/.test(type) && shape,
  );
  const byTwo = two.entities.filter(({ type, closed }) => /POLYLINE/.test(type) && closed);
  return { byOne, byTwo, units: one.header['$INSUNITS'] as number };
}

describe('DXF, read back by two libraries', () => {
  test.each(DEMOS)('%s: as many closed outlines as the layout has pieces, its box and its area', (name) => {
    const { plan, quilt } = jobOf(demoPlan(name));
    const { byOne, byTwo, units } = readTwice(sceneDxf(quiltScene(plan, quilt.layout)));
    // The format's own numbers: 1 is inches, 5 centimetres.
    expect(units).toBe(plan.unit === 'in' ? 1 : 5);
    const { width, height } = quilt.finished;
    for (const found of [byOne, byTwo]) {
      const own = found.filter(({ layer }) => layer === 'CLOTH' || layer === 'BLOCKS');
      expect(own).toHaveLength(quilt.layout.pieces.length);
      const box = boxOf(own.flatMap(({ vertices }) => vertices));
      expect(box.width).toBeCloseTo(width.value, 6);
      expect(box.height).toBeCloseTo(height.value, 6);
      // The pieces of a top leave nothing out and lie nowhere twice.
      const area = own.reduce((sum, { vertices }) => sum + shoelace(vertices), 0);
      expect(area).toBeCloseTo(width.value * height.value, 4);
    }
  });
  test.each(DEMOS)('%s: cut pieces, each with its seams and without, by both readers', (name) => {
    const { plan, quilt } = jobOf(demoPlan(name));
    const { byOne, byTwo } = readTwice(sceneDxf(cutsScene(plan, quilt)));
    const triangles = { 0: 1, 1: 2, 2: 4 } as const;
    const pieces = quilt.fabrics.flatMap((cloth) => cloth.pieces);
    const cut = pieces.reduce((sum, { corners }) => sum + triangles[corners], 0);
    const strips = quilt.fabrics.reduce(
      (sum, { runs }) => sum + runs.reduce((all, { segments }) => all + segments.length, 0),
      0,
    );
    for (const found of [byOne, byTwo]) {
      expect(found.filter(({ layer }) => layer.startsWith('CUT'))).toHaveLength(cut + strips);
      const sewn = found.filter(({ layer }) => layer.startsWith('SEWN'));
      expect(sewn).toHaveLength(cut);
      // By hand, of every oblong: two seams less each way.
      const plain = pieces.filter(({ corners }) => corners === 0);
      if (plain.length !== pieces.length) continue;
      const wanted = plain.reduce((sum, { w, h }) => sum + (w - 2 * plan.seam) * (h - 2 * plan.seam), 0);
      expect(sewn.reduce((sum, { vertices }) => sum + shoelace(vertices), 0)).toBeCloseTo(wanted, 4);
    }
  });
  test('up is up, and a name is one line of plain signs', () => {
    const scene: Scene = {
      name: 'x',
      unit: 'in',
      box: { x: 0, y: 0, width: 4, height: 4 },
      layers: [
        {
          id: 'a b/ü',
          name: 'A',
          items: [
            { what: 'text', at: { x: 1, y: 1 }, text: 'ü\n0\nENDSEC שלום 🧵', size: 1, align: 'start' },
          ],
        },
      ],
    };
    const text = sceneDxf(scene);
    const [entity] = new DxfParser().parseSync(text)!.entities as unknown as {
      text: string;
      startPoint: { y: number };
      layer: string;
    }[];
    expect(entity).toMatchObject({ layer: 'A-B-', startPoint: { y: 3 } });
    expect(entity!.text).toMatch(/^\\U\+00FC 0 ENDSEC/);
    expect(text).not.toMatch(/[^\x20-\x7e\n\r]/);
  });
});

describe('SVG, read by a parser of its own', () => {
  interface Node {
    readonly tagName?: string;
    readonly properties?: Readonly<Record<string, string | number>>;
    readonly children?: readonly Node[];
  }
  const walk = (node: Node): Node[] => [node, ...(node.children ?? []).flatMap(walk)];
  /** Outlines of a path of straight lines. */
  const rounds = (d: string) =>
    d
      .split('Z')
      .filter((part) => part !== '')
      .map((part) =>
        part
          .slice(1)
          .split('L')
          .map((pair) => {
            const [x, y] = pair.split(' ').map(Number) as [number, number];
            return { x, y };
          }),
      );
  const svgOf = (plan: Plan) => {
    const { quilt } = jobOf(plan);
    return { quilt, root: parse(sceneSvg(quiltScene(plan, quilt.layout))).children[0] as Node };
  };
  test.each(DEMOS)(
    '%s: true to size in its unit, layers with names, cloth and blocks sum to the quilt',
    (name) => {
      const plan = demoPlan(name);
      const { quilt, root } = svgOf(plan);
      const { width, height } = quilt.finished;
      expect(root.properties).toMatchObject({
        width: `${width.value}${plan.unit}`,
        height: `${height.value}${plan.unit}`,
      });
      const groups = root.children!.filter(({ tagName }) => tagName === 'g');
      expect(groups.map(({ properties }) => properties!['id'])).toContain('layer-cloth');
      for (const group of groups) expect(walk(group)[1]!.tagName).toBe('title');
      const cloth = groups.find(({ properties }) => properties!['id'] === 'layer-cloth')!;
      const area = walk(cloth)
        .filter(({ tagName }) => tagName === 'path')
        .flatMap(({ properties }) => rounds(String(properties!['d'])))
        .reduce((sum, points) => sum + shoelace(points), 0);
      const blocks = groups.find(({ properties }) => properties!['id'] === 'layer-blocks');
      const ofBlocks = (blocks?.children ?? [])
        .filter(({ tagName }) => tagName === 'g')
        .reduce((sum, { properties }) => {
          const [a, b, c, d] = /matrix\(([^)]*)\)/
            .exec(String(properties!['transform']))![1]!
            .split(' ')
            .map(Number);
          return sum + Math.abs(a! * d! - b! * c!);
        }, 0);
      expect(area + ofBlocks).toBeCloseTo(width.value * height.value, 4);
    },
  );
  test('names with marks in them stay words', () => {
    const plan = demoPlan('cot-on-point');
    const bad = '"><script>alert(1)</script>&';
    const text = sceneSvg({
      ...quiltScene({ ...plan, title: bad }, jobOf(plan).quilt.layout),
      layers: [
        {
          id: bad,
          name: bad,
          items: [{ what: 'text', at: { x: 0, y: 0 }, text: bad, size: 1, align: 'start' }],
        },
      ],
    });
    const nodes = walk(parse(text) as unknown as Node);
    expect(nodes.some(({ tagName }) => tagName === 'script')).toBe(false);
  });
});

test('templates: what is cut lies a seam outside what is sewn, all round (by the distance of parallel lines)', () => {
  for (const name of DEMOS) {
    const { plan, quilt } = jobOf(demoPlan(name));
    for (const { outline, seam, width, height } of templatesOf(plan, quilt)) {
      if (!seam) continue;
      const corners = (path: typeof outline) => [path.from, ...path.steps.map(({ to }) => to)];
      const [outer, inner] = [corners(outline), corners(seam)];
      inner.forEach((a, i) => {
        const b = inner[(i + 1) % inner.length]!;
        const length = Math.hypot(b.x - a.x, b.y - a.y);
        const away = (p: { x: number; y: number }) =>
          Math.abs((b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x)) / length;
        for (const corner of [outer[i]!, outer[(i + 1) % outer.length]!])
          expect(away(corner)).toBeCloseTo(plan.seam, 9);
      });
      expect(boxOf(outer).width).toBeCloseTo(width, 9);
      expect(boxOf(outer).height).toBeCloseTo(height, 9);
    }
    const cards = templatesOf(plan, quilt);
    if (cards.length > 0) expect(templatesScene('t', cards, plan.unit).layers).toHaveLength(cards.length + 1);
  }
});
