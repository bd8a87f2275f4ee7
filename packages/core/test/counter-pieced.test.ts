import { askCounter, computeQuilt, quiltFromCounter } from '../src/index.ts';

const answerTo = (topic: string, flags: Record<string, string>, unit: 'in' | 'cm' = 'in') => {
  const answer = askCounter(topic, flags, unit);
  if (!answer.ok) throw new Error(answer.line);
  return answer;
};

describe('squares for units (rule PB-3)', () => {
  // Common practice at a quarter-inch seam; four by geometry: √2 × (2 ½ + ½) + ½ = 4.743.
  test.each([
    ['half-square-two', '2.5', '25', { squares: 13, cut: 3.375, spare: 1 }],
    ['half-square-four', '2.5', '23', { squares: 6, cut: 4.75, spare: 1 }],
    ['half-square-eight', '2.5', '24', { squares: 3, cut: 6.75, spare: 0 }],
    ['quarter-square', '2.5', '7', { squares: 4, cut: 3.75, spare: 1 }],
    ['geese', '4', '23', { squares: 6, cut: 5.25, small: 2.875, smallSquares: 24, spare: 1 }],
  ])('%s, %s" finished, %s wanted', (of, finished, wanted, json) => {
    expect(answerTo('units', { of, finished, units: wanted }).json).toEqual(json);
  });
  test('what they are trimmed to', () => {
    const { said } = answerTo('units', { of: 'geese', finished: '4' });
    expect(said.slice(-2).map(({ figure }) => figure.value)).toEqual([4.5, 2.5]);
  });
});

describe('a pieced border round a top (rules PB-2 and BO-7)', () => {
  test('60 × 72 and 4" teeth: fifteen and eighteen, no spacer', () => {
    expect(
      answerTo('pieced-border', { width: '60', height: '72', of: 'sawtooth', depth: '4' }),
    ).toMatchObject({
      headline: '66 half-square units, with no spacer',
      json: { across: 15, down: 18, spacer: null, unit: 4 },
    });
  });
  // By the pencil: 61 and 73 want 64 and 76: an inch and a half at each side.
  test('61 × 73: an inch and a half all round first; the quilt begins with both', () => {
    const asked = { width: '61', height: '73', of: 'sawtooth', depth: '4' };
    expect(answerTo('pieced-border', asked)).toMatchObject({
      headline: 'Spacer 1 1/2″, then 70 half-square units',
      json: { across: 16, down: 19, spacer: { sides: 1.5, ends: 1.5 } },
    });
    const { said } = answerTo('pieced-border', asked);
    // 70 units, two at a time.
    expect(said.filter(({ what }) => /how many/.test(what)).map(({ figure }) => figure.value)).toEqual([
      35, 35,
    ]);
    const made = quiltFromCounter('pieced-border', asked, 'in');
    if (!made.ok) throw new Error(made.line);
    const quilt = computeQuilt(made.plan);
    expect([quilt.finished.width.value, quilt.finished.height.value]).toEqual([72, 84]);
    expect(quilt.advice.filter(({ path }) => path[2] === 'pieced')).toEqual([]);
    // 70 units, two at a time: 35 squares of 4 7/8 of either cloth.
    const lines = quilt.pieces.filter(({ role }) => role === 'border-patch');
    expect(lines.map(({ squares }) => squares!.count.value)).toEqual([35, 35]);
  });
  test('what cannot be is refused by the flag that is wrong', () => {
    expect(
      askCounter('pieced-border', { width: '60', height: '72', of: 'checkers', depth: '0.75' }, 'in'),
    ).toMatchObject({
      ok: false,
      flag: 'depth',
    });
  });
});
