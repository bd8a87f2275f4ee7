import fc from 'fast-check';
import PerspT from 'perspective-transform';
import { cameraFrom, cameraOf, perspective, through } from '../src/camera/camera.ts';
import { leastSquares } from '../src/camera/least-squares.ts';
import { askew, fromTopLeft, rectangle, SHEETS, squareAt } from '../src/reference/reference.ts';
import { inRow, offSquareBy, sixLengths } from '../src/block/six-lengths.ts';
import { crossing, lineDespiteStrays } from '../src/picture/straight.ts';
import { KIND_WORDS, photoKindOf } from '../src/verdict/words.ts';
import { onFilm, type Shot } from './support/photograph.ts';

const corner = (x: number, y: number) =>
  fc.record({
    x: fc.double({ min: x - 60, max: x + 60, noNaN: true }),
    y: fc.double({ min: y - 60, max: y + 60, noNaN: true }),
  });
const quad = fc.tuple(corner(100, 100), corner(500, 120), corner(480, 520), corner(110, 500));

test('a plain perspective is the one of a library for just that (perspective-transform)', () => {
  fc.assert(
    fc.property(
      quad,
      fc.double({ min: 0, max: 12, noNaN: true }),
      fc.double({ min: 0, max: 9, noNaN: true }),
      (seen, x, y) => {
        const places = rectangle(12, 9);
        const ours = through(perspective(places, seen)!, { x, y });
        const [px, py] = PerspT(
          places.flatMap((p) => [p.x, p.y]),
          seen.flatMap((p) => [p.x, p.y]),
        ).transform(x, y);
        // The library rounds each of its eight numbers to ten places, and x and y go up to twelve.
        expect(Math.hypot(ours.x - px, ours.y - py)).toBeLessThan(1e-4);
      },
    ),
  );
});

const shot = (bend: number, tilt: number, roll: number): Shot => ({
  width: 3000,
  height: 2000,
  stands: [6 + tilt, 4 + tilt / 2, 20],
  looksAt: { x: 6, y: 4 },
  roll,
  focal: 2500,
  axis: { x: 0, y: 0 },
  bend,
  blur: 0,
  noise: 0,
});
const some = (max: number) => fc.double({ min: -max, max, noNaN: true });

test('a camera guessed from a perspective sees what the tests’ own camera sees, and finds places again through a bent lens', () => {
  fc.assert(
    fc.property(some(8), some(30), some(0.03), some(12), (tilt, roll, bend, x) => {
      const straight = shot(0, tilt, roll);
      const places = rectangle(12, 9);
      const h = perspective(
        places,
        places.map((p) => onFilm(straight, p)),
      )!;
      const values = cameraFrom(h, 2500, 1500, 1000);
      const at = { x, y: x / 2 };
      const seen = cameraOf(values).seen(at);
      const own = onFilm(straight, at);
      expect(Math.hypot(seen.x - own.x, seen.y - own.y)).toBeLessThan(1e-3);
      const bent = cameraOf(values.map((v, i) => (i === 3 ? bend : v)));
      const film = onFilm(shot(bend, tilt, roll), at);
      const back = bent.place(film);
      expect(Math.hypot(back.x - at.x, back.y - at.y)).toBeLessThan(1e-4);
    }),
  );
});

test('least squares: the line through points, and how surely it is known, as in any textbook', () => {
  // y = 2 + 3x with deviations of ±1: variances by the usual sums, σ² (XᵀX)⁻¹.
  const xs = [0, 1, 2, 3, 4, 5];
  const ys = xs.map((x, i) => 2 + 3 * x + (i % 2 === 0 ? 1 : -1));
  const fitted = leastSquares(([a, b]) => xs.map((x, i) => a! + b! * x - ys[i]!), [0, 0], [1, 1]);
  const n = xs.length;
  const sx = 15;
  const sxx = 55;
  const sy = ys.reduce((s, v) => s + v, 0);
  const sxy = ys.reduce((s, v, i) => s + v * xs[i]!, 0);
  const slope = (n * sxy - sx * sy) / (n * sxx - sx * sx);
  expect(fitted.values[1]).toBeCloseTo(slope, 4);
  expect(fitted.values[0]).toBeCloseTo((sy - slope * sx) / n, 4);
  expect(fitted.covariance.get(1, 1)).toBeCloseTo(n / (n * sxx - sx * sx), 3);
});

