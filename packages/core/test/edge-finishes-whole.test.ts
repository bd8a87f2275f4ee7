import fc from 'fast-check';
import { CAUTIONS, computeQuilt, convertPlan, type Plan, planProblems, readPlan } from '../src/index.ts';
import { CLOSING_STEPS, EDGE_FINISHES, EDGE_SHAPES, type EdgeFinish } from '../src/choice/edge.ts';
import { backingBeyond } from '../src/edge/finish/self-binding.ts';
import { planFacing } from '../src/edge/finish/facing.ts';
import { planPiping } from '../src/edge/finish/piping.ts';
import { closingStep } from '../src/edge/finish/registry.ts';
import { edgesAsTold } from '../src/edge/flange.ts';
import { migratePlan } from '../src/plan/migrations.ts';
import { chosenSewing } from '../src/sewing/chosen.ts';
import { workLeft } from '../src/schedule/work-left.ts';
import { inchPlan, wholeSetting } from './support/plans.ts';

/** Five by six blocks of 9" with 1 1/4" sashes: not square, so that a side taken for an end is seen. */
const sampler = () => inchPlan({ block: { width: 9, height: 9 }, grid: { across: 5, down: 6 } });
const edged = (
  finishes: EdgeFinish[],
  change: Partial<Plan['edge']> = {},
  more: Partial<Plan> = {},
): Plan => {
  const plan = { ...sampler(), ...more };
  return { ...plan, edge: { ...plan.edge, ...change, finishes } };
};
const lines = (plan: Plan) =>
  Object.fromEntries(
    computeQuilt(plan).edge.finished.flatMap((one) => one.lines.map(({ name, figure }) => [name, figure])),
  );
const guide = (plan: Plan) => chosenSewing(plan, computeQuilt(plan), null).guide;
const after = (plan: Plan) =>
  guide(plan)
    .filter(({ seams }) => seams.length === 0)
    .map(({ id }) => id);
const said = (plan: Plan) => planProblems(plan).map(({ message }) => message);

describe('a facing (rule FC-1)', () => {
  const wish = { edges: edgesAsTold({ width: 50, height: 62 }), width: 2.5, seam: 0.25, unit: 'in' } as const;
  // Common practice: 2 1/2" strips folded in half; by the pencil: 1 1/4 less a quarter lies behind, ends reach half an inch past both corners.
  test('lapped: sides as long as the raw edge, top and bottom longer by what is folded in', () => {
    const flat = planFacing({ ...wish, corners: 'flat' });
    expect([flat.sides.value, flat.ends.value, flat.behind.value, flat.corner]).toEqual([62, 51, 1, null]);
  });
  // By the pencil: 62 − 2, 50 − 2; squares an inch and a half wider than the strip.
  test('bevelled: strips stop an inch short of the corners, which have squares', () => {
    const bevelled = planFacing({ ...wish, corners: 'bevelled' });
    expect([bevelled.sides.value, bevelled.ends.value, bevelled.corner!.value]).toEqual([60, 48, 4]);
    // Folded corner to corner, the square's fold runs 4" from the corner: it covers where the strips begin.
    expect(bevelled.corner!.value).toBeGreaterThan(1 + bevelled.behind.value + 0.25);
  });
  test('its pieces are cut from its cloth, and a binding is not', () => {
    const plan = edged(['facing'], { facing: { width: 3, corners: 'bevelled', fabric: 'accent' } });
    expect(said(plan)).toEqual([]);
    const quilt = computeQuilt(plan);
    const { width, height } = quilt.finished;
    const cut = quilt.besides.flatMap(({ name, fabric, count, cut: size }) =>
      size.shape === 'rectangle' && name.startsWith('Facing')
        ? [[name, fabric, count.value, size.width.value, size.length.value]]
        : [],
    );
    expect(cut).toEqual([
      ['Facing, sides', 'accent', 2, 3, height.value + 0.5 - 2],
      ['Facing, top and bottom', 'accent', 2, 3, width.value + 0.5 - 2],
      ['Facing, corners', 'accent', 4, 4.5, 4.5],
    ]);
    expect(quilt.fabrics.map(({ fabric }) => fabric.id)).not.toContain('binding');
    expect(quilt.edge.binding).toBeNull();
  });
  test('its steps follow its corners; one measured top decides its strips', () => {
    const does = (corners: 'flat' | 'bevelled') =>
      guide(edged(['facing'], { facing: { width: 2.5, corners, fabric: 'accent' } }))
        .find(({ id }) => id === 'facing')!
        .does.join(' ');
    expect(does('flat')).toMatch(/their ends folded in by 1\/2″/);
    expect(does('flat')).not.toMatch(/square/);
    expect(does('bevelled')).toMatch(/Fold each square corner to corner/);
    const measured = edged(
      ['facing'],
      {},
      { measured: [{ borders: 0, width: [52, 52, 52], height: [62, 63, 64] }] },
    );
    const plain = computeQuilt(edged(['facing'])).finished.height.value;
    expect(plain).not.toBe(62.5);
    expect(lines(measured)['Facing, sides']!.value).toBe(63);
  });
});

