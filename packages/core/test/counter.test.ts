import fc from 'fast-check';
import { askCounter, planProblems, quiltFromCounter, TOPICS, flagStart } from '../src/index.ts';
import { biasFromLength, biasFromSquare } from '../src/edge/bias.ts';

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

describe('setting triangles', () => {
  // Common practice: the trade-rule table, finished block → side square, corner square, next 1/8 up.
  test.each([
    [3, 5.5, 3],
    [4, 7, 3.75],
    [5, 8.375, 4.5],
    [6, 9.75, 5.125],
    [8, 12.625, 6.625],
    [9, 14, 7.25],
    [10, 15.5, 8],
    [12, 18.25, 9.375],
    [15, 22.5, 11.5],
    [16, 24, 12.25],
    [18, 26.75, 13.625],
  ])('%p": %p and %p', (block, side, corner) => {
    expect(ask('triangles', { block: String(block) })).toMatchObject({
      sideSquare: { cut: side },
      cornerSquare: { cut: corner },
    });
  });
  // Rule TR-2: f√2 + 2a(1 + √2), f/√2 + a(2 + √2); sashed (f + s)√2 + 1 1/4 and (f + 2s)/√2 + 7/8.
  test('exact beside the trade’s rule; sashed; any other seam is cut exactly', () => {
    const plain = ask('triangles', { block: '10' }) as never as {
      sideSquare: { exact: number; tradeRule: number };
      diagonal: number;
    };
    expect(plain.sideSquare.exact).toBeCloseTo(10 * Math.SQRT2 + 0.5 * (1 + Math.SQRT2), 12);
    expect(plain.sideSquare.tradeRule).toBeCloseTo(10 * Math.SQRT2 + 1.25, 12);
    expect(plain.diagonal).toBeCloseTo(14.1421356, 6);
    expect(
      (ask('triangles', { block: '10', sash: '1.5' }) as never as { cornerSquare: { tradeRule: number } })
        .cornerSquare.tradeRule,
    ).toBeCloseTo(13 / Math.SQRT2 + 0.875, 12);
    expect(ask('triangles', { block: '10', seam: '0.5' })).toMatchObject({
      sideSquare: { cut: Math.ceil((10 * Math.SQRT2 + 1 + Math.SQRT2) * 8) / 8 },
    });
  });
});

describe('settings', () => {
  // Rule ST-2, common practice: 3 × 4 of 12" with 1 1/2" sash outside too: 31 sashes, 20 cornerstones, 42 × 55 1/2.
  test('sashed', () => {
    expect(ask('setting', { kind: 'sashed', block: '12', across: '3', down: '4' })).toEqual({
      centre: { width: 42, height: 55.5 },
      finished: { width: 42, height: 55.5 },
      blocks: 12,
      sashes: 31,
      cornerstones: 20,
      sideTriangles: 0,
      cornerTriangles: 0,
      frameTriangles: 0,
    });
    expect(
      ask('setting', { kind: 'sashed', block: '12', across: '3', down: '4', 'outer-sash': 'no' }),
    ).toMatchObject({ centre: { width: 39, height: 52.5 }, sashes: 17, cornerstones: 6 });
  });
  // Common practice: 24 × 36 centre, borders finishing 1 and 3 1/2 → 33 × 45.
  test('borders', () =>
    expect(
      ask('setting', { kind: 'edge-to-edge', block: '12', across: '2', down: '3', borders: '1,3 1/2' }),
    ).toMatchObject({ finished: { width: 33, height: 45 } }));
  // Common practice: framed 6" blocks, 7 × 8, borders 2 and 6: 75 3/8 × 83 7/8.
  test('framed, and on point', () => {
    const framed = ask('setting', {
      kind: 'framed',
      block: '6',
      across: '7',
      down: '8',
      borders: '2,6',
    }) as never as { finished: { width: number; height: number }; frameTriangles: number };
    expect(Math.round(framed.finished.width * 8) / 8).toBe(75.375);
    expect(Math.round(framed.finished.height * 8) / 8).toBe(83.875);
    expect(framed.frameTriangles).toBe(224);
    expect(ask('setting', { kind: 'on-point', block: '10', across: '1', down: '2' })).toMatchObject({
      blocks: 2,
      sideTriangles: 2,
      cornerTriangles: 4,
    });
    expect(
      ask('setting', { kind: 'on-point-sashed', block: '10', across: '3', down: '4', sash: '1.5' }),
    ).toMatchObject({ sashes: 48, cornerstones: 31 });
  });
});

