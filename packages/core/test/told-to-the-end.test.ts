import { chosenSewing } from '../src/sewing/chosen.ts';
import {
  planProblems,
  CAUTIONS,
  cautionsOf,
  computeQuilt,
  convertPlan,
  type Plan,
  startBed,
  startBorder,
  TIPS,
} from '../src/index.ts';
import { inchPlan, wholeSetting } from './support/plans.ts';

/*
 * What a maker is told goes to its end, in an order that can be done, and by one method. Orders, overlaps and what is
 * eased where: common practice; a strip's overlap at a 45° join: geometry.
 */
const sampler = (change: Partial<Plan> = {}) =>
  inchPlan({ grid: { across: 5, down: 6 }, borders: [startBorder('1', 4, 'border')], ...change });

function guide(plan: Plan, method?: string) {
  const chosen = method === undefined ? null : { method, pressed: {}, weights: {} };
  return chosenSewing(plan, computeQuilt(plan), chosen as never).guide;
}
const after = (plan: Plan) => guide(plan).filter(({ seams }) => seams.length === 0);
const ids = (plan: Plan) => after(plan).map(({ id }) => id);
const step = (plan: Plan, id: string, method?: string) => {
  const found = guide(plan, method).find((one) => one.id === id);
  if (!found)
    throw new Error(
      `no step ${id} among ${guide(plan, method)
        .map((one) => one.id)
        .join()}`,
    );
  return found;
};
const edged = (change: Partial<Plan['edge']>, more: Partial<Plan> = {}): Plan => {
  const plan = sampler(more);
  return { ...plan, edge: { ...plan.edge, ...change } };
};

describe('a binding', () => {
  const told = (plan: Plan) => step(plan, 'binding').does.join(' ');
  test('is told to its last stitch, in order', () => {
    const does = told(sampler());
    const order = [
      'leave a tail',
      'At each corner',
      'Trim the tails',
      'Sew the gap',
      'to the back',
      'sew it down',
    ];
    const at = order.map((words) => does.indexOf(words));
    expect(at.every((place) => place >= 0)).toBe(true);
    expect([...at].sort((a, b) => a - b)).toEqual(at);
  });
  // Rule BD-7.
  test('its tails overlap by the strip’s cut width, and not by another width it has', () => {
    const plan = sampler();
    const wide = { ...plan, binding: { ...plan.binding, stripWidth: 2.75 } };
    expect(told(wide)).toContain('overlap by 2 3/4″');
    expect(told(convertPlan({ ...plan, binding: { ...plan.binding, stripWidth: 2.5 } }, 'cm'))).toMatch(
      /overlap by 6\.5 cm|overlap by 6\.35 cm/,
    );
  });
  test('with a flange built in they overlap by both strips less their seam, and it is turned to the front', () => {
    const plan = sampler();
    const flanged = {
      ...plan,
      binding: { ...plan.binding, stripWidth: 2.75, flange: { visible: 0.125, fabric: plan.binding.fabric } },
    };
    // Two strips for a folded width, rule BD-6: 1 1/2 and 1 3/4 less two quarters are 2 3/4 (arithmetic).
    expect(told(flanged)).toContain('overlap by 2 3/4″');
    expect(told(flanged)).toMatch(/Lay it along the back .* to the front so that it just covers/);
  });
  test('round a curve nothing is folded at a corner', () => {
    expect(told(edged({ shape: 'rounded' }))).not.toContain('fold the strip straight up');
    expect(told(edged({ shape: 'scalloped' }))).toContain('stop with the needle down');
    expect(told(sampler())).toContain('fold the strip straight up');
  });
});