describe('a self-binding (rule SB-1)', () => {
  const bound = (shows: number, overhang: number) => {
    const plan = edged(['self-binding'], { selfBinding: { shows } });
    return { ...plan, backing: { ...plan.backing, overhang } };
  };
  // Common practice: half an inch folded twice takes an inch; more has to be there to be trimmed.
  test('takes twice what shows of the backing, and asks for the overhang it needs', () => {
    expect(backingBeyond(bound(0.5, 4)).value).toBe(1);
    expect(said(bound(0.5, 4))).toEqual([]);
    expect(said(bound(0.75, 2))).toEqual([]);
    expect(said(bound(1, 2))[0]).toMatch(/takes 2 1\/2″ of backing beyond the top, and it overhangs by 2″/);
  });
  test('nothing is cut for it, and the trimming leaves the backing', () => {
    const plan = bound(0.5, 4);
    const quilt = computeQuilt(plan);
    expect(quilt.edge.finished[0]!.cuts).toEqual([]);
    const trim = guide(plan)
      .find(({ id }) => id === 'trim')!
      .does.join(' ');
    expect(trim).toMatch(/batting even with the top, and the backing 1″ beyond them/);
    expect(quilt.edge.finished[0]!.bands).toEqual([
      { name: 'backing', from: 0, wide: 0.5, fabric: plan.backing.fabric, face: 'front' },
    ]);
  });
  test('shows the cloth its backing is of, the wide one where that was chosen', () => {
    const plan = bound(0.5, 4);
    const wide = { ...plan, backing: { ...plan.backing, way: 'wide' as const } };
    const cloth = (p: Plan) => computeQuilt(p).edge.finished[0]!.bands[0]!.fabric;
    expect([cloth(plan), cloth(wide)]).toEqual([plan.backing.fabric, plan.backing.wide]);
    expect(plan.backing.wide).not.toBe(plan.backing.fabric);
  });
  test('a quilt that is trimmed, and blocks quilted already, have no backing to fold', () => {
    const quilted = edged(['self-binding'], {}, { setting: wholeSetting({ kind: 'quilted' }) });
    const trimmed = edged(
      ['self-binding'],
      {},
      { setting: wholeSetting({ kind: 'whole-quilt', width: 50, height: 62 }) },
    );
    for (const plan of [quilted, trimmed])
      expect(said(plan).join()).toMatch(/folded from the backing, which here is trimmed away/);
    const turned = { ...trimmed, edge: { ...trimmed.edge, finishes: ['turned-edge' as const] } };
    expect(said(turned).join()).toMatch(/nothing is left to turn in/);
  });
});

