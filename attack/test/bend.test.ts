import { randomFrom } from '@lattice/core';
import { ATTACKS } from '../src/attacks.ts';
import { bend, bendBytes } from '../src/bend.ts';
import { GROUPS } from './support/short.ts';

test('every attack has its short version', () => {
  const short = Object.values(GROUPS).flatMap((group) => Object.keys(group));
  expect(short.sort()).toEqual(ATTACKS.map(({ name }) => name).sort());
});

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
