import fc from 'fast-check';
import { askCounter, planProblems, quiltFromCounter, TOPICS, flagStart } from '../src/index.ts';

const ask = (topic: string, flags: Record<string, string>, unit: 'in' | 'cm' = 'in') => {
  const answer = askCounter(topic, flags, unit);
  if (!answer.ok) throw new Error(answer.line);
  return answer.json as Record<string, unknown>;
};
const refused = (topic: string, flags: Record<string, string>) => {
  const answer = askCounter(topic, flags, 'in');
  return answer.ok ? '' : answer.line;
};
const QUILT = { width: '60', height: '72' };

describe('asked wrongly', () => {
  test.each<[string, Record<string, string>, RegExp]>([
    ['socks', {}, /^socks: nothing is known about that\. Ask about triangles, /],
    ['triangles', {}, /^--block: block, finished is missing/],
    ['triangles', { block: 'wide' }, /^--block wide: “wide” is not a length/],
    ['triangles', { block: '-3' }, /^--block -3: a length above nothing/],
    ['triangles', { block: '99999' }, /no longer than 2000/],
    ['triangles', { blok: '10' }, /^--blok: triangles does not ask for that\. It asks for --block/],
    [
      'setting',
      { block: '12', across: '3', down: '4', kind: 'spiral' },
      /^--kind spiral: one of edge-to-edge/,
    ],
    ['setting', { block: '12', across: '2.5', down: '4' }, /^--across 2.5: a whole number/],
    [
      'setting',
      { block: '12', across: '2', down: '4', kind: 'sashed', sash: '13' },
      /^--sash: A sash of 13″ is wider than the block/,
    ],
    [
      'setting',
      { block: '12', across: '2', down: '4', borders: '1,x' },
      /^--borders 1,x: “x” is not a length/,
    ],
    ['binding', { width: '36' }, /^--width and --height, or --perimeter/],
    ['binding', { width: '36', height: '36', perimeter: '144' }, /^--width and --height, or --perimeter/],
    [
      'binding',
      { perimeter: '198', school: 'round-up-sides' },
      /^--school round-up-sides: .*give --width and --height/,
    ],
    ['prairie-points', { ...QUILT, overlap: '5' }, /^--overlap: /],
    ['quilted-blocks', { block: '12.25', across: '3', down: '4', sash: '20' }, /^--sash: A sash of 20″/],
  ])('%s %j is one line that says which', (topic, flags, words) => {
    expect(refused(topic, flags)).toMatch(words);
    expect(refused(topic, flags)).not.toContain('\n');
  });
  // It says it never throws, and must not.
  test('whatever is asked, it answers or says which flag', () => {
    const odd = fc.oneof(
      fc.constantFrom(
        '0',
        '-1',
        '1e9',
        '1/0',
        '½',
        '12-½',
        '',
        ' ',
        '2000',
        '0.01',
        'yes',
        'bias',
        '１２',
        '1,2',
        '40',
      ),
      fc.integer({ min: 0, max: 3000 }).map((n) => String(n / 16)),
    );
    fc.assert(
      fc.property(
        fc.constantFrom(...TOPICS),
        fc.array(odd, { minLength: 8, maxLength: 8 }),
        fc.constantFrom('in' as const, 'cm' as const),
        (topic, values, unit) => {
          const flags = Object.fromEntries(
            topic.flags.map((f, i) => [
              f.key,
              f.type === 'choice' ? f.choices[i % f.choices.length]! : values[i]!,
            ]),
          );
          const answer = askCounter(topic.name, flags, unit);
          if (!answer.ok) expect(answer.line).toMatch(/^--/);
          else expect(JSON.stringify(answer.json)).not.toMatch(/null|NaN/);
        },
      ),
      { numRuns: 400 },
    );
    expect(refused('flange', { ...QUILT, visible: '30' })).toMatch(
      /^--visible: A flange that shows 30″ takes strips cut 60 1\/2″ wide/,
    );
  });
  test('centimetres begin at what is said there, and come out in centimetres', () => {
    expect(ask('flange', { width: '150', height: '180' }, 'cm')).toMatchObject({
      lengths: { sides: 180, ends: 150 },
      shopCut: { metres: '0.2', inches: 9, yards: '1/4' },
    });
    // The same cloth, asked for in either unit, is the same yards; metres are said beside them.
    const [inches, cm] = [
      ask('backing', { width: '75', height: '84' }),
      ask(
        'backing',
        { width: '190.5', height: '213.36', overhang: '10.16', usable: '106.68', seam: '1.27' },
        'cm',
      ),
    ] as { options: { panels: number; shopCut: object }[] }[];
    expect(cm!.options).toEqual(
      inches!.options.map((o) =>
        expect.objectContaining({ panels: o.panels, shopCut: expect.objectContaining(o.shopCut) }),
      ),
    );
    expect(ask('binding', { width: '36 in', height: '91.44' }, 'cm')).toMatchObject({
      length: 4 * 91.44 + 25,
    });
  });
  test('a flag begins where it is said to, in either unit: a quarter inch of seam is 7.5 mm there, not 6.35', () => {
    const start = (topic: string, key: string, unit: 'in' | 'cm') =>
      flagStart(
        TOPICS.find((t) => t.name === topic)!.flags.find((f) => f.key === key)!,
        unit,
      );
    expect([start('triangles', 'seam', 'in'), start('triangles', 'seam', 'cm')]).toEqual([0.25, 0.75]);
    // Any other length as one would say it in centimetres.
    expect(start('backing', 'seam', 'cm')).toBe(1.5);
    // Rule US-1: every length is a round metric figure, to the half centimetre, the usual seam or a cord's 3 mm.
    for (const { flags } of TOPICS)
      for (const flag of flags)
        if (flag.type === 'length' && flag.start)
          expect([0.75, 0.3, Math.round(flag.start.cm * 2) / 2]).toContain(flag.start.cm);
    expect([start('binding', 'school', 'cm'), start('setting', 'across', 'cm')]).toEqual(['plus-ten', null]);
  });
  test('the bias square is the rule of the root, or as much more as geometry asks for; what it gives stands beside it', () => {
    const given = (flags: Record<string, string>) => {
      const answer = askCounter('binding', { ...flags, grain: 'bias' }, 'in');
      if (!answer.ok) throw new Error(answer.line);
      return answer.said.find((s) => s.what === 'That square gives, joined')!.figure;
    };
    // Common practice: 208" of 2 1/2" from a 25" square.
    expect(given({ perimeter: '198' }).value).toBeGreaterThanOrEqual(208);
    expect(given({ perimeter: '198' }).working.join()).toMatch(
      /strips, .* in all, less \d+ joins × 0\.707 = .*,208 is wanted$/,
    );
    for (let round = 40; round <= 400; round += 12) {
      expect(given({ perimeter: String(round), strip: '3' }).value).toBeGreaterThanOrEqual(round + 10);
    }
  });
  test('every topic can begin a quilt, sound and of what was asked', () => {
    const flags: Record<string, Record<string, string>> = {
      triangles: { block: '10', sash: '1' },
      setting: { kind: 'sashed', block: '10', across: '3', down: '4', borders: '2,4' },
      binding: QUILT,
      backing: QUILT,
      flange: QUILT,
      'prairie-points': QUILT,
      facing: { ...QUILT, corners: 'bevelled' },
      piping: QUILT,
      sleeve: QUILT,
      precut: {},
      units: { of: 'geese', finished: '4', units: '23' },
      'pieced-border': { ...QUILT, of: 'sawtooth', depth: '4' },
      'quilted-blocks': { block: '12.25', across: '3', down: '4' },
      'bound-by': {},
    };
    for (const { name } of TOPICS) {
      const quilt = quiltFromCounter(name, flags[name]!, 'in');
      if (!quilt.ok) throw new Error(quilt.line);
      expect(planProblems(quilt.plan)).toEqual([]);
    }
    expect(quiltFromCounter('backing', QUILT, 'in')).toMatchObject({
      // Raw edge to raw edge, so that it finishes at what was asked.
      plan: { setting: { kind: 'whole-top', width: 60.5, height: 72.5 } },
    });
    expect(quiltFromCounter('setting', flags['setting']!, 'in')).toMatchObject({
      plan: { borders: [{ sides: 2 }, { sides: 4 }], setting: { kind: 'sashed', sash: 1.5 } },
    });
    expect(quiltFromCounter('triangles', {}, 'in')).toMatchObject({
      flag: 'block',
      line: expect.stringMatching(/^--block/),
    });
    expect(quiltFromCounter('binding', { width: '3' }, 'in')).toMatchObject({
      line: expect.stringMatching(/^--width and --height/),
    });
  });
  test('the headline is whole strips and a shop cut', () => {
    const headline = (topic: string, flags: Record<string, string>) =>
      (askCounter(topic, flags, 'in') as unknown as { headline: string }).headline;
    expect(headline('binding', { width: '36', height: '36' })).toBe('4 strips, 1/3 yd');
    expect(headline('binding', { perimeter: '198', grain: 'bias' })).toBe('A square of 25″, 3/4 yd');
    expect(headline('backing', { width: '75', height: '84' })).toBe('2 panels, upright seams, 5 1/8 yd');
    expect(headline('setting', { block: '12', across: '3', down: '4' })).toBe('36 × 48″, 12 blocks');
  });
  test('what is drawn is what is said: whole strips on the cloth to ask for, the square with all its strips inside', () => {
    const drawnOf = (topic: string, flags: Record<string, string>) => {
      const answer = askCounter(topic, flags, 'in');
      if (!answer.ok) throw new Error(answer.line);
      return {
        drawn: answer.drawn!,
        json: answer.json as { strips: number; shopCut: { inches: number }; bias?: { square: number } },
      };
    };
    for (const [topic, flags] of [
      ['binding', { width: '36', height: '36' }],
      ['binding', { perimeter: '149.2' }],
      ['flange', QUILT],
    ] as const) {
      const { drawn, json } = drawnOf(topic, flags);
      if (drawn.what !== 'strips') throw new Error(drawn.what);
      expect([drawn.count, drawn.bought]).toEqual([json.strips, json.shopCut.inches]);
      expect(drawn.count * drawn.strip).toBeLessThanOrEqual(drawn.bought + 1e-9);
      expect(drawn.used).toBeGreaterThanOrEqual(0);
      expect(drawn.used).toBeLessThanOrEqual(drawn.usable);
    }
    // 149.2 + 10 is 3.98 strips: five are cut; with four joins of 2 1/2" 169.2 is used, 9.2 of it off the fifth.
    expect(drawnOf('binding', { perimeter: '149.2' }).drawn).toMatchObject({
      count: 5,
      used: expect.closeTo(9.2, 9),
    });
    const { drawn, json } = drawnOf('binding', { perimeter: '198', grain: 'bias' });
    if (drawn.what !== 'bias') throw new Error(drawn.what);
    expect([drawn.width, drawn.height]).toEqual([json.bias!.square, json.bias!.square]);
    for (const { outline } of drawn.strips)
      for (const { x, y } of outline) expect(Math.min(x, y, 25 - x, 25 - y)).toBeGreaterThan(-1e-9);
  });
  test('every topic shows its working', () => {
    const flags: Record<string, Record<string, string>> = {
      triangles: { block: '10' },
      setting: { block: '10', across: '3', down: '4' },
      binding: QUILT,
      backing: QUILT,
      flange: QUILT,
      'prairie-points': QUILT,
      facing: { ...QUILT, corners: 'bevelled' },
      piping: QUILT,
      sleeve: QUILT,
      precut: {},
      units: { of: 'geese', finished: '4', units: '23' },
      'pieced-border': { ...QUILT, of: 'sawtooth', depth: '4' },
      'quilted-blocks': { block: '12.25', across: '3', down: '4' },
      'bound-by': {},
    };
    for (const { name } of TOPICS) {
      const answer = askCounter(name, flags[name]!, 'in');
      if (!answer.ok) throw new Error(answer.line);
      for (const { figure } of answer.said) expect(figure.working.length).toBeGreaterThan(0);
    }
  });
});
