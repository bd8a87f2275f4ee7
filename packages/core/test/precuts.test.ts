import fc from 'fast-check';
import { askCounter } from '../src/index.ts';
import { PRECUT_IDS } from '../src/cloth/precuts.ts';
import { givesSays } from '../src/placing/gives.ts';
import { mostAlike } from '../src/placing/most-alike.ts';

/** Every straight cut at every whole number: slow, and sure. */
function everyCut(w: number, h: number, a: number, b: number, known = new Map<number, number>()): number {
  if (w < h) return everyCut(h, w, a, b, known);
  const key = w * 1000 + h;
  const had = known.get(key);
  if (had !== undefined) return had;
  let best = (w >= a && h >= b) || (w >= b && h >= a) ? 1 : 0;
  if (best === 1) {
    for (let x = 1; x <= w / 2; x++)
      best = Math.max(best, everyCut(x, h, a, b, known) + everyCut(w - x, h, a, b, known));
    for (let y = 1; y <= h / 2; y++)
      best = Math.max(best, everyCut(w, y, a, b, known) + everyCut(w, h - y, a, b, known));
  }
  known.set(key, best);
  return best;
}

describe('what a precut gives (rule PC-1)', () => {
  // Trade tables, from memory: a fat quarter gives 56 squares of 2 1/2", 30 of 3 1/2", 12 of 5", 6 of 6 1/2".
  test.each([
    ['fat-quarter', '2.5', '2.5', 56],
    ['fat-quarter', '3.5', '3.5', 30],
    ['fat-quarter', '5', '5', 12],
    ['fat-quarter', '6.5', '6.5', 6],
    ['square-10', '5', '5', 4],
    ['square-10', '2.5', '2.5', 16],
    ['square-10', '3.5', '3.5', 4],
    ['square-5', '2.5', '2.5', 4],
    ['strip', '2.5', '2.5', 16],
    ['strip', '2.5', '4.5', 8],
    ['strip', '4.5', '2.5', 8],
  ])('%s in pieces of %s × %s: %i', (of, width, length, each) => {
    const answer = askCounter('precut', { of, 'cut-width': width, 'cut-length': length }, 'in');
    expect(answer.ok && answer.json).toMatchObject({ each });
  });
  test('so many pieces take so many of them; what is larger than it is refused', () => {
    const of = { of: 'fat-quarter', 'cut-width': '5', 'cut-length': '5' };
    const asked = (pieces: string) => askCounter('precut', { ...of, pieces }, 'in');
    for (const [pieces, needed] of [
      ['12', 1],
      ['13', 2],
      ['40', 4],
    ] as const) {
      const answer = asked(pieces);
      expect(answer.ok && answer.json).toMatchObject({ needed });
    }
    const over = askCounter('precut', { of: 'square-5', 'cut-width': '6', 'cut-length': '2' }, 'in');
    expect(over.ok ? '' : over.line).toMatch(/^--cut-width: square, 5″ is 5 × 5″ usable: no piece of 6 × 2″/);
    for (const of of PRECUT_IDS) {
      const metric = askCounter('precut', { of, 'cut-width': '4', 'cut-length': '4' }, 'cm');
      expect([of, metric.ok]).toEqual([of, true]);
    }
  });
  // The same counts as the tables above, and none of a length of cloth.
  test('in words, beside a piece of the stash', () => {
    expect(givesSays({ width: 21, length: 17.5 }, 'in')).toBe(
      '56 squares of 2 1/2″, 30 of 3 1/2″, 12 of 5″, 6 of 6 1/2″',
    );
    expect(givesSays({ width: 5, length: 5 }, 'in')).toBe('4 squares of 2 1/2″, 1 of 3 1/2″, 1 of 5″');
    expect(givesSays({ width: 3, length: 3 }, 'in')).toBe('1 square of 2 1/2″');
    expect(givesSays({ width: 2, length: 40 }, 'in')).toBe('');
    expect(givesSays({ width: 53, length: 45 }, 'cm')).toMatch(/^48 squares of 6\.5 cm/);
  });
  test('as many as every cut at every place brings out', () => {
    const side = fc.integer({ min: 1, max: 26 });
    const small = fc.integer({ min: 2, max: 9 });
    fc.assert(
      fc.property(side, side, small, small, (w, h, a, b) => {
        const found = mostAlike({ width: w, height: h }, { width: a, height: b }, true);
        expect(found.count).toBe(everyCut(w, h, a, b));
        expect(found.turned).toBeLessThanOrEqual(found.count);
      }),
      { numRuns: 60 },
    );
    // Four of 2 × 3 lie in 5 × 5 like a pinwheel, which no straight cut right through begins: three, two of them turned.
    expect(mostAlike({ width: 5, height: 5 }, { width: 2, height: 3 }, true)).toEqual({
      count: 3,
      turned: 2,
    });
    expect(mostAlike({ width: 5, height: 5 }, { width: 2, height: 3 }, false)).toEqual({
      count: 2,
      turned: 0,
    });
  });
});