describe('binding', () => {
  // Rule BD-2, common practice: 36 × 36 → 144 + 10 = 154; ÷ 40 = 3.85 → 4 strips; × 2 1/2 = 10" → 1/3 yd.
  test('36 × 36', () =>
    expect(ask('binding', { width: '36', height: '36' })).toMatchObject({
      length: 154,
      strips: 4,
      fabric: 10,
      shopCut: { inches: 12, yards: '1/3' },
    }));
  // Common practice: each side up to the next ten and nothing added: 65 × 78 → 70, 70, 80, 80 = 300.
  test('schools', () => {
    expect(ask('binding', { width: '65', height: '78', school: 'round-up-sides' })).toMatchObject({
      length: 300,
    });
    expect(ask('binding', { width: '65', height: '78', school: 'plus-twelve' })).toMatchObject({
      length: 298,
    });
  });
  // Common practice: when the last strip is all but used (3.98) take one more; a stricter count subtracts one strip width a diagonal join.
  test('3.98 strips is five; strictly by the joins', () => {
    expect(ask('binding', { perimeter: '149.2' })).toMatchObject({ strips: 5 });
    expect(ask('binding', { width: '36', height: '36' })).toMatchObject({ strictStrips: 5 });
  });
  // Rules BI-1, BI-2, common practice: 54 + 54 + 45 + 45 = 198, + 10 = 208, × 2 1/2 = 520, √ = 22.8 → 23 → 25" square → 3/4 yd; 18 × 18 = 324 ÷ 42 → 8 × 42.
  test('on the bias', () => {
    expect(ask('binding', { perimeter: '198', grain: 'bias' })).toMatchObject({
      length: 208,
      bias: { square: 25 },
      shopCut: { yards: '3/4' },
    });
    expect(ask('binding', { perimeter: '119.6', usable: '42' })).toMatchObject({
      bias: { square: 20, byRule: { square: 20, rectangle: 8 } },
    });
  });
});

describe('a binding that gets round', () => {
  // Rule BD-3. Geometry: ten strips of 40 joined with 2 1/2" lost at each of nine joins are 377 1/2", and the edge is 380.
  test('90 × 100: the plain count says ten, eleven are bought', () => {
    expect(ask('binding', { width: '90', height: '100' })).toMatchObject({
      length: 390,
      strips: 10,
      bought: 11,
      fabric: 27.5,
    });
    const answer = askCounter('binding', { width: '90', height: '100' }, 'in');
    const strips = !answer.ok
      ? []
      : answer.said.find((s) => s.what === 'Strips, selvage to selvage')!.figure.working;
    expect(strips.join('\n')).toContain(
      'Joined: 10 × 40 − 9 joins × 2 1/2 = 377.5; the edge is 380, and 6 more is wanted for corners and tails: short',
    );
  });
  // Common practice: 36 × 36 is four strips and a third of a yard; joined they are 152 1/2 for 144.
  test('36 × 36 stays four', () =>
    expect(ask('binding', { width: '36', height: '36' })).toMatchObject({
      strips: 4,
      strictStrips: 5,
      bought: 4,
      fabric: 10,
    }));
  test('an oblong on the bias gives what is wanted, checked by the strips it is cut into', () => {
    fc.assert(
      fc.property(fc.integer({ min: 60, max: 420 }), fc.constantFrom(2, 2.25, 2.5), (round, strip) => {
        const { bias } = ask('binding', { perimeter: String(round), strip: String(strip) }) as never as {
          bias: { square: number; rectangle: number };
        };
        expect(biasFromLength(40, bias.rectangle, strip, 0.25, 'in').length).toBeGreaterThanOrEqual(
          round + 10,
        );
        expect(biasFromSquare(bias.square, strip, 0.25, 'in').length).toBeGreaterThanOrEqual(round + 10);
      }),
      { numRuns: 60 },
    );
  });
});

