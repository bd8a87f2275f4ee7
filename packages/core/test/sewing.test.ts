import fc from 'fast-check';
import {
  layOut,
  type Plan,
  planProblems,
  pressingOf,
  sewingJson,
  sewingOf,
  startBorder,
  startPlan,
} from '../src/index.ts';
import { anyPlan, inchPlan, type SomeSetting, wholeSetting } from './support/plans.ts';
import { countedNests, replayFaults } from './support/sewing-replay.ts';

/** Everything a plan's sewing says, by one way of it. */
function sewn(plan: Plan, method?: string) {
  const layout = layOut(plan);
  const sewing = sewingOf(plan, layout);
  const way = sewing.ways.find((one) => one.method.id === (method ?? sewing.best?.id))!;
  const json = sewingJson(sewing, way, pressingOf(plan, layout, sewing, way));
  return { sewing, json, seams: json.steps.flatMap((step) => step.seams) };
}
const set = (setting: SomeSetting, across: number, down: number, change: Partial<Plan> = {}) =>
  inchPlan({
    block: { width: 9, height: 9 },
    grid: { across, down },
    setting: wholeSetting(setting),
    ...change,
  });
const ways = (plan: Plan) => sewingOf(plan, layOut(plan)).ways.map(({ method }) => method.id);
const SASHED = { kind: 'sashed', sash: 1.5, outerSash: true, cornerstones: true, strips: '1' } as const;

/** Small tops: a replay by polygons takes a while. */
const smallPlan = anyPlan
  .map((plan): Plan => ({
    ...plan,
    grid: { across: 1 + (plan.grid.across % 4), down: 1 + (plan.grid.down % 4) },
    borders: plan.borders.slice(0, 2),
  }))
  .filter((plan) => planProblems(plan).length === 0);

