import fc from 'fast-check';
import { askCounter } from '../src/index.ts';
import { biasFromLength, biasFromSquare } from '../src/edge/bias.ts';

const ask = (topic: string, flags: Record<string, string>, unit: 'in' | 'cm' = 'in') => {
  const answer = askCounter(topic, flags, unit);
  if (!answer.ok) throw new Error(answer.line);
  return answer.json as Record<string, unknown>;
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
