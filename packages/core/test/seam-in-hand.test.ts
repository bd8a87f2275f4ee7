import ClipperLib from 'clipper-lib';
import {
  computeQuilt,
  guideOf,
  howSidesLie,
  type Plan,
  seamParts,
  seamWords,
  sewingOf,
  type SettingKind,
  startBorder,
} from '../src/index.ts';
import { rawSizeOf } from '../src/sewing/parts.ts';
import { pressingOf } from '../src/sewing/sewing.ts';
import { inchPlan, wholeSetting } from './support/plans.ts';

const worked = (plan: Plan) => {
  const quilt = computeQuilt(plan);
  return { quilt, sewing: sewingOf(plan, quilt.layout) };
};
const KINDS: readonly SettingKind[] = [
  ...(['edge-to-edge', 'sashed', 'on-point', 'on-point-sashed', 'framed', 'half-drop', 'alternate'] as const),
  ...(['strip-set', 'coped', 'quilted'] as const),
];
const plans = (): [string, Plan][] =>
  KINDS.flatMap((kind) =>
    (['mitred', 'squares', 'sides-first'] as const).map((corners, i): [string, Plan] => [
      `${kind}, ${corners}`,
      inchPlan({
        block: { width: 11, height: 11 },
        grid: { across: 3 + (i % 2), down: 2 + i },
        seam: i === 1 ? 0.375 : 0.25,
        setting: wholeSetting({ kind }),
        borders: [{ ...startBorder('1', 2, 'border'), ends: corners === 'mitred' ? 2 : 3, corners }],
      }),
    ]),
  );

/** A part with its allowance by another library's union and offset: how far it reaches each way (Clipper, in millionths). */
function reachOf(outlines: readonly (readonly { x: number; y: number }[])[], seam: number) {
  const fine = 1e6;
  const clipper = new ClipperLib.Clipper();
  const paths = outlines.map((outline) =>
    outline.map(({ x, y }) => ({ X: Math.round(x * fine), Y: Math.round(y * fine) })),
  );
  for (const path of paths) if (!ClipperLib.Clipper.Orientation(path)) path.reverse();
  // Edges that touch to rounding are one.
  const joined = new ClipperLib.ClipperOffset(10, 1);
  for (const path of paths)
    joined.AddPath(path, ClipperLib.JoinType.jtMiter, ClipperLib.EndType.etClosedPolygon);
  const touching: { X: number; Y: number }[][] = [];
  joined.Execute(touching, 3);
  clipper.AddPaths(touching, ClipperLib.PolyType.ptSubject, true);
  const one: { X: number; Y: number }[][] = [];
  clipper.Execute(
    ClipperLib.ClipType.ctUnion,
    one,
    ClipperLib.PolyFillType.pftNonZero,
    ClipperLib.PolyFillType.pftNonZero,
  );
  const raw: { X: number; Y: number }[][] = [];
  const offset = new ClipperLib.ClipperOffset(10, 1);
  // What is left of touching edges is no corner.
  for (const path of ClipperLib.Clipper.CleanPolygons(one, 200))
    offset.AddPath(path, ClipperLib.JoinType.jtMiter, ClipperLib.EndType.etClosedPolygon);
  offset.Execute(raw, seam * fine);
  const points = raw.flat();
  const spread = (x: number, y: number) => {
    const far = points.map(({ X, Y }) => (X * x + Y * y) / fine);
    return Math.max(...far) - Math.min(...far);
  };
  const half = Math.SQRT1_2;
  return { level: [spread(1, 0), spread(0, 1)], slanting: [spread(half, -half), spread(half, half)] };
}