describe('every way of every setting', () => {
  test('each seam joins two assemblies along the whole of one straight line; one is left; nests are as counted', () => {
    fc.assert(
      fc.property(smallPlan, (plan) => {
        const layout = layOut(plan);
        const sewing = sewingOf(plan, layout);
        for (const way of sewing.ways) {
          const json = sewingJson(sewing, way, pressingOf(plan, layout, sewing, way));
          const seams = json.steps.flatMap((step) => step.seams);
          expect([way.method.id, ...replayFaults(json.pieces, seams)]).toEqual([way.method.id]);
          const mitres = seams.filter(({ mitre }) => mitre).length;
          expect(seams).toHaveLength(json.pieces.length - 1 + mitres);
          expect(mitres).toBe(4 * plan.borders.filter(({ corners }) => corners === 'mitred').length);
          const plain = seams.filter(({ mitre }) => !mitre);
          expect(countedNests(json.pieces, plain)).toEqual({
            crossings: json.crossings,
            nested: json.nested,
          });
          expect(json.unnested).toHaveLength(json.crossings - json.nested);
          const lengths = seams.map(({ line: [p, q] }) => Math.hypot(p![0] - q![0], p![1] - q![1]));
          const said = json.methods.find(({ id }) => id === way.method.id)!;
          expect([said.seams, said.trips]).toEqual([seams.length, json.steps.length]);
          expect(said.longest).toBeCloseTo(Math.max(0, ...lengths), 9);
          expect(json.steps.every((step) => step.seams.length > 0)).toBe(true);
          expect(new Set(json.steps.map(({ id }) => id)).size).toBe(json.steps.length);
        }
      }),
      { numRuns: 60 },
    );
  });
  // Common practice, and which of them a setting allows at all.
  test.each<[SomeSetting, string[]]>([
    [{ kind: 'edge-to-edge' }, ['rows', 'columns', 'web']],
    [SASHED, ['rows', 'units', 'columns', 'web']],
    [{ ...SASHED, cornerstones: false }, ['rows']],
    [{ ...SASHED, cornerstones: false, long: 'upright' }, ['columns']],
    [{ kind: 'strip-set', direction: 'columns', shortSash: true }, ['columns']],
    [{ kind: 'strip-set', direction: 'columns' }, ['columns']],
    [{ kind: 'strip-set', direction: 'rows' }, ['rows']],
    [{ kind: 'half-drop' }, ['columns']],
    [{ kind: 'on-point' }, ['diagonal']],
    [{ kind: 'on-point-sashed' }, ['diagonal']],
    [{ kind: 'framed' }, ['web', 'framed']],
    [{ kind: 'quilted' }, ['covered']],
  ])('%j: the ways it offers', (setting, offered) => {
    expect(ways(set(setting, 3, 4))).toEqual(offered);
  });
  test('each has one that is best, with its reason, and it is the one that takes least time', () => {
    const { json } = sewn(set(SASHED, 3, 4));
    const best = json.methods.filter((method) => 'best' in method);
    expect(best).toHaveLength(1);
    expect(best[0]!.minutes).toBe(Math.min(...json.methods.map(({ minutes }) => minutes)));
    expect(best[0]!).toMatchObject({ why: expect.stringMatching(/minutes less than .*longest seam is/) });
  });
  // Whole cornerstones at the edge: a long row's two triangles hold the sash rows on either side of it.
  test('rows that lock at the edge are parted across first; what still locks is told, with the way out', () => {
    for (const [across, down] of [
      [2, 5],
      [5, 7],
      [7, 2],
    ] as const) {
      const { json, seams } = sewn(set({ kind: 'on-point-sashed', edgeStones: 'whole' }, across, down));
      expect(json.method).toBe('diagonal');
      expect(replayFaults(json.pieces, seams)).toEqual([]);
      expect(json.nested).toBe(json.crossings);
    }
    // With a float the long triangles reach past one another.
    const plan = set({ kind: 'on-point-sashed', edgeStones: 'whole', float: 1 }, 1, 6);
    expect(sewingOf(plan, layOut(plan))).toMatchObject({
      ways: [],
      best: null,
      hindered: expect.stringMatching(/lock into one another/),
    });
    expect(ways(set({ kind: 'on-point-sashed', edgeStones: 'halved' }, 1, 6))).toEqual(['diagonal']);
  });
  test('from the right, by turns, or with the piece that has no sash last: as sound, and every crossing nests', () => {
    const open = set({ ...SASHED, outerSash: false }, 4, 3);
    for (const plan of [open, set({ kind: 'edge-to-edge' }, 4, 3)])
      for (const habits of [
        { fromRight: true, alternate: false },
        { fromRight: false, alternate: true },
      ]) {
        const layout = layOut(plan);
        const sewing = sewingOf(plan, layout, habits);
        for (const way of sewing.ways) {
          const json = sewingJson(sewing, way, pressingOf(plan, layout, sewing, way));
          const seams = json.steps.flatMap((step) => step.seams);
          expect(replayFaults(json.pieces, seams)).toEqual([]);
          expect(json.nested).toBe(json.crossings);
        }
      }
    // Units without an outer sash: the first of a row has none of its own and is sewn on last.
    const { json } = sewn(open, 'units');
    const place = new Map(json.pieces.map(({ id, column }) => [id, column]));
    const row = json.steps.find(({ id }) => id === 'rows')!.seams.slice(0, 3);
    expect(Math.min(...[row.at(-1)!.a, row.at(-1)!.b].map((id) => place.get(id) ?? 9))).toBe(1);
  });
});