describe('the edge gets its shape when it is trimmed', () => {
  const shaped = (edge: Partial<Plan['edge']>) => step(edged(edge), 'trim').does.join(' ');
  test('each shape in its own words, with its own figures; a square one keeps its corners', () => {
    expect(shaped({ shape: 'rounded', radius: 7, corners: 'foot' })).toContain(
      'Round the two corners at the foot: from a point 7″ in from both edges',
    );
    expect(shaped({ shape: 'clipped', radius: 5 })).toContain(
      'Cut all four corners off: mark 5″ from the corner',
    );
    expect(shaped({ shape: 'posts', corners: 'foot', cutOut: { across: 9, down: 6 } })).toContain(
      'mark 9″ from the side and 6″ from the foot',
    );
    expect(shaped({ shape: 'scalloped' })).toContain('Mark the scallops with their templates');
    expect(shaped({})).not.toMatch(/Round|Cut .* (off|out)|Mark/);
  });
  test('a binding in a corner for a post is pivoted in; a facing, a flange and points cannot follow it', () => {
    expect(step(edged({ shape: 'posts' }), 'binding').does.join(' ')).toContain('In each inner corner clip');
    for (const finishes of [['facing'], ['flange', 'binding'], ['prairie-points'], ['self-binding']] as const)
      expect(planProblems(edged({ shape: 'posts', finishes: [...finishes] })).length).toBeGreaterThan(0);
    for (const finishes of [['binding'], ['turned-edge'], ['piping', 'binding']] as const)
      expect(planProblems(edged({ shape: 'posts', finishes: [...finishes] }))).toEqual([]);
    const wide = edged({ shape: 'posts', corners: 'foot', cutOut: { across: 39, down: 6 } });
    expect(planProblems(wide).map(({ path }) => path.join('.'))).toEqual(['edge.cutOut.across']);
  });
});

describe('layers and quilting', () => {
  test('at home it is layered, then quilted', () =>
    expect(ids(sampler())).toEqual(['layer', 'quilt', 'trim', 'binding']));
  test('for a long-arm nothing is layered, and all three are sent', () => {
    const plan = sampler();
    const away: Plan = { ...plan, quilting: { ...plan.quilting, by: 'long-arm' } };
    expect(ids(away)).toEqual(['quilt', 'trim', 'binding']);
    const { pick, does } = step(away, 'quilt');
    expect(pick).toMatch(/Top, backing and batting/);
    expect(does.join(' ')).toMatch(/not layered, and not pinned together/);
  });
  test('it is trimmed even with the top, whatever was planned; what is quilted already to itself', () => {
    expect(step(sampler(), 'trim').does[0]).toMatch(/batting and backing even with the top/);
    expect(step(sampler(), 'trim').does.join(' ')).not.toMatch(/Trim to/);
  });
});

// Rule PP-4.
describe('prairie points, two schools and never both', () => {
  const points = (sewn: Plan['edge']['points']['sewn'], more: Partial<Plan> = {}) => {
    const plan = edged({ finishes: ['prairie-points'] }, more);
    return { ...plan, edge: { ...plan.edge, points: { ...plan.edge.points, sewn, opening: 7 } } };
  };
  const all = (plan: Plan) =>
    after(plan)
      .flatMap(({ pick, does }) => [pick, ...does])
      .join(' ');
  test('after quilting: the backing is turned in, and there is no opening', () => {
    const plan = points('quilted');
    expect(ids(plan)).toEqual(['layer', 'quilt', 'trim', 'points']);
    expect(step(plan, 'quilt').does.join(' ')).toContain('The quilting stops 1 1/2″ short of the edge');
    expect(all(plan)).toContain('through top and batting only');
    expect(all(plan)).not.toMatch(/opening/);
  });
  test('turned: on the top first, with a batting, one opening, quilted last', () => {
    const plan = points('turned');
    expect(ids(plan)).toEqual(['measure-round', 'points', 'turn', 'quilt']);
    expect(step(plan, 'turn').pick).toMatch(
      /^The batting; on it the backing, right side up.*top, right side down/,
    );
    expect(step(plan, 'turn').does.join(' ')).toContain('leave 7″ of the bottom open');
    expect(all(plan)).not.toMatch(/backing’s edge in|short of the edge/);
  });
  test('a long-arm takes the first only', () => {
    const plan = points('turned');
    expect(ids({ ...plan, quilting: { ...plan.quilting, by: 'long-arm' } })).toEqual([
      'quilt',
      'trim',
      'points',
    ]);
    const away: Plan = { ...plan, quilting: { ...plan.quilting, by: 'long-arm' } };
    // The service has to know it too, or the backing cannot be folded away.
    expect(step(away, 'quilt').does.join(' ')).toContain('stops 1 1/2″ short of the edge');
  });
});