describe('what a part should measure', () => {
  test.each(plans())('%s: every part of every way, by another library’s geometry', (_, plan) => {
    const { sewing } = worked(plan);
    const { top } = sewing;
    for (const way of sewing.ways) {
      const parts = seamParts(top, way);
      way.seams.forEach(({ mitre }, number) => {
        // Only whole parts are held: a quilt with some of its strips on bends in.
        const part = parts[number]!.made;
        const bends = part.pieces.some((piece) => top.pieces[piece]!.role.startsWith('border'));
        if (mitre || (bends && part.pieces.length < top.pieces.length)) return;
        const { width, height } = rawSizeOf(part, plan.seam);
        const { level, slanting } = reachOf(
          part.pieces.map((piece) => top.pieces[piece]!.outline),
          plan.seam,
        );
        const near = (a: number[]) => Math.abs(a[0]! - width) < 1e-4 && Math.abs(a[1]! - height) < 1e-4;
        expect([near(level) || near(slanting), number]).toEqual([true, number]);
      });
    }
  });
  // By the pencil: 6″ framed is 6√2 + ½; a block of 12″ between two side triangles is
  // 36 on its long edge, and 2 · ¼ (1 + √2) more from tip to tip.
  test('framed, mitred, on point', () => {
    const sizes = (plan: Plan, id: string) => {
      const { quilt, sewing } = worked(plan);
      return guideOf(plan, quilt, sewing, sewing.ways[0]!).find((step) => step.id === id)!.measures;
    };
    const framed = inchPlan({
      block: { width: 6, height: 6 },
      grid: { across: 2, down: 2 },
      setting: wholeSetting({ kind: 'framed' }),
    });
    const [unit] = sizes(framed, 'cells-2');
    expect(unit).toMatchObject({ what: 'Each framed block', count: 4 });
    expect([unit!.width, unit!.height]).toEqual([expect.closeTo(8.985, 3), expect.closeTo(8.985, 3)]);
    const mitred = inchPlan({
      grid: { across: 2, down: 2 },
      setting: wholeSetting({ kind: 'edge-to-edge' }),
      borders: [{ ...startBorder('1', 4, 'border'), corners: 'mitred' }],
    });
    expect(sizes(mitred, 'border-1-strips')).toEqual([]);
    expect(sizes(mitred, 'border-1-mitres')).toMatchObject([{ what: 'The top', width: 32.5, height: 32.5 }]);
    const guideRows = (plan: Plan) => {
      const { quilt, sewing } = worked(plan);
      return guideOf(plan, quilt, sewing, sewing.ways[0]!)[0]!.measures;
    };
    const onPoint = inchPlan({ grid: { across: 2, down: 2 }, setting: wholeSetting({ kind: 'on-point' }) });
    const rows = guideRows(onPoint);
    expect(rows.map(({ width }) => width)).toContainEqual(expect.closeTo(36 + 0.5 * (1 + Math.SQRT2), 9));
  });
  test('units: the corner is told apart from its row; rows that differ by their names', () => {
    const plan = inchPlan({
      block: { width: 6, height: 6 },
      grid: { across: 3, down: 3 },
      setting: wholeSetting({ kind: 'sashed', outerSash: false }),
    });
    const { quilt, sewing } = worked(plan);
    const units = sewing.ways.find(({ method }) => method.id === 'units')!;
    const guide = guideOf(plan, quilt, sewing, units);
    const below = guide.find(({ id }) => id === 'below')!;
    expect(below.measures.map(({ count, width, height }) => [count, width, height])).toEqual([
      [2, 6.5, 8],
      [4, 8, 8],
    ]);
    const whole = inchPlan({ block: { width: 6, height: 6 }, grid: { across: 3, down: 3 } });
    const all = worked(whole);
    const way = all.sewing.ways.find(({ method }) => method.id === 'units')!;
    const rows = guideOf(whole, all.quilt, all.sewing, way).find(({ id }) => id === 'rows')!;
    expect(rows.measures.map(({ what, width, height }) => [what, width, height])).toEqual([
      ['Row 1', 24.5, 9.5],
      ['Row 2 and row 3', 24.5, 8],
    ]);
  });
});