describe('the order of each way', () => {
  const joined = (seams: ReturnType<typeof sewn>['seams'], seam: number) => {
    const at = new Map<string, string[]>();
    const of = (id: string) => at.get(id) ?? [id];
    let sides: [string[], string[]] = [[], []];
    for (const { a, b, mitre } of seams.slice(0, seam + 1)) {
      if (mitre) continue;
      sides = [of(a), of(b)];
      const all = [...sides[0], ...sides[1]];
      for (const id of all) at.set(id, all);
    }
    return sides;
  };
  // Common practice: row 1 block 2, row 2 block 2, … down all rows, then column 3; threads stay uncut.
  test('the web of 10 × 11: column by column down all rows, then the rows', () => {
    const { json } = sewn(set({ kind: 'edge-to-edge' }, 10, 11), 'web');
    const place = new Map(json.pieces.map(({ id, row, column }) => [id, [row, column]]));
    const [web, rows] = json.steps;
    expect(web!.seams.map(({ b }) => place.get(b))).toEqual(
      Array.from({ length: 9 }, (_, c) => Array.from({ length: 11 }, (__, r) => [r + 1, c + 2])).flat(),
    );
    expect(rows!.seams).toHaveLength(10);
  });
  // Rule SW-2, common practice: 3 × 4 blocks with sashes all round have 20 cornerstones and 31 sashes.
  test('units of 3 × 4 with 20 cornerstones: left sash, then the sash with its cornerstone below', () => {
    const plan = set(SASHED, 3, 4);
    const { json, seams } = sewn(plan, 'units');
    const role = new Map(json.pieces.map(({ id, role: is }) => [id, is]));
    expect(json.pieces.filter((piece) => piece.role === 'cornerstone')).toHaveLength(20);
    expect(json.pieces.filter((piece) => piece.role === 'sash')).toHaveLength(31);
    for (const { id } of json.pieces.filter((piece) => piece.role === 'block')) {
      const own = seams.flatMap((seam, i) => {
        const [A, B] = joined(seams, i);
        return A.includes(id) ? [{ seam, other: B }] : B.includes(id) ? [{ seam, other: A }] : [];
      });
      const [first, second] = own;
      expect(first!.other.map((piece) => role.get(piece))).toEqual(['sash']);
      expect(first!.seam.line[0]![0]).toBe(first!.seam.line[1]![0]);
      expect(second!.other.map((piece) => role.get(piece)).sort()).toEqual(['cornerstone', 'sash']);
      expect(second!.seam.line[0]![1]).toBe(second!.seam.line[1]![1]);
    }
  });
  // Rule SW-1, common practice.
  test.each([
    [1, 2],
    [5, 7],
  ])('on point %i × %i: the four corners come last, before any border', (across, down) => {
    const { json } = sewn(
      set({ kind: 'on-point' }, across, down, { borders: [startBorder('1', 4, 'border')] }),
    );
    const roles = new Map(json.pieces.map(({ id, role }) => [id, role]));
    const steps = json.steps.filter(({ id }) => !id.startsWith('border'));
    expect(steps.at(-1)!.seams.map(({ b }) => roles.get(b))).toEqual(Array(4).fill('corner-triangle'));
    expect(
      steps
        .slice(0, -1)
        .flatMap(({ seams }) => seams)
        .some(({ a, b }) => [a, b].some((id) => roles.get(id) === 'corner-triangle')),
    ).toBe(false);
  });
  test('rows on point are joined from the middle outwards', () => {
    const { json } = sewn(set({ kind: 'on-point' }, 5, 7));
    const step = json.steps.find(({ id }) => id === 'join-rows')!;
    const place = new Map(json.pieces.map(({ id, row }) => [id, row]));
    const rows = step.seams.map(({ b }) => place.get(b)!).filter((row) => row !== undefined);
    const middle = 6;
    const far = rows.map((row) => Math.abs(row - middle));
    expect(far).toEqual([...far].sort((a, b) => a - b));
  });
  // Common practice: opposite triangles first, then the other two.
  test('framed: opposite triangles are on before the other two', () => {
    const { json } = sewn(set({ kind: 'framed' }, 2, 2), 'framed');
    const corner = (id: string) => /frame-(..)/.exec(id)?.[1];
    const first = json.steps[0]!.seams.flatMap(({ a, b }) => [corner(a), corner(b)]).filter(Boolean);
    expect(new Set(first).size).toBe(2);
    expect([...new Set(first)].sort().join()).toMatch(/^(ne,sw|nw,se)$/);
  });
  test('covered sashing: rows in pairs, then the pairs', () => {
    const { json } = sewn(set({ kind: 'quilted' }, 3, 5));
    expect(json.steps.map(({ id, seams }) => [id, seams.length])).toEqual([
      ['rows', 20],
      ['pairs-1', 4],
      ['pairs-2', 2],
      ['pairs-3', 2],
    ]);
  });
});

