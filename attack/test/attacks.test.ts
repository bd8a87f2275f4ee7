import { randomFrom } from '@lattice/core';
import { ATTACKS } from '../src/attacks.ts';
import { bend, bendBytes } from '../src/bend.ts';

// Short versions: so many tries each, the same every time. The whole of them is `./lattice attack`.
const ROUNDS: Readonly<Record<string, number>> = {
  foreign: 1,
  csv: 1_000,
  slow: 20,
  start: 1,
  disk: 1,
  plans: 400,
  bodies: 600,
  licences: 1,
  kill: 3,
  pictures: 40,
};

test.each(ATTACKS.map((attack) => [attack.name, attack] as const))(
  '%s',
  async (name, attack) => {
    const { found } = await attack.run({
      rounds: ROUNDS[name]!,
      random: randomFrom(20_261_126),
      // The other tests run beside it.
      patience: 5,
    });
    expect(found).toEqual([]);
  },
  180_000,
);

test('what is bent is another document, and the first stays as it was', () => {
  const random = randomFrom(7);
  const whole = { a: [1, 2, { b: 'c' }], d: { e: true } };
  const before = JSON.stringify(whole);
  const bent = Array.from({ length: 200 }, () => JSON.stringify(bend(random, whole)));
  expect(JSON.stringify(whole)).toBe(before);
  expect(bent.filter((text) => text !== before).length).toBeGreaterThan(180);
  const bytes = Buffer.from('as it was, every letter of it');
  const turned = Array.from({ length: 200 }, () => bendBytes(random, bytes));
  expect(turned.filter((one) => !one.equals(bytes)).length).toBeGreaterThan(150);
  expect(bytes.toString()).toBe('as it was, every letter of it');
});