describe('seams', () => {
  // Rule SW-5.
  test('a web: units in a stack, chained down the column, pressed when it is whole', () => {
    const { pick, does } = step(sampler(), 'web', 'web');
    expect(pick).toBe('The units of a column in a stack, row 1 on top.');
    expect(does.join(' ')).toMatch(/chained down the column.*Press when the web is whole/);
    expect(does.join(' ')).not.toMatch(/before the next seam crosses/);
  });
  const mitred = () => sampler({ borders: [{ ...startBorder('1', 4, 'border'), corners: 'mitred' }] });
  // Rule SW-6.
  test('mitred strips stop short of the corner; their mitres are sewn one by one', () => {
    const strips = step(mitred(), 'border-1-strips');
    expect(strips.title).not.toMatch(/corner to corner/);
    expect(strips.does.join(' ')).toMatch(/Begin and stop a seam’s width from each end/);
    const mitres = step(mitred(), 'border-1-mitres');
    expect(mitres.does.join(' ')).toMatch(/one by one, from the inner corner out/);
    expect(mitres.does.join(' ')).not.toMatch(/chained/);
  });
  // Rule SW-4.
  test('what is eased lies underneath: of a border and its quilt the quilt', () => {
    const { does, wrong } = step(sampler(), 'border-1-sides');
    expect(does[0]).toMatch(/the strip on top, the quilt underneath/);
    expect(wrong.join(' ')).toMatch(/ease the quilt to the border/);
  });
  test('needle and iron are warned of at every seam, and paper says each once', () => {
    for (const { id, seams, cautions } of guide(sampler()))
      if (seams.length > 0)
        expect([id, cautions]).toEqual([id, expect.arrayContaining([CAUTIONS.needle, CAUTIONS.iron])]);
    const said = cautionsOf(guide(sampler()));
    expect(said).toContain(CAUTIONS.blade);
    expect(new Set(said).size).toBe(said.length);
  });
  // Common practice: each tip at the step it helps, and only there.
  test('tips stand where they help', () => {
    const where = (plan: Plan, tip: string, method?: string) =>
      guide(plan, method).flatMap(({ id, does, wrong }) => ([...does, ...wrong].includes(tip) ? [id] : []));
    expect(where(sampler(), TIPS.walking)).toEqual(['quilt', 'binding']);
    expect(where(sampler(), TIPS.topEdge)).toEqual(['layer']);
    expect(where(sampler(), TIPS.joins)).toEqual(['binding']);
    expect(where(sampler(), TIPS.starch)).toEqual([]);
    const bias = sampler({ binding: { ...sampler().binding, grain: 'bias-square' } });
    expect(where(bias, TIPS.starch)).toEqual(['binding']);
    expect(where(sampler(), TIPS.faceDown, 'web')).toEqual(['web']);
    const onPoint = (edgeStones: 'whole' | 'halved') =>
      sampler({ setting: wholeSetting({ kind: 'on-point-sashed', edgeStones }) });
    expect(where(onPoint('whole'), TIPS.stayWhole)).toEqual(['corners']);
    expect(where(onPoint('whole'), TIPS.stayHalved)).toEqual([]);
    expect(where(onPoint('halved'), TIPS.stayHalved)).toEqual(['corners']);
    const notes = (plan: Plan) => computeQuilt(plan).fabrics.flatMap((cloth) => cloth.notes);
    expect(notes(onPoint('whole')).filter((note) => note === TIPS.starch)).toHaveLength(1);
    expect(notes(sampler())).not.toContain(TIPS.starch);
  });
  // Common practice: safe sleep is spoken of where the quilt is for a baby's bed, whatever its edge.
  test('a quilt for a cot speaks of safe sleep, once, where it is done', () => {
    const cot = sampler({ target: startBed('us-crib', 'in') });
    expect(guide(cot).flatMap(({ id, cautions }) => (cautions.includes(CAUTIONS.sleep) ? [id] : []))).toEqual(
      ['binding'],
    );
    expect(cautionsOf(guide(sampler({ target: startBed('us-queen', 'in') })))).not.toContain(CAUTIONS.sleep);
  });
  // Rule SW-7: an eighth a block along that side, half an inch at most.
  test('a part is eased by its blocks along that side, and never by more than half an inch', () => {
    const last = guide(sampler()).filter(({ id }) => id === 'join-rows')[0]!.measures[0]!;
    // Five across and six down would be 5/8 and 6/8.
    expect(last.ease).toEqual({ width: 0.5, height: 0.5 });
    const three = guide(sampler({ grid: { across: 3, down: 2 } }));
    expect(three.find(({ id }) => id === 'join-rows')!.measures[0]!.ease).toEqual({
      width: 3 / 8,
      height: 2 / 8,
    });
  });
});