describe('words of the seam in hand', () => {
  test.each(plans())('%s: what lies on what, and toward what it is pressed, are what is there', (_, plan) => {
    const { quilt, sewing } = worked(plan);
    const { top } = sewing;
    for (const way of sewing.ways) {
      const parts = seamParts(top, way);
      const words = seamWords(sewing, way);
      const pressing = pressingOf(plan, quilt.layout, sewing, way);
      const guide = guideOf(plan, quilt, sewing, way, pressing);
      const middleOf = (pieces: readonly number[]) => ({
        x: pieces.reduce((sum, piece) => sum + top.pieces[piece]!.middle.x, 0) / pieces.length,
        y: pieces.reduce((sum, piece) => sum + top.pieces[piece]!.middle.y, 0) / pieces.length,
      });
      way.seams.forEach((seam, number) => {
        const { a, b } = parts[number]!;
        const [ofA, ofB] = [words.part(a).the, words.part(b).the];
        // No part is sewn onto one of its own name.
        const said = words.seam(seam);
        const onto = / onto (.*)$/.exec(said);
        if (onto) expect(said.toLowerCase().startsWith(onto[1]!.toLowerCase())).toBe(false);
        const lie = howSidesLie(top, seam);
        const text = lie.says(words, parts[number]!);
        expect(text).toContain(`${lie.upper === 'a' ? ofA : ofB} on top`);
        expect(text).toContain(`${lie.upper === 'a' ? ofB : ofA} underneath`);
        // More seams on top, but a triangle underneath: counted from the pieces along the seam.
        const along = (side: 'a' | 'b') => seam.beside.filter((one) => one.side === side);
        const lower = lie.upper === 'a' ? 'b' : 'a';
        const triangle =
          along(lower).length === 1 && top.pieces[along(lower)[0]!.piece]!.role.endsWith('triangle');
        if (!triangle) expect(along(lie.upper).length).toBeGreaterThanOrEqual(along(lower).length);
      });
      for (const step of guide.filter(({ seams }) => seams.length > 0)) {
        const told = step.does.join(' ');
        if (way.method.id === 'covered' && !step.id.startsWith('border')) continue;
        // Counts of the ways it is pressed add up to its seams, and each way is the solved one.
        const counts = new Map<string, number>();
        for (const number of step.seams) {
          const side = pressing.press[number]!;
          const [ofA, ofB] = (['a', 'b'] as const).map((one) => words.part(parts[number]![one]).kind);
          // Where both sides are alike it is the direction that counts, read off the middles of the parts.
          const from = middleOf(parts[number]![side === 'a' ? 'b' : 'a'].pieces);
          const to = middleOf(parts[number]![side === 'a' ? 'a' : 'b'].pieces);
          const slants = Math.abs(way.seams[number]!.towardA.x) > 1e-6;
          const direction = slants
            ? to.x > from.x
              ? 'to the right'
              : 'to the left'
            : to.y > from.y
              ? 'down'
              : 'up';
          const toward =
            side === 'open' ? 'open' : ofA !== ofB ? `toward the ${side === 'a' ? ofA : ofB}` : direction;
          counts.set(toward, (counts.get(toward) ?? 0) + 1);
        }
        for (const [toward, count] of counts) {
          expect(told).toContain(
            counts.size === 1
              ? `Press ${step.seams.length === 1 ? 'it' : 'each'} ${toward}`
              : `${count} ${toward}`,
          );
        }
        if (step.id.startsWith('border')) expect([step.pick, told].join(' ')).not.toMatch(/slip|rows? in/);
      }
    }
  });
  test('every border is pressed outward, the outer one on the inner too', () => {
    const plan = inchPlan({
      borders: [
        startBorder('1', 2, 'accent'),
        { ...startBorder('2', 4, 'border'), corners: 'squares' },
        startBorder('3', 1, 'accent'),
      ],
    });
    const { quilt, sewing } = worked(plan);
    const way = sewing.ways[0]!;
    const { press } = pressingOf(plan, quilt.layout, sewing, way);
    const on = way.steps
      .filter(({ id }) => /^border-\d-(sides|ends)$/.test(id))
      .flatMap(({ seams }) => seams);
    const middle = { x: quilt.finished.width.value / 2, y: quilt.finished.height.value / 2 };
    expect(on).toHaveLength(12);
    for (const number of on) {
      const {
        line: [from, to],
        towardA,
      } = way.seams[number]!;
      const out = { x: (from.x + to.x) / 2 - middle.x, y: (from.y + to.y) / 2 - middle.y };
      const toA = towardA.x * out.x + towardA.y * out.y > 0;
      expect([number, press[number]]).toEqual([number, toA ? 'a' : 'b']);
    }
  });
});
