import {
  bordersScene,
  chosenSewing,
  computeQuilt,
  edgeScene,
  layersScene,
  type Plan,
  type Scene,
  stepScene,
} from '../src/index.ts';
import { borderOf, inchPlan, wholeSetting } from './support/plans.ts';

// 3 × 4 of 12 with 1½ sash all round is 42 × 55½; a border of 3 at the sides and 2 at top and bottom, one of 5 round
// it: 58 × 69½ (by the pencil).
const plan = inchPlan({ borders: [{ ...borderOf(3, 'border'), ends: 2 }, borderOf(5, 'accent')] });
const texts = (scene: Scene) =>
  scene.layers.flatMap(({ items }) => items.flatMap((item) => (item.what === 'text' ? [item] : [])));
const said = (scene: Scene) => texts(scene).map(({ text }) => text);

describe('drawings of the stages for paper', () => {
  test('borders: every width on its own strip, sides and ends apart', () => {
    const scene = bordersScene(plan, computeQuilt(plan));
    const words = texts(scene).map(({ text, at }) => ({
      text,
      x: Math.round(2 * at.x) / 2,
      y: Math.round(2 * at.y) / 2,
    }));
    // Of the outer border first: on its left strip 2½ in, on its top strip 2½ down; then of the inner, 5 in from those.
    expect(words.map(({ text }) => text)).toEqual(['5″', '5″', '3″', '2″']);
    // Words stand on a line a little lower than their middle: 0.35 of 69½ ÷ 26, about 1.
    expect([words[0]!.x, words[1]!.y, words[2]!.x, words[3]!.y]).toEqual([2.5, 2.5 + 1, 6.5, 6 + 1]);
    // None lies over another.
    expect(Math.abs(words[0]!.y - words[2]!.y)).toBeGreaterThan(3);
    expect(Math.abs(words[1]!.x - words[3]!.x)).toBeGreaterThan(6);
  });
  test('layers: backing, overhang and top, each with its size; a stripe and panels where they lie', () => {
    const quilt = computeQuilt(plan);
    expect(said(layersScene(plan, quilt)!)).toEqual(['top 58 × 69 1/2″', '4″', 'backing 66 × 77 1/2″']);
    const [slabs] = layersScene(plan, quilt)!.layers;
    expect(slabs!.items).toHaveLength(quilt.layers!.chosenBacking.slabs.length);
    const quilted = inchPlan({ setting: wholeSetting({ kind: 'quilted' }) } as Partial<Plan>);
    expect(layersScene(quilted, computeQuilt(quilted))).toBeNull();
  });
  test('edge: joins by the numbers they are listed under, each outside the edge beside where it falls', () => {
    const quilt = computeQuilt(plan);
    const scene = edgeScene(plan, quilt);
    const { joins } = quilt.edge.binding!.joins;
    expect(said(scene)).toEqual(joins.map((_, i) => (i === 0 ? 'S' : String(i))));
    texts(scene).forEach(({ at }, i) => {
      const { point, side } = joins[i]!;
      const beyond = { top: -at.y, left: -at.x, bottom: at.y - 69.5, right: at.x - 58 }[side];
      expect(beyond).toBeGreaterThan(0);
      expect(Math.hypot(at.x - point.x, at.y - point.y)).toBeLessThan(11);
    });
  });
  test('a step: an arrow across each of its seams, its tip on the side it is pressed to; none where it is open', () => {
    const quilt = computeQuilt(plan);
    const { sewing, way, pressing: solved } = chosenSewing(plan, quilt, null);
    // The first seam by choice open; the rules press both ways.
    const pressing = { press: solved!.press.map((press, i) => (i === 0 ? 'open' : press)) };
    expect(new Set(pressing.press)).toEqual(new Set(['a', 'b', 'open']));
    let open = 0;
    way!.steps.forEach((step, i) => {
      const scene = stepScene(sewing, way!, pressing, i, 'in');
      const paths = scene.layers
        .find(({ id }) => id === 'pressing')!
        .items.flatMap((item) => (item.what === 'shape' ? item.paths : []));
      const pressed = step.seams.filter((seam) => pressing.press[seam] !== 'open');
      open += step.seams.length - pressed.length;
      expect(paths).toHaveLength(pressed.length);
      paths.forEach(({ from, steps }, n) => {
        const { line, towardA } = way!.seams[pressed[n]!]!;
        const across = ({ x, y }: { x: number; y: number }) =>
          (x - (line[0].x + line[1].x) / 2) * towardA.x + (y - (line[0].y + line[1].y) / 2) * towardA.y;
        const all = [from, ...steps.map(({ to }) => to)].map(across);
        const tip = pressing.press[pressed[n]!] === 'a' ? Math.max(...all) : -Math.min(...all);
        const tail = pressing.press[pressed[n]!] === 'a' ? -Math.min(...all) : Math.max(...all);
        expect(tip).toBeGreaterThan(tail);
      });
    });
    expect(open).toBe(1);
  });
});
