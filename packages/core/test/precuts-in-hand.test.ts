import fc from 'fast-check';
import {
  enoughOf,
  findFits,
  fitRequestSchema,
  type FitRequest,
  type Plan,
  PRECUTS,
  startRequest,
} from '../src/index.ts';
import { computeQuilt, applyFit, precutsSay } from '../src/index.ts';
import { precutsFor } from '../src/finder/cloth.ts';
import { inchPlan, wholeSetting } from './support/plans.ts';

/** 3 × 4 blocks of 9", sash 2" finished: sashes 2 ½ × 9 ½, cornerstones 2 ½ square. */
const plan = (change: Partial<Plan> = {}): Plan =>
  inchPlan({
    block: { width: 9, height: 9 },
    grid: { across: 3, down: 4 },
    setting: wholeSetting({ kind: 'sashed', sash: 2, outerSash: true, cornerstones: true }),
    fabrics: inchPlan({}).fabrics,
    ...change,
  });

describe('precuts in hand for a search (rule PC-1)', () => {
  // By the pencil. 31 sashes 2 ½ × 9 ½: four of a 40" strip, eight strips; of a fat quarter 21" long two, seven rows of
  // 2 ½ in 17 ½: 14, so three; of a 10" square one to a row, four rows: eight.
  test('as many as the cutting takes', () => {
    expect(precutsFor(plan(), 'sash', 'strip')).toBe(8);
    expect(precutsFor(plan(), 'sash', 'fat-quarter')).toBe(3);
    expect(precutsFor(plan(), 'sash', 'square-10')).toBe(8);
    // 20 cornerstones: two by two of a 5" square.
    expect(precutsFor(plan(), 'cornerstone', 'square-5')).toBe(5);
    expect(precutsFor(plan(), 'cornerstone', 'strip')).toBe(2);
  });
  test('a sash wider than a strip, or longer than a square, is not cut from it', () => {
    const wide = plan({
      setting: wholeSetting({ kind: 'sashed', sash: 2.5, outerSash: true, cornerstones: true }),
    });
    expect(precutsFor(wide, 'sash', 'strip')).toBe(Infinity);
    expect(precutsFor(plan({ block: { width: 12, height: 12 } }), 'plain', 'square-10')).toBe(0);
    const alternate = plan({
      block: { width: 12, height: 12 },
      setting: wholeSetting({ kind: 'alternate' }),
    });
    expect(precutsFor(alternate, 'plain', 'square-10')).toBe(Infinity);
  });

  // Strips between columns run past four blocks: 42 ½ each, joined of 40" strips, a strip's width lost at each join.
  test('long sashes are joined from strips, not from squares', () => {
    const columns = plan({ setting: wholeSetting({ kind: 'strip-set', sash: 2, outerSash: false }) });
    const long = computeQuilt(columns).pieces.filter((line) => line.use.what === 'sash');
    const run = long.reduce(
      (sum, { cut, count }) => sum + (cut.shape === 'rectangle' ? count.value * cut.length.value : 0),
      0,
    );
    expect(run).toBeGreaterThan(60);
    // n strips joined into one run: 40 n − 2 ½ (n − 1) is enough for it.
    const n = precutsFor(columns, 'sash', 'strip');
    expect(40 * n - 2.5 * (n - 1)).toBeGreaterThanOrEqual(run);
    expect(40 * (n - 1) - 2.5 * (n - 2)).toBeLessThan(run);
    expect(precutsFor(columns, 'sash', 'square-5')).toBe(Infinity);
  });

  /** Pieces laid one by one into as many as are said, by the widths of their strips: an independent first fit. */
  test('any sashes: what is said is enough, and one fewer has not the area or not the room', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 6 }),
        fc.integer({ min: 2, max: 6 }),
        fc.integer({ min: 4, max: 18 }).map((n) => n / 2),
        fc.constantFrom('fat-quarter', 'fat-eighth', 'strip', 'square-10'),
        (across, down, block, precut) => {
          const made = plan({ grid: { across, down }, block: { width: block, height: block } });
          const count = precutsFor(made, 'sash', precut);
          const [width, length] = PRECUTS[precut].size.in;
          const sashes = computeQuilt(made).pieces.filter((line) => line.use.what === 'sash');
          const area = sashes.reduce(
            (sum, { cut, count: n }) =>
              sum + (cut.shape === 'rectangle' ? n.value * cut.width.value * cut.length.value : 0),
            0,
          );
          expect(count * width * length).toBeGreaterThanOrEqual(area - 1e-6);
          // Each whole piece cut alike holds at least what the plainest cut of it does, so no more are said than that asks for.
          const plainest = Math.max(
            Math.floor(length / 2.5) * Math.floor(width / (block + 0.5)),
            Math.floor(width / 2.5) * Math.floor(length / (block + 0.5)),
          );
          const pieces = sashes.reduce((sum, { count: n }) => sum + n.value, 0);
          if (plainest > 0) expect(count).toBeLessThanOrEqual(Math.ceil(pieces / plainest));
        },
      ),
      { numRuns: 60 },
    );
  });

  test('designs that need more are left out; each says what it takes', () => {
    const start = startRequest(plan(), { width: 42, height: 54 });
    const asked = (count: number): FitRequest => ({
      ...start,
      kinds: ['sashed'],
      sash: { least: 1, most: 2 },
      inHand: [{ use: 'sash', precut: 'strip', count }],
    });
    const found = (count: number) => {
      const search = findFits(plan(), asked(count));
      for (;;) {
        const { value, done } = search.next();
        if (done) return value;
      }
    };
    const some = found(8);
    expect(some.length).toBeGreaterThan(0);
    for (const fit of some) {
      const design = applyFit(plan(), fit, start.target, () => 'x');
      const needed = precutsFor(design, 'sash', 'strip');
      expect(needed).toBeLessThanOrEqual(8);
      expect(precutsSay(design, asked(8))).toEqual([`sashes: ${needed} of 8 (strip, 2½″)`]);
    }
    // A design without sashes says nothing of them.
    const plain = plan({ setting: wholeSetting({ kind: 'edge-to-edge' }) });
    expect(precutsSay(plain, asked(8))).toEqual([]);
    expect(found(3).every((fit) => fit.grid.across * fit.grid.down < 12)).toBe(true);
  });
  test('a search is asked with a length or with pieces, not with both', () => {
    const held = (cloth: unknown) =>
      fitRequestSchema.safeParse({ ...startRequest(plan(), { width: 42, height: 54 }), inHand: [cloth] })
        .success;
    expect(held({ use: 'sash', length: 45 })).toBe(true);
    expect(held({ use: 'sash', precut: 'strip', count: 12 })).toBe(true);
    expect(held({ use: 'sash', precut: 'strip', count: 0 })).toBe(false);
    expect(held({ use: 'sash', precut: 'strip', count: 12, length: 45 })).toBe(false);
  });
});

describe('precuts of the stash', () => {
  // Eight strips, as above: more than four of one piece serve.
  test('a roll of strips is enough for the sashes, and the fewest of them are said', () => {
    const made = plan({ fabrics: plan().fabrics });
    const cloth = made.fabricFor.sash;
    const sashesOnly: Plan = {
      ...made,
      fabricFor: { ...made.fabricFor, cornerstone: made.fabrics.find(({ id }) => id !== cloth)!.id },
    };
    const strips = (free: number) => ({
      id: 'roll',
      name: 'Roll of strips',
      width: 40,
      length: 2.5,
      free,
      washed: true,
      direction: 'none' as const,
    });
    const quilt = computeQuilt(sashesOnly);
    const alone = quilt.fabrics.find(({ fabric }) => fabric.id === cloth)!;
    expect(alone.needed.value).toBeGreaterThan(0);
    const count = enoughOf(strips(40), sashesOnly, quilt, cloth);
    expect(count).toBe(8);
    expect(enoughOf(strips(7), sashesOnly, quilt, cloth)).toBeNull();
    expect(enoughOf(strips(8), sashesOnly, quilt, cloth)).toBe(8);
  });
});