describe('a turned edge (rule TE-1)', () => {
  test('takes no cloth, and the quilting and trimming before it leave room', () => {
    const plan = edged(['turned-edge']);
    expect(said(plan)).toEqual([]);
    expect(computeQuilt(plan).besides.map(({ role }) => role)).toEqual(['backing']);
    const told = guide(plan);
    expect(told.find(({ id }) => id === 'quilt')!.does.join(' ')).toMatch(
      /stops 1″ short of the edge all round: top and backing are turned in there/,
    );
    expect(told.find(({ id }) => id === 'trim')!.does.join(' ')).toMatch(/the batting 1\/4″ inside them/);
    expect(
      guide(edged(['binding']))
        .find(({ id }) => id === 'quilt')!
        .does.join(' '),
    ).not.toMatch(/short of/);
  });
  // Centimetres: the seam of a metric plan, and 2.5 cm.
  test('in centimetres', () => {
    const metric = convertPlan(edged(['turned-edge']), 'cm');
    expect(lines(metric)['Quilting stops before the edge']!.value).toBe(2.5);
  });
});

describe('piping (rule PI-1)', () => {
  // Geometry: a circle's girth; 1/8" round is 0.3927, with two quarters 0.893, next eighth 1.
  test('a strip as wide as the cord is round and two seams', () => {
    const piping = planPiping({ around: 230, cord: 0.125, seam: 0.25, usable: 40, unit: 'in' });
    expect(piping.strip.value).toBe(1);
    expect(piping.strip.working[0]).toContain('= 0.893, next 1/8 up: 1');
    expect(piping.length.value).toBe(234);
    // The cloth gives a strip at least as long: area is an independent bound.
    expect(piping.bias.cloth.value * 40).toBeGreaterThan(234 * 1);
    const thick = planPiping({ around: 230, cord: 0.25, seam: 0.25, usable: 40, unit: 'in' });
    expect(thick.strip.value).toBe(1.375);
    expect(planPiping({ around: 580, cord: 0.3, seam: 0.75, usable: 102, unit: 'cm' }).strip.value).toBe(2.5);
  });
  test('goes beside whatever closes the edge by a seam, and is sewn on before it', () => {
    for (const [beside, step] of [
      ['binding', 'binding'],
      ['prairie-points', 'points'],
      ['facing', 'facing'],
      ['turned-edge', 'turned-edge'],
    ] as const) {
      const plan = edged(['piping', beside]);
      expect([beside, said(plan)]).toEqual([beside, []]);
      const order = after(plan);
      expect(order.indexOf('piping')).toBeGreaterThan(order.indexOf('trim'));
      expect(order.indexOf(step)).toBe(order.indexOf('piping') + 1);
    }
    expect(said(edged(['piping', 'self-binding'])).join()).toMatch(
      /no seam that would hold a flange or piping/,
    );
    expect(said(edged(['piping', 'flange', 'binding'])).join()).toMatch(/lie in the same seam/);
    expect(said(edged(['piping'])).join()).toMatch(/lies in the seam of what closes the edge/);
  });
  test('follows scallops on the bias; a cord too thick for the seam is told', () => {
    const scalloped = edged(['piping', 'binding'], { shape: 'scalloped' });
    expect(said(scalloped)).toEqual([]);
    const { edge } = computeQuilt(scalloped);
    expect(lines(scalloped)['Piping, strip and cord']!.value).toBeCloseTo(edge.around.value + 4, 9);
    expect(said(edged(['piping', 'binding'], { piping: { cord: 0.75, fabric: 'accent' } })).join()).toMatch(
      /too thick/,
    );
  });
  test('its band lies where the seam that closes the edge lies', () => {
    const bound = computeQuilt(edged(['piping', 'binding']));
    const faced = computeQuilt(edged(['piping', 'facing']));
    const from = (quilt: typeof bound) =>
      quilt.edge.finished.find(({ finish }) => finish === 'piping')!.bands[0]!.from;
    expect(from(bound)).toBe(bound.edge.binding!.seam);
    // Beside a facing the seam is the edge: the cord stands out from it.
    expect(from(faced)).toBe(-0.125);
  });
});

