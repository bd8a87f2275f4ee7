import {
  clashesOf,
  crowdsOf,
  layOut,
  type PileBlock,
  START_RULES,
  wallJob,
  type WallJob,
} from '../src/index.ts';
import { inchPlan, wholeSetting } from './support/plans.ts';
import { gridWall } from './support/walls.ts';

/** A wall on which the first `stars` blocks are stars and every other is of a kind of its own. */
function wallOfStars(across: number, down: number, stars: number, spare = 0): WallJob {
  const { places, meetings } = gridWall(across, down);
  const blocks = Array.from({ length: places.length + spare }, (_, i) => ({
    id: `b${i}`,
    name: `B${i}`,
    kind: i < stars ? 'star' : `kind ${i}`,
    maker: null,
    colours: [],
    value: 0.5,
    size: 0,
    upright: false,
  }));
  return {
    blocks,
    places,
    meetings,
    at: places.map((_, i) => i),
    turns: blocks.map(() => 0),
    locked: places.map(() => false),
    rules: START_RULES,
  };
}

/** The fewest meetings of stars there can be, by trying every way to choose their places. */
function fewest({ places, meetings }: WallJob, stars: number): number {
  let best = Infinity;
  for (let set = 0; set < 1 << places.length; set++) {
    let count = 0;
    for (let bits = set; bits > 0; bits &= bits - 1) count++;
    if (count !== stars) continue;
    best = Math.min(best, meetings.filter(({ a, b }) => set & (1 << a) && set & (1 << b)).length);
  }
  return best;
}

describe('more alike than can lie apart', () => {
  // Trying everything knows nothing of groups: what is said can never be more than what is possible, and a crowd is told as soon as there is one.
  test.each([
    [3, 3],
    [4, 3],
    [2, 5],
    [4, 4],
  ])('%i × %i, for every count', (across, down) => {
    for (let stars = 1; stars <= across * down; stars++) {
      const job = wallOfStars(across, down, stars);
      const truth = fewest(job, stars);
      const [crowd] = crowdsOf(job);
      expect(crowd !== undefined).toBe(truth > 0);
      expect(crowd?.least ?? 0).toBeLessThanOrEqual(truth);
    }
  });
  // Geometry: no two of four places in a square lie apart, so 5 × 6 places hold 3 × 3 blocks that do.
  test('twelve stars on 5 × 6: nine can lie apart', () =>
    expect(crowdsOf(wallOfStars(5, 6, 12))).toEqual([
      { by: 'kind', of: 'star', hang: 12, room: 9, least: 3 },
    ]));
  test('spare blocks may stay off the wall', () => {
    expect(crowdsOf(wallOfStars(5, 6, 12, 3))).toEqual([]);
    expect(crowdsOf(wallOfStars(5, 6, 12, 1))).toMatchObject([{ hang: 11, least: 2 }]);
  });
  // Of 12 stars on 5 × 6 with five places empty, what lies nowhere may stay there.
  test('places left empty hang nothing: what has no place is spare', () => {
    const job = wallOfStars(5, 6, 12);
    const at = job.at.map((one, i) => (i < 25 ? one : -1));
    expect(crowdsOf({ ...job, at })).toEqual([]);
    const fewer = job.at.map((one, i) => (i < 29 ? one : -1));
    expect(crowdsOf({ ...job, at: fewer })).toMatchObject([{ hang: 11, least: 2 }]);
  });
  test('a rule without weight says nothing; makers crowd too', () => {
    const job = wallOfStars(3, 3, 6);
    expect(crowdsOf({ ...job, rules: { ...START_RULES, kind: 0 } })).toEqual([]);
    expect(
      crowdsOf({ ...job, blocks: job.blocks.map((b) => ({ ...b, kind: null, maker: 'Alma' })) }),
    ).toMatchObject([{ by: 'maker', of: 'Alma', hang: 9, room: 4 }]);
  });
});

test('blocks of which nobody has said what kind they are do not clash for it', () => {
  const block = (i: number): PileBlock => ({ id: `b${i}`, name: `Block ${i}`, width: null, height: null });
  const plan = inchPlan({
    grid: { across: 3, down: 3 },
    setting: wholeSetting({ kind: 'edge-to-edge' }),
    pile: Array.from({ length: 9 }, (_, i) => block(i)),
  });
  const job = wallJob(plan, layOut(plan), START_RULES);
  expect(clashesOf(job)).toEqual([]);
  expect(crowdsOf(job)).toEqual([]);
});
