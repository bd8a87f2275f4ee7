import { randomFrom } from '@lattice/core';
import { ATTACKS } from '../../src/attacks.ts';

/**
 * Short versions: so many tries each, the same every time. The whole of them is `./lattice attack`. In groups of about
 * one length, a test file each, so that they run side by side.
 */
export const GROUPS = {
  requests: { foreign: 1, csv: 400, slow: 20, plans: 150, bodies: 250, licences: 1 },
  kills: { kill: 3, disk: 1, pictures: 24, zips: 30, clock: 2, crowd: 3, rows: 6, queue: 12, restores: 4 },
  starts: { start: 1 },
  steps: { steps: 1 },
} as const satisfies Readonly<Record<string, Readonly<Record<string, number>>>>;

/** Declares the tests of a group. */
export function shortly(group: keyof typeof GROUPS): void {
  test.each(Object.entries(GROUPS[group]))(
    '%s',
    async (name, rounds) => {
      const attack = ATTACKS.find((one) => one.name === name)!;
      // The other tests run beside it: it may take longer.
      const { found } = await attack.run({ rounds, random: randomFrom(20_261_126), patience: 5 });
      expect(found).toEqual([]);
    },
    180_000,
  );
}