describe('pressing', () => {
  test.each<[string, SomeSetting, string]>([
    ['edge to edge by rows', { kind: 'edge-to-edge' }, 'rows'],
    ['sashed, toward the sash', SASHED, 'rows'],
    ['sashed, in units', SASHED, 'units'],
    ['on point', { kind: 'on-point' }, 'diagonal'],
  ])('%s: every crossing nests', (_, setting, method) => {
    const { json } = sewn(set(setting, 5, 6), method);
    expect(json.crossings).toBeGreaterThan(15);
    expect(json.nested).toBe(json.crossings);
  });
  test('sashed by rows, every seam between a block and a sash lies on the sash, and away from cornerstones', () => {
    const { json, seams } = sewn(set(SASHED, 4, 4), 'rows');
    const role = new Map(json.pieces.map(({ id, role: is }) => [id, is]));
    const rows = json.steps.find(({ id }) => id === 'rows')!;
    for (const { a, b, press } of rows.seams) {
      const toward = press === 'a' ? a : b;
      expect(role.get(toward)).toBe('sash');
    }
    expect(seams.every(({ press }) => press !== 'open')).toBe(true);
  });
  test('edge to edge, every other row goes the other way', () => {
    const { json } = sewn(set({ kind: 'edge-to-edge' }, 5, 4), 'rows');
    const place = new Map(json.pieces.map(({ id, row, column }) => [id, { row, column: column! }]));
    const right = json.steps
      .find(({ id }) => id === 'rows')!
      .seams.map(({ a, b, press }) => {
        const [to, from] = press === 'a' ? [a, b] : [b, a];
        return [place.get(a)!.row! % 2, place.get(to)!.column > place.get(from)!.column];
      });
    for (const [odd, toRight] of right) expect(toRight).toBe(odd === 1);
  });
  test('as many nest as can: all ways tried by themselves, with seams the maker has fixed', () => {
    const plan = fc.constantFrom(
      set({ kind: 'edge-to-edge' }, 3, 3),
      set(SASHED, 1, 2),
      set({ ...SASHED, outerSash: false }, 2, 2),
      set({ kind: 'framed' }, 1, 2),
      set({ kind: 'on-point' }, 1, 2),
    );
    fc.assert(
      fc.property(
        plan,
        fc.dictionary(
          fc.constantFrom('0', '1', '2', '3', '4', '5', '6'),
          fc.constantFrom('a', 'b', 'open') as fc.Arbitrary<'a' | 'b' | 'open'>,
          { maxKeys: 4 },
        ),
        (p, fix) => {
          const layout = layOut(p);
          const sewing = sewingOf(p, layout);
          for (const way of sewing.ways) {
            const { seams } = way;
            if (seams.length > 14) continue;
            const fixed = new Map(
              Object.entries(fix).flatMap(([seam, press]) =>
                Number(seam) < seams.length ? [[Number(seam), press] as const] : [],
              ),
            );
            const pressing = pressingOf(p, layout, sewing, way, { fixed });
            for (const [seam, press] of fixed) expect(pressing.press[seam]).toBe(press);
            const given = sewingJson(sewing, way, pressing);
            const order = given.steps.flatMap((step) => step.seams);
            let most = 0;
            const free = seams.flatMap((_, i) => (fixed.has(i) ? [] : [i]));
            for (let bits = 0; bits < 1 << free.length; bits++) {
              const tried = order.map((seam, i) => {
                const at = free.indexOf(i);
                return at < 0 ? seam : { ...seam, press: (bits >> at) & 1 ? 'a' : 'b' };
              });
              most = Math.max(most, countedNests(given.pieces, tried).nested);
            }
            expect(pressing.nested).toBe(most);
          }
        },
      ),
      { numRuns: 12 },
    );
  });
  test('one seam pressed otherwise costs its crossings, each with its reason', () => {
    const plan = set({ kind: 'edge-to-edge' }, 3, 3);
    const layout = layOut(plan);
    const sewing = sewingOf(plan, layout);
    const way = sewing.ways.find(({ method }) => method.id === 'rows')!;
    const open = pressingOf(plan, layout, sewing, way, { fixed: new Map([[2, 'open']]) });
    // The middle row's seam crosses one above and one below.
    expect(open.nested).toBe(2);
    expect(open.unnested.map(({ why }) => why)).toEqual(Array(2).fill(expect.stringMatching(/pressed open/)));
    // Turned the other way, its whole column turns with it.
    const base = pressingOf(plan, layout, sewing, way);
    const turned = base.press[2] === 'a' ? ('b' as const) : ('a' as const);
    expect(pressingOf(plan, layout, sewing, way, { fixed: new Map([[2, turned]]) }).nested).toBe(4);
    // Two fixed alike cannot nest.
    const both = new Map([
      [0, base.press[0]!],
      [2, base.press[0]!],
    ]);
    const broken = pressingOf(plan, layout, sewing, way, { fixed: both });
    expect(broken.nested).toBe(3);
    expect(broken.unnested[0]!.why).toMatch(/You press/);
  });
  // Rule SW-3: where rules fight, the one that weighs more is followed, and either can be switched off.
  test('a white border on dark strips: toward the border, or toward the dark, as it is weighed', () => {
    const plan = set({ kind: 'strip-set', direction: 'columns', sash: 2, outerSash: true }, 1, 1, {
      borders: [startBorder('1', 3, 'border')],
    });
    const colours: Plan = {
      ...plan,
      fabrics: plan.fabrics.map((f) => ({ ...f, colour: f.id === 'border' ? '#ffffff' : '#101020' })),
    };
    const layout = layOut(colours);
    const sewing = sewingOf(colours, layout);
    const way = sewing.ways[0]!;
    const towardBorder = (weights: Record<string, number>) => {
      const { press } = pressingOf(colours, layout, sewing, way, { weights });
      const [seam] = way.steps.find(({ id }) => id === 'border-1-sides')!.seams;
      const { a, b } = way.seams[seam!]!;
      return sewing.top.pieces[press[seam!] === 'a' ? a : b]!.role === 'border';
    };
    expect(towardBorder({})).toBe(true);
    expect(towardBorder({ 'toward-border': 0 })).toBe(false);
    expect(towardBorder({ 'toward-dark': 20 })).toBe(false);
  });
});

