import fc from 'fast-check';
import { edgeOutline, edgePath, edgePolygon, pathData, pointAt, SIDES } from '../src/index.ts';
import { areaOf, lengthRound } from '../src/geometry/outline.ts';
import { lengthAround } from '../src/edge/around.ts';
import { bottomSide, sideAt } from '../src/edge/along.ts';
import type { EdgeForm } from '../src/edge/outline.ts';
import { arcLength, arcRadius, scallopRefusal, solveScallops } from '../src/edge/scallops.ts';
import { measureTiling } from './support/tiling.ts';

const form = (change: Partial<EdgeForm>): EdgeForm => ({
  shape: 'square',
  corners: 'all',
  radius: 6,
  scallop: { width: 6, depth: 1 },
  ...change,
});
const quilt = { width: 60, height: 72 };
const eighths = (least: number, most: number) =>
  fc.integer({ min: least * 8, max: most * 8 }).map((n) => n / 8);

const anyEdge = fc
  .record({
    width: eighths(30, 100),
    height: eighths(30, 100),
    shape: fc.constantFrom('square', 'rounded', 'clipped', 'posts', 'scalloped'),
    corners: fc.constantFrom('all', 'foot'),
    radius: eighths(1, 12),
    cutOut: fc.record({ across: eighths(1, 12), down: eighths(1, 14) }),
    sides: fc.subarray([...SIDES], { minLength: 1 }),
    scallopWidth: eighths(4, 9),
    depth: fc.integer({ min: 2, max: 16 }).map((n) => n / 8),
  })
  .filter((e) => scallopRefusal(e, e.scallopWidth, e.depth, e.sides) === null)
  .map(({ width, height, scallopWidth, depth, sides, ...rest }) => ({
    size: { width, height },
    form: { ...rest, scallop: { width: scallopWidth, depth, sides } } as EdgeForm,
  }));