test('a line is laid past strays, and lines cross where they should', () => {
  const honest = Array.from({ length: 30 }, (_, i) => ({
    x: i,
    y: 2 * i + 1 + (i % 2 === 0 ? 0.01 : -0.01),
  }));
  const strays = [3, 9, 14, 22, 27].map((x) => ({ x, y: 2 * x + 9 }));
  const line = lineDespiteStrays([...honest, ...strays], 0.02)!;
  expect(line.by).toHaveLength(30);
  const across = lineDespiteStrays(
    Array.from({ length: 9 }, (_, i) => ({ x: i, y: 5 })),
    0.02,
  )!;
  const at = crossing(line, across)!;
  expect(at.x).toBeCloseTo(2, 2);
  expect(at.y).toBeCloseTo(5, 6);
  expect(crossing(across, across)).toBeNull();
});

describe('six lengths', () => {
  test('of a block out of true, by the theorem of Pythagoras', () => {
    const six = sixLengths([
      { x: 0, y: 0 },
      { x: 12, y: 0 },
      { x: 12, y: 12.5 },
      { x: 0, y: 12 },
    ]);
    expect(inRow(six)).toEqual([12, Math.hypot(12, 0.25), Math.hypot(12, 0.5), 12, 12.25, 12.5]);
  });
  test('corners off square: nothing for a square, and together nothing for any block', () => {
    expect(offSquareBy(rectangle(9, 9)).map((v) => Math.abs(v) < 1e-9)).toEqual([true, true, true, true]);
    fc.assert(
      fc.property(quad, (corners) => {
        // The angles of any four-cornered figure come to 360 degrees (Euclid).
        expect(Math.abs(offSquareBy(corners).reduce((s, v) => s + v, 0))).toBeLessThan(1e-6);
      }),
    );
  });
});

test('squares lie within the rectangle of their outer corners, however a card is turned about its own', () => {
  const [w, h] = SHEETS.letter.sides;
  rectangle(w, h).forEach((at, k) => {
    for (const p of squareAt(at, k, 0)) {
      expect(p.x).toBeGreaterThanOrEqual(-1e-9);
      expect(p.x).toBeLessThanOrEqual(w + 1e-9);
      expect(p.y).toBeGreaterThanOrEqual(-1e-9);
      expect(p.y).toBeLessThanOrEqual(h + 1e-9);
    }
    expect(askew(squareAt(at, k, 0.1), k)).toBeCloseTo(0.1, 9);
  });
});

test('corners begin with the one that is top left', () => {
  const [a, b, c, d] = rectangle(5, 4);
  expect(fromTopLeft([c!, d!, a!, b!], (p) => p)).toEqual([a, b, c, d]);
});

describe('what a file is, by its first bytes', () => {
  // JFIF, PNG (ISO 15948), WebP (RIFF), HEIF (ISO 14496-12 and 23008-12), and a plan.
  const bytes = (text: string) => Array.from(text, (c) => c.charCodeAt(0));
  test.each([
    ['jpeg', [0xff, 0xd8, 0xff, 0xe0]],
    ['png', bytes('\x89PNG\r\n\x1a\n')],
    ['webp', bytes('RIFF\x00\x00\x00\x00WEBPVP8 ')],
    ['heic', bytes('\x00\x00\x00\x18ftypheic\x00\x00\x00\x00')],
    ['heic', bytes('\x00\x00\x00\x18ftypmif1\x00\x00\x00\x00')],
    ['none', bytes('{ "title": "a plan" }')],
    ['none', []],
  ])('%s', (kind, first) => expect(photoKindOf(first)).toBe(kind));
  test('has a word for each that cannot be read', () => {
    expect(KIND_WORDS.heic).toContain('JPEG');
    expect(KIND_WORDS.none).toContain('not a photo');
  });
});