describe('the replay itself', () => {
  const { json, seams } = (() =>
    sewn({ ...startPlan('sashed-sampler'), borders: [], grid: { across: 2, down: 2 } }, 'rows'))();
  test.each<[string, (all: typeof seams) => typeof seams, RegExp]>([
    ['a seam left out', (all) => all.slice(1), /assemblies are left|touch elsewhere|share/],
    ['a seam sewn twice', (all) => [all[0]!, ...all], /sewn together already/],
    ['rows joined before they are whole', (all) => [all.at(-1)!, ...all.slice(0, -1)], /share/],
    [
      'a line too short',
      ([first, ...rest]) => [
        { ...first!, line: [first!.line[0]!, [first!.line[0]![0], first!.line[0]![1] + 1]] },
        ...rest,
      ],
      /share|elsewhere/,
    ],
  ])('finds %s', (_, change, fault) => {
    expect(replayFaults(json.pieces, change(seams)).join()).toMatch(fault);
  });
});

test('four hundred blocks: every way and its pressing are there', () => {
  const plan = {
    ...startPlan('sashed-sampler'),
    grid: { across: 20, down: 20 },
    block: { width: 5, height: 5 },
    borders: [],
  };
  const { sewing, json } = sewn(plan);
  expect(sewing.ways).toHaveLength(4);
  expect(json.pieces).toHaveLength(400 + 840 + 441);
  expect(json.nested).toBe(json.crossings);
});
