import { randomFrom } from '@lattice/core';
import { ATTACKS } from '../../src/attacks.ts';

/**
 * Short versions: so many tries each, the same every time. The whole of them is `./lattice attack`. In groups of about
 * one length, a test file each, so that they run side by side.
 */
export const GROUPS = {
  requests: { foreign: 1, csv: 200, slow: 12, plans: 80, bodies: 140, licences: 1 },
  kills: { kill: 2, disk: 1, pictures: 12, zips: 16, clock: 1, crowd: 2, rows: 4, queue: 6, restores: 2 },
  starts: { start: 1 },
  steps: { steps: 1 },
} as const satisfies Readonly<Record<string, Readonly<Record<string, number>>>>;

/** Declares the tests of a group. */
export function shortly(group: keyof typeof GROUPS): void {
  test.each(Object.entries(GROUPS[group]))('%s', async (name, rounds) => {
    const attack = ATTACKS.find((one) => one.name === name)!;
    // How long others wait is measured by the command alone: here other tests run beside it.
    const { found } = await attack.run({ rounds, random: randomFrom(20_261_126), patience: Infinity });
    expect(found).toEqual([]);
  });
}