describe('the edge of a quilt', () => {
  // Rule ED-1: rounded corners of radius r: 2(W + H) − 8r + 2πr.
  test('rounded corners, by the formula; at the foot only, half of it', () => {
    expect(edgeOutline(quilt, form({ shape: 'rounded', radius: 6 })).length).toBeCloseTo(
      2 * (60 + 72) - 8 * 6 + 2 * Math.PI * 6,
      9,
    );
    expect(edgeOutline(quilt, form({ shape: 'rounded', radius: 6, corners: 'foot' })).length).toBeCloseTo(
      2 * (60 + 72) - 4 * 6 + Math.PI * 6,
      9,
    );
  });
  test('corners cut off: eight of 135°, each side shorter by twice the cut', () => {
    const outline = edgeOutline(quilt, form({ shape: 'clipped', radius: 10 }));
    expect(outline.length).toBeCloseTo(2 * (40 + 52) + 4 * 10 * Math.SQRT2, 9);
    expect(outline.turns.map((t) => Math.round(t.angle))).toEqual(Array.from({ length: 8 }, () => 135));
  });
  // Rule TG-4, geometry: what is cut out of two sides lies inside, so the way round is as long; each corner is three.
  test('corners cut out for posts at the foot: as long all round, 14 × 11 gone at each, three turns for one', () => {
    const outline = edgeOutline(
      quilt,
      form({ shape: 'posts', corners: 'foot', cutOut: { across: 14, down: 11 } }),
    );
    expect(outline.length).toBeCloseTo(2 * (60 + 72), 9);
    const polygon = edgePolygon(outline, 1);
    expect(areaOf(polygon)).toBeCloseTo(60 * 72 - 2 * 14 * 11, 9);
    // The corner of the bed lies on the inner corner: 14 in from the side, 11 up from the foot.
    expect(polygon).toContainEqual({ x: 46, y: 61 });
    expect(polygon).toContainEqual({ x: 14, y: 61 });
    expect(outline.turns.map(({ angle, kind }) => [Math.round(angle), kind])).toEqual([
      [90, 'corner'],
      [90, 'corner'],
      [90, 'corner'],
      [270, 'valley'],
      [90, 'corner'],
      [90, 'corner'],
      [270, 'valley'],
      [90, 'corner'],
    ]);
  });
  test('a square edge has four corners, each at the end of its side', () => {
    const { turns, length } = edgeOutline(quilt);
    expect(length).toBe(264);
    expect(turns.map((t) => [t.at, Math.round(1e6 * t.angle) / 1e6]).sort(([a], [b]) => a! - b!)).toEqual([
      [0, 90],
      [60, 90],
      [132, 90],
      [192, 90],
    ]);
  });
  test('a round corner has no sharp turn', () =>
    expect(edgeOutline(quilt, form({ shape: 'rounded' })).turns).toEqual([]));
  // The polygon library and the shoelace formula know nothing of arcs: an edge broken into short chords comes to the same length and area.
  test('every edge closes, is as long as its parts, stays inside the quilt and never crosses itself', () => {
    fc.assert(
      fc.property(anyEdge, ({ size, form }) => {
        const outline = edgeOutline(size, form);
        for (const [i, run] of outline.runs.entries()) {
          const next = outline.runs[(i + 1) % outline.runs.length]!;
          expect(Math.hypot(run.to.x - next.from.x, run.to.y - next.from.y)).toBeLessThan(1e-6);
        }
        const polygon = edgePolygon(outline, 0.1);
        expect(Math.abs(lengthRound(polygon) - outline.length)).toBeLessThan(outline.length * 2e-4);
        for (const { x, y } of polygon) {
          expect(Math.min(x, y, size.width - x, size.height - y)).toBeGreaterThan(-1e-6);
        }
        expect(measureTiling([{ outline: polygon }]).union).toBeCloseTo(areaOf(polygon), 4);
      }),
      { numRuns: 40 },
    );
  });
  test('a place along the edge is found again by its side and its distance', () => {
    fc.assert(
      fc.property(anyEdge, fc.double({ min: 0.01, max: 0.99, noNaN: true }), ({ size, form }, t) => {
        const outline = edgeOutline(size, form);
        const { span, along: alongBottom } = bottomSide(outline);
        const [a, b] = span;
        const along = a + t * (b - a);
        const { side, from } = sideAt(outline, along);
        expect(side).toBe('bottom');
        expect(pointAt(outline, alongBottom(from)).x).toBeCloseTo(pointAt(outline, along).x, 5);
      }),
      { numRuns: 80 },
    );
  });
  test('as a path it has an arc for each arc', () => {
    expect(pathData(edgePath(edgeOutline(quilt, form({ shape: 'rounded' })))).match(/A/g)).toHaveLength(4);
    expect(pathData(edgePath(edgeOutline(quilt)))).toBe('M0 0L60 0L60 72L0 72L0 0Z');
  });
  test('what a tape measured takes the place of what was computed, and both are told', () => {
    const outline = edgeOutline(quilt, form({ shape: 'scalloped' }));
    const measured = lengthAround(outline, form({ shape: 'scalloped' }), 300, 'in');
    expect(measured.value).toBe(300);
    expect(measured.working.join()).toMatch(/Measured along the edge.*Computed it is/);
    expect(lengthAround(outline, form({ shape: 'scalloped' }), null, 'in').working.at(-1)).toMatch(
      /straight it would be 264/,
    );
  });
});