describe('backing, flange, prairie points, quilted blocks', () => {
  // Common practice: 75 × 84 with 4": two vertical panels (184" = 5 1/8 yd) only if 42" is usable; at 40" three horizontal (249").
  test('backing', () => {
    expect(ask('backing', { width: '75', height: '84' })).toMatchObject({
      options: [
        { seams: 'vertical', panels: 2, fabric: 184, shopCut: { yards: '5 1/8' } },
        { seams: 'horizontal', fabric: 249 },
      ],
    });
    expect(ask('backing', { width: '75', height: '84', usable: '40' })).toMatchObject({
      options: [{ seams: 'horizontal', panels: 3, fabric: 249 }, {}],
    });
    expect(ask('backing', { width: '75', height: '84', usable: '104' })).toMatchObject({
      options: [{ seams: 'none', panels: 1 }],
    });
  });
  // Rule FL-1: cut 2 × (visible + a); sides first, then top and bottom.
  // ¼ to be seen beside a binding sewn at ⅜: 2 × (¼ + ⅜).
  test('a flange reaches past the binding’s seam', () =>
    expect(ask('flange', { ...QUILT, seam: '3/8' })).toMatchObject({ cutWidth: 1.25 }));
  test('flange', () =>
    expect(ask('flange', QUILT)).toMatchObject({
      cutWidth: 1,
      lengths: { sides: 72, ends: 60 },
      strips: 7,
      shopCut: { yards: '1/4' },
    }));
  // Common practice: 4" squares and 1/4" overlap, 3 3/4" a point; they just meet at the sewing line at a pitch of 3 1/2.
  test('prairie points', () => {
    expect(ask('prairie-points', QUILT)).toMatchObject({
      pitch: 3.75,
      perSide: { across: 16, down: 19 },
      adjustedOverlap: { across: 0.25 },
      gapAtSeam: { across: 0.25 },
      total: 70,
      strips: 7,
      fabric: 28,
    });
    expect(
      (
        ask('prairie-points', { width: '70', height: '70', overlap: '0.5' }) as never as {
          gapAtSeam: { across: number };
        }
      ).gapAtSeam.across,
    ).toBeCloseTo(0, 9);
  });
  // Common practice: 12 1/4" blocks, 3 in a row, 2" sash: front 4", batting 1 7/8", back 2 1/2", row strip 39 3/4".
  test('quilted blocks', () => {
    expect(ask('quilted-blocks', { block: '12.25', across: '3', down: '4' })).toEqual({
      frontStrip: 4,
      battingStrip: 1.875,
      backStrip: 2.5,
      rowLength: 39.75,
      uprights: 8,
      levels: 3,
    });
    expect(ask('quilted-blocks', { block: '12.25', across: '1', down: '1' })).toMatchObject({
      uprights: 0,
      levels: 0,
      rowLength: 12.25,
    });
  });
  const inches = fc.integer({ min: 24, max: 960 }).map((n) => n / 8);
  test('strips hold what they have to, and points fill their sides', () => {
    fc.assert(
      fc.property(inches, inches, fc.integer({ min: 36, max: 60 }), (w, h, usable) => {
        const flags = { width: String(w), height: String(h), usable: String(usable) };
        const binding = ask('binding', flags) as never as {
          length: number;
          strips: number;
          strictStrips: number;
          bought: number;
          fabric: number;
        };
        expect(binding.strips * usable).toBeGreaterThanOrEqual(binding.length);
        expect(binding.strictStrips).toBeGreaterThanOrEqual(Math.ceil(binding.length / usable - 1e-9));
        // Bought is what gets round: every strip but the first loses a join of its own width.
        expect(binding.bought * usable - (binding.bought - 1) * 2.5).toBeGreaterThanOrEqual(
          2 * (w + h) + 6 - 1e-9,
        );
        expect(binding.fabric).toBe(binding.bought * 2.5);
        if (Math.min(w, h) < 4) return;
        const points = ask('prairie-points', flags) as never as {
          perSide: { across: number; down: number };
          adjustedOverlap: { across: number; down: number };
        };
        for (const [side, count, own] of [
          [w, points.perSide.across, points.adjustedOverlap.across],
          [h, points.perSide.down, points.adjustedOverlap.down],
        ] as const) {
          // Apart at the seam, or just meeting, they share the side; lying over one another, the outer bases of 3 1/2" end at the corners.
          expect(own <= 0.5 ? count * (4 - own) : (count - 1) * (4 - own) + 3.5).toBeCloseTo(side, 9);
        }
        const { options } = ask('backing', flags) as never as {
          options: { fabric: number; panels: number }[];
        };
        expect(options.map((o) => o.fabric)).toEqual(options.map((o) => o.fabric).sort((a, b) => a - b));
      }),
      { numRuns: 60 },
    );
  });
});

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
    // Rule US-1: every length is a round metric figure, to the half centimetre or the usual seam.
    for (const { flags } of TOPICS)
      for (const flag of flags)
        if (flag.type === 'length' && flag.start)
          expect([0.75, Math.round(flag.start.cm * 2) / 2]).toContain(flag.start.cm);
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
      'quilted-blocks': { block: '12.25', across: '3', down: '4' },
    };
    for (const { name } of TOPICS) {
      const quilt = quiltFromCounter(name, flags[name]!, 'in');
      if (!quilt.ok) throw new Error(quilt.line);
      expect(planProblems(quilt.plan)).toEqual([]);
    }
    expect(quiltFromCounter('backing', QUILT, 'in')).toMatchObject({
      plan: { target: { of: 'size', width: 60, height: 72 } },
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
    expect(headline('backing', { width: '75', height: '84' })).toBe('2 panels, vertical seams, 5 1/8 yd');
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
    expect(drawn.side).toBe(json.bias!.square);
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
      'quilted-blocks': { block: '12.25', across: '3', down: '4' },
    };
    for (const { name } of TOPICS) {
      const answer = askCounter(name, flags[name]!, 'in');
      if (!answer.ok) throw new Error(answer.line);
      for (const { figure } of answer.said) expect(figure.working.length).toBeGreaterThan(0);
    }
  });
});
