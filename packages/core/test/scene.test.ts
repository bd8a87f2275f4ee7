import fc from 'fast-check';
import {
  blockLabels,
  computeQuilt,
  lookOf,
  type Plan,
  quiltScene,
  type Scene,
  sceneSvg,
  startPlan,
} from '../src/index.ts';
import { areaOf } from '../src/geometry/outline.ts';
import { pathData, pathRound } from '../src/geometry/path.ts';
import type { Point } from '../src/geometry/point.ts';
import { anyPlan, inchPlan } from './support/plans.ts';
import { polygonOf } from './support/svg-path.ts';

const sceneOf = (plan: Plan): Scene => {
  const { layout, joins } = computeQuilt(plan);
  return quiltScene(plan, layout, joins);
};
const itemsOf = (scene: Scene) => scene.layers.flatMap((layer) => layer.items);

describe('a quilt’s scene', () => {
  test('cloth and blocks together are the whole top, whatever its setting', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const scene = sceneOf(plan);
        const areas = itemsOf(scene).flatMap((item): number[] => {
          if (item.what === 'block') return [areaOf(item.corners)];
          if (item.what !== 'shape' || item.fill === null) return [];
          // Read back from what an SVG says, and not from the scene's own points.
          return item.paths.map((path) => areaOf(polygonOf(pathData(path))));
        });
        const whole = scene.box.width * scene.box.height;
        expect(areas.reduce((a, b) => a + b, 0) / whole).toBeCloseTo(1, 6);
      }),
      { numRuns: 40 },
    );
  });
  test('every part that is cut has a shape of its id in the colour of its cloth; a block one of its own', () => {
    const plan = inchPlan({});
    const { layout } = computeQuilt(plan);
    const items = itemsOf(quiltScene(plan, layout));
    const cut = Object.values(layout.parts).filter((part) => part.cutFrom);
    for (const part of cut)
      expect(items).toContainEqual(
        expect.objectContaining({
          id: part.key,
          fill: plan.fabrics.find((f) => f.id === part.cutFrom!.fabric)!.colour,
        }),
      );
    const blocks = layout.pieces.filter((p) => p.place !== undefined).map((p) => p.id);
    expect(items.flatMap((item) => (item.what === 'block' ? [item.id] : []))).toEqual(blocks);
  });
  test('a block turned a quarter to the right begins at the corner to the right of its own', () => {
    const pile = [{ id: 'a', name: 'A', width: null, height: null }];
    const wall = (turn: 0 | 1 | 2 | 3): Plan['wall'] => [{ block: 'a', turn, locked: false }];
    const first = (turn: 0 | 1 | 2 | 3) =>
      itemsOf(sceneOf(inchPlan({ pile, wall: wall(turn) }))).find((item) => item.what === 'block')!
        .corners as Point[];
    expect(first(1)[0]).toEqual(first(0)[1]);
    expect(first(3)[0]).toEqual(first(0)[3]);
  });
  test('a place without a block is drawn empty, and has no face', () => {
    const pile = [{ id: 'a', name: 'A', width: null, height: null }];
    const scene = sceneOf(inchPlan({ grid: { across: 2, down: 2 }, pile }));
    const layer = (id: string) => scene.layers.find((l) => l.id === id)!.items;
    expect(layer('blocks')).toHaveLength(1);
    expect(layer('empty-places')).toMatchObject([{ line: 'empty', fill: null }]);
    expect(layer('empty-places')[0]).toMatchObject({ paths: { length: 3 } });
  });
});

describe('how a block looks', () => {
  test('swapped, its first colour and the ground change places', () => {
    const block = {
      id: 'a',
      name: 'A',
      width: null,
      height: null,
      face: 'pinwheel',
      colours: ['#112233'],
    } as never;
    const [plain, swapped] = [lookOf(block), lookOf(block, true)];
    expect(swapped.ground).toBe('#112233');
    expect(swapped.patches.map((p) => p.colour)).toContain(plain.ground);
    expect(plain.patches.map((p) => p.colour)).toContain('#112233');
    expect(plain.key).not.toBe(swapped.key);
  });
});

describe('a scene as SVG', () => {
  const plan = { ...inchPlan({}), title: 'A < B & "C"' };
  const svg = sceneSvg(sceneOf(plan));
  test('true to size in its own unit, a named group for each layer that has something', () => {
    const { width, height } = computeQuilt(plan).layout.finished;
    expect(svg).toContain(`width="${width.value}in" height="${height.value}in"`);
    expect(svg).toContain(`viewBox="0 0 ${width.value} ${height.value}"`);
    expect([...svg.matchAll(/<g id="layer-([a-z-]+)"><title>/g)].map(([, id]) => id)).toEqual([
      'cloth',
      'blocks',
      'block-seams',
    ]);
    expect(sceneSvg(sceneOf(startPlan('metric-sashed')))).toMatch(/width="[\d.]+cm"/);
  });
  test('what it says can be read back: each outline is where the layout has it', () => {
    const { layout } = computeQuilt(plan);
    const data = svg.match(/id="cornerstone" d="([^"]+)"/)![1]!;
    const drawn = data.split(/(?<=Z)/).map((d) => polygonOf(d));
    const stones = layout.pieces.filter((p) => p.part === 'cornerstone').map((p) => p.outline);
    expect(drawn).toEqual(stones);
  });
  test('signs in a name do not break it', () => {
    const scene: Scene = {
      name: 'x',
      unit: 'in',
      box: { x: 0, y: 0, width: 1, height: 1 },
      layers: [
        {
          id: 'l',
          name: 'A < B & "C"',
          items: [
            { what: 'text', at: { x: 0, y: 0 }, text: '1 < 2', size: 1, align: 'middle', strong: true },
            { what: 'dimension', from: { x: 0, y: 0 }, to: { x: 1, y: 0 }, text: '1″' },
            {
              what: 'shape',
              id: 's',
              paths: [
                pathRound([
                  { x: 0, y: 0 },
                  { x: 1, y: 0 },
                  { x: 0, y: 1 },
                ]),
              ],
              fill: '#ff0000',
              line: 'fold',
            },
          ],
        },
      ],
    };
    const drawn = sceneSvg(scene);
    expect(drawn).toContain('<title>A &lt; B &amp; &quot;C&quot;</title>');
    expect(drawn).toContain('>1 &lt; 2</text>');
    expect(drawn).toMatch(/fill="#ff0000" stroke="#000" .*stroke-dasharray/);
    expect(drawn).toContain('>1″</text>');
  });
});

test('labels: one for each place, row by row as they are sewn, each with its block', () => {
  const pile = ['Ada', 'Bea', 'Cy'].map((name) => ({ id: name, name, width: null, height: null }));
  const plan = inchPlan({
    grid: { across: 2, down: 2 },
    pile,
    wall: [{ block: 'Cy', turn: 1, locked: false }],
  });
  const labels = blockLabels(plan, computeQuilt(plan).layout);
  expect(labels.map((l) => l.says)).toEqual([
    '1·1, Cy, 1 quarter right',
    '1·2, Ada',
    '2·1, Bea',
    '2·2, empty',
  ]);
  expect(labels.map((l) => itemsOf(l.scene).filter((item) => item.what === 'block').length)).toEqual([
    1, 1, 1, 0,
  ]);
  expect(labels[0]!.scene.box).toEqual({ x: 0, y: 0, width: 1.5, height: 0.5 });
});
