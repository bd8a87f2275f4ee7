import { askCounter, computeQuilt, quiltFromCounter } from '../src/index.ts';

const quiltOf = (topic: string, flags: Record<string, string>) => {
  const made = quiltFromCounter(topic, flags, 'in');
  if (!made.ok) throw new Error(made.line);
  return { plan: made.plan, quilt: computeQuilt(made.plan) };
};
const answerOf = (topic: string, flags: Record<string, string>) => {
  const answer = askCounter(topic, flags, 'in');
  if (!answer.ok) throw new Error(answer.line);
  return answer;
};

describe('a quilt begins with what was asked, and nothing else', () => {
  test('a binding asked for 65 × 78 is a quilt of that size with that binding', () => {
    const asked = { width: '65', height: '78', strip: '2.25', usable: '42', school: 'plus-twelve' };
    const { plan, quilt } = quiltOf('binding', asked);
    expect([quilt.finished.width.value, quilt.finished.height.value]).toEqual([65, 78]);
    expect(plan.edge.finishes).toEqual(['binding']);
    expect(quilt.pieces).toEqual([]);
    expect(quilt.layers).toBeNull();
    expect(quilt.fabrics.map(({ fabric }) => fabric.name)).toEqual(['Binding']);
    expect(quilt.edge.binding!.strips.value).toBe(answerOf('binding', asked).json['bought']);
  });
  test('all that was measured is all round: the binding goes by that', () => {
    const { quilt } = quiltOf('binding', { perimeter: '286' });
    expect(quilt.edge.binding!.length.value).toBe(296);
  });
  test('points stay points, as many as were said', () => {
    const asked = { width: '40', height: '52' };
    const { plan, quilt } = quiltOf('prairie-points', asked);
    expect(plan.edge.finishes).toEqual(['prairie-points']);
    expect(quilt.edge.binding).toBeNull();
    expect(quilt.edge.points!.total.value).toBe(answerOf('prairie-points', asked).json['total']);
  });
  test('a flange comes with the binding that holds it; a backing under a top', () => {
    expect(quiltOf('flange', { width: '60', height: '72' }).plan.edge.finishes).toEqual([
      'flange',
      'binding',
    ]);
    const { quilt } = quiltOf('backing', { width: '60', height: '72' });
    expect(quilt.layers!.backing.width.value).toBe(68);
  });
});

describe('sashing is answered with cut sizes, strips and yards', () => {
  const { said } = answerOf('setting', { kind: 'sashed', block: '12', across: '3', down: '4' });
  const figure = (what: string) => said.find((line) => line.what === what)!.figure.value;
  test('pieces as they are cut: finished and two quarter-inch seams (common practice)', () => {
    expect([figure('Sashes, cut wide'), figure('Sashes, cut long')]).toEqual([2, 12.5]);
    expect([figure('Cornerstones, cut wide'), figure('Cornerstones, cut long')]).toEqual([2, 2]);
  });
  test('whole strips and what to ask the shop for, with why', () => {
    const what = said.map((line) => line.what);
    expect(what).toContain('Sashes, cut wide');
    expect(what.some((words) => /^Sash, ask for \d.* yd$/.test(words))).toBe(true);
    for (const { figure } of said) expect(figure.working.length).toBeGreaterThan(0);
  });
});

describe('how large a quilt a cloth binds', () => {
  test('a fat quarter on the bias binds about 30 × 30 (common practice)', () => {
    const { json } = answerOf('bound-by', {});
    expect(json['square']).toBeGreaterThanOrEqual(28);
    expect(json['square']).toBeLessThanOrEqual(34);
  });
  test('straight strips by hand: 22 × 18 gives 7 of 22, six joins of 2 1/2 less: 139', () => {
    const { json } = answerOf('bound-by', { grain: 'straight' });
    expect(json).toMatchObject({ strips: 7, length: 139, around: 129, square: 32 });
  });
  test('it agrees with the other way round: what it says it binds can be bound with it', () => {
    for (const strip of ['2', '2.25', '2.5']) {
      const { json } = answerOf('bound-by', { grain: 'straight', strip });
      const { width, height } = json['oblong'] as { width: number; height: number };
      expect(2 * (width + height) + 10).toBeLessThanOrEqual(json['length'] as number);
    }
  });
  test('a cloth too small says so', () => {
    expect(askCounter('bound-by', { 'cloth-width': '6', 'cloth-length': '6' }, 'in')).toMatchObject({
      ok: false,
      flag: 'cloth-width',
    });
  });
});