// Rule ED-2: every pair of finishes on every shape is either sound or refused with a reason, one reason for a pair.
test('any two finishes on any shape: sound, or one reason; what is sound closes once', () => {
  const seen = { sound: 0, refused: 0 };
  for (const shape of EDGE_SHAPES)
    for (const a of EDGE_FINISHES)
      for (const b of EDGE_FINISHES) {
        const finishes = EDGE_FINISHES.filter((one) => one === a || one === b);
        const plan = edged(finishes, { shape });
        const reasons = said(plan);
        if (reasons.length > 0) {
          seen.refused++;
          expect(new Set(reasons).size).toBe(reasons.length);
          continue;
        }
        seen.sound++;
        const quilt = computeQuilt(plan);
        const closing = closingStep(quilt.edge);
        const steps = after(plan);
        expect(steps.filter((id) => (CLOSING_STEPS as readonly string[]).includes(id))).toEqual([closing]);
        expect(steps.at(-1)).toBe(closing);
        const left = workLeft(plan, [], 'q').jobs.jobs.find(({ id }) => id === 'bind')!;
        expect(left.name).toBe(guide(plan).find(({ id }) => id === closing)!.title);
      }
  expect(seen.sound).toBeGreaterThan(20);
  expect(seen.refused).toBeGreaterThan(60);
});

test('each is warned of where it can hurt, and its figures are the same in either unit', () => {
  for (const finish of ['facing', 'self-binding', 'turned-edge'] as const) {
    const plan = edged([finish]);
    const step = guide(plan).find(({ id }) => id === finish)!;
    expect(step.cautions).toEqual(expect.arrayContaining([CAUTIONS.needle]));
    const [inch, metric] = [lines(plan), lines(convertPlan(plan, 'cm'))];
    expect(Object.keys(metric)).toEqual(Object.keys(inch));
  }
});

test('version 12: an edge learns facing, self-binding and piping, in cloths it has', () => {
  const added = ['facing', 'selfBinding', 'piping'];
  const old = Object.fromEntries(
    Object.entries(sampler().edge).filter(([key]) => !added.includes(key)),
  ) as Plan['edge'];
  const read = readPlan({ ...sampler(), schemaVersion: 12, edge: old });
  expect(read.ok && read.plan.edge).toMatchObject({
    facing: { width: 2.5, corners: 'flat', fabric: sampler().binding.fabric },
    selfBinding: { shows: 0.5 },
    piping: { cord: 0.125, fabric: old.flange.fabric },
  });
  const cm = migratePlan({ schemaVersion: 12, unit: 'cm', edge: {} } as never) as {
    edge: { facing: object };
  };
  expect(cm.edge.facing).toMatchObject({ width: 6.5 });
});

test('any size and seam: what lies behind a facing and its seam are half its strip', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 20, max: 120, noNaN: true }),
      fc.double({ min: 20, max: 120, noNaN: true }),
      fc.constantFrom(2, 2.5, 3, 3.5),
      fc.constantFrom('flat', 'bevelled'),
      (width, height, strip, corners) => {
        const made = planFacing({
          edges: edgesAsTold({ width, height }),
          width: strip,
          corners: corners as 'flat',
          seam: 0.25,
          unit: 'in',
        });
        expect(2 * (made.behind.value + 0.25)).toBeCloseTo(strip, 9);
        // Round the quilt the strips and their corners leave no gap.
        const reach = corners === 'flat' ? 0 : 2 * made.corner!.value;
        expect(made.sides.value + reach).toBeGreaterThanOrEqual(height);
        expect(made.ends.value + reach).toBeGreaterThanOrEqual(width);
      },
    ),
  );
});