describe('scallops', () => {
  // Geometry: a circle through both ends of a chord and so high above its middle.
  test('radius and length of an arc', () => {
    expect(arcRadius(8, 2)).toBe(5);
    expect(arcLength({ radius: 5, half: Math.acos(3 / 5) })).toBeCloseTo(9.2729521, 6);
    // Half a circle.
    expect(arcRadius(6, 3)).toBe(3);
  });
  // Rule ED-1, common practice: a scalloped 37" edge measured 45". Seven scallops 1 1/2" deep come within half an inch of that.
  test('a 37" edge in seven scallops is about 45" long', () => {
    const chord = 37 / 7;
    const radius = arcRadius(chord, 1.5);
    expect(7 * arcLength({ radius, half: Math.acos((radius - 1.5) / radius) })).toBeGreaterThan(44);
    expect(7 * arcLength({ radius, half: Math.acos((radius - 1.5) / radius) })).toBeLessThan(45.5);
  });
  test('each side is divided evenly, near the width asked for, and the corner is turned on both edges', () => {
    fc.assert(
      fc.property(
        eighths(36, 110),
        eighths(36, 110),
        eighths(4, 9),
        fc.integer({ min: 4, max: 16 }).map((n) => n / 8),
        (w, h, width, depth) => {
          const solved = solveScallops({ width: w, height: h }, width, depth);
          fc.pre(solved !== null);
          const [across, down, corner] = [solved!.across!, solved!.down!, solved!.corner!];
          expect(2 * corner.inset + across.count * across.width).toBeCloseTo(w, 6);
          expect(2 * corner.inset + down.count * down.width).toBeCloseTo(h, 6);
          // The corner's circle touches both edges and passes through the valleys beside it.
          expect(Math.hypot(corner.inset - corner.radius, depth - corner.radius)).toBeCloseTo(
            corner.radius,
            6,
          );
          for (const side of [across, down]) {
            expect(side.width).toBeGreaterThan(width * 0.64);
            expect(side.width).toBeLessThan(width * 1.46);
            // No more than half a circle: neighbours would run into one another.
            expect(side.width).toBeGreaterThanOrEqual(2 * depth - 1e-6);
          }
        },
      ),
      { numRuns: 120 },
    );
  });
  /** Widest over narrowest of scallops and shoulders, by trying every pair of counts and a thousand corners. */
  const evenest = (w: number, h: number, width: number, depth: number): number => {
    let best = Infinity;
    for (let i = 0; i <= 1000; i++) {
      const shoulder =
        Math.max(0.65 * width, 2 * depth) + (i / 1000) * (1.45 * width - Math.max(0.65 * width, 2 * depth));
      const radius = (shoulder * shoulder) / 8 / depth + depth / 2;
      const inset = radius + shoulder / 2;
      for (let n = 1; n <= w / width + 12; n++) {
        for (let m = 1; m <= h / width + 12; m++) {
          const all = [shoulder, (w - 2 * inset) / n, (h - 2 * inset) / m];
          if (Math.min(...all) < Math.max(0.65 * width, 2 * depth) || Math.max(...all) > 1.45 * width)
            continue;
          best = Math.min(best, Math.max(...all) / Math.min(...all));
        }
      }
    }
    return best;
  };
  // Rule SC-1. Every division there is, tried out: what is chosen is within a few hundredths of the evenest, the rest being nearness to the width asked for.
  test.each([
    [60, 72, 6, 1],
    [43, 61.5, 9, 1.5],
    [38, 38, 8, 2],
    [50.5, 97, 7, 1],
    [36, 54, 10, 1.25],
    [40, 60, 12, 2],
  ])('%p × %p in scallops of %p, %p deep: as even as can be', (w, h, width, depth) => {
    const { across, down, corner } = solveScallops({ width: w, height: h }, width, depth)!;
    const all = [across!.width, down!.width, 2 * (corner!.inset - corner!.radius)];
    expect(Math.max(...all) / Math.min(...all)).toBeLessThan(evenest(w, h, width, depth) * 1.06);
  });
  test('on some sides only: those are divided from end to end, the others straight and so much shorter', () => {
    const bottom = edgeOutline(
      quilt,
      form({ shape: 'scalloped', scallop: { width: 6, depth: 1, sides: ['bottom'] } }),
    );
    expect(bottom.scallops).toMatchObject({ across: { count: 10, width: 6 }, down: null, corner: null });
    expect(bottom.runs.filter((r) => r.kind === 'line').map((r) => r.length)).toEqual([60, 71, 71]);
    expect(
      bottom.turns
        .filter((t) => t.kind === 'corner')
        .map((t) => Math.round(t.angle))
        .slice(0, 2),
    ).toEqual([90, 90]);
    const ends = edgeOutline(
      quilt,
      form({ shape: 'scalloped', scallop: { width: 6, depth: 1, sides: ['top', 'bottom'] } }),
    );
    expect(ends.runs.filter((r) => r.kind === 'line').map((r) => r.length)).toEqual([70, 70]);
    // Two sides that meet turn their corner with an arc; the others begin in theirs.
    const two = edgeOutline(
      quilt,
      form({ shape: 'scalloped', scallop: { width: 6, depth: 1, sides: ['bottom', 'left'] } }),
    );
    expect(two.scallops!.corner).not.toBeNull();
    expect(
      two.scallops!.corner!.inset + two.scallops!.across!.count * two.scallops!.across!.width,
    ).toBeCloseTo(60, 6);
    expect(two.scallops!.corner!.inset + two.scallops!.down!.count * two.scallops!.down!.width).toBeCloseTo(
      72,
      6,
    );
  });
  // Each arc from its chord and rise, as a carpenter finds it: angle from tan(half/2) = 2 × rise ÷ chord.
  test('what is added up along a scalloped edge, side by side', () => {
    const lines = (sides: ('top' | 'right' | 'bottom' | 'left')[], width = 6) => {
      const shaped = form({ shape: 'scalloped', scallop: { width, depth: 1, sides } });
      return lengthAround(edgeOutline(quilt, shaped), shaped, null, 'in').working;
    };
    const arc = (chord: number) => ((chord * chord) / 8 + 1 / 2) * 4 * Math.atan(2 / chord);
    const show = (v: number) => String(Math.round(v * 1000) / 1000);
    expect(lines(['bottom'])).toEqual([
      `10 arcs of ${show(arc(6))} = ${show(10 * arc(6))} along bottom`,
      'Straight 202',
      `Together ${show(10 * arc(6) + 202)}; straight it would be 264`,
    ]);
    expect(lines(['left'])).toEqual([
      `12 arcs of ${show(arc(6))} = ${show(12 * arc(6))} along left`,
      'Straight 190',
      expect.stringMatching(/^Together/),
    ]);
    expect(lines(['left', 'right'])).toEqual([
      `24 arcs of ${show(arc(6))} = ${show(24 * arc(6))} along the sides`,
      'Straight 116',
      expect.stringMatching(/^Together/),
    ]);
    expect(lines(['bottom', 'left']).map((l) => l.replace(/[\d.]+/g, '#'))).toEqual([
      '# arcs of # = # along bottom',
      '# arcs of # = # along left',
      '# corner of # = #',
      'Straight #',
      'Together #; straight it would be #',
    ]);
    expect(lines(['top', 'right', 'bottom', 'left']).map((l) => l.replace(/[\d.]+/g, '#'))).toEqual([
      '# arcs of # = # along top and bottom',
      '# arcs of # = # along the sides',
      '# corners of # = #',
      'Together #; straight it would be #',
    ]);
    expect(
      edgeOutline(
        quilt,
        form({ shape: 'scalloped', scallop: { width: 6, depth: 1, sides: ['left', 'right'] } }),
      ).scallops,
    ).toMatchObject({ across: null, down: { count: 12 }, corner: null });
  });
  test('valleys lie as deep as asked, tops on the edge; a valley opens by what its arcs turn', () => {
    const { turns, runs, scallops } = edgeOutline(quilt, form({ shape: 'scalloped' }));
    const [across, down] = [scallops!.across!, scallops!.down!];
    expect(turns).toHaveLength(2 * (across.count + 1) + 2 * (down.count + 1));
    for (const run of runs.slice(0, across.count)) expect(run.from.y).toBeCloseTo(1, 9);
    const first = runs[0]!;
    if (first.kind !== 'arc') throw new Error('no arc');
    expect(first.centre.y - first.radius).toBeCloseTo(0, 9);
    expect(turns[1]!.angle).toBeCloseTo(180 + (2 * across.half * 180) / Math.PI, 6);
    expect(turns.every((t) => t.kind === 'valley')).toBe(true);
  });
  test('too deep and too wide are told', () => {
    expect(scallopRefusal(quilt, 6, 3.5)).toBe('too-deep');
    expect(scallopRefusal({ width: 20, height: 20 }, 10, 1)).toBe('too-wide');
    expect(scallopRefusal(quilt, 6, 1)).toBeNull();
  });
});
