import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { startPlan } from '@lattice/core';
import { type Attack, below, Found, type Wish } from './attack.ts';
import { House } from './house.ts';

/** A small disk of its own; null where it may not be made. */
function smallDisk(): { folder: string; clear: () => void } | null {
  const folder = mkdtempSync(path.join(tmpdir(), 'lattice-disk-'));
  const mounted = spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=4m', 'tmpfs', folder]);
  if (mounted.status !== 0) {
    rmSync(folder, { recursive: true });
    return null;
  }
  return {
    folder,
    clear: () => {
      spawnSync('umount', ['-l', folder]);
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

/** Leaves so many blocks of the disk. */
function fill(folder: string, name: string, blocks: number): void {
  const { bavail, bsize } = statfsSync(folder);
  try {
    writeFileSync(path.join(folder, name), Buffer.alloc(Math.max(0, bavail + 1 - blocks) * bsize));
  } catch {
    // Full: as it should be.
  }
}

const plan = (n: number) => ({ ...startPlan('sashed-sampler'), title: `Quilt ${n}` });

/** Waits until it may be written to again; it looks every ten seconds. */
async function writesAgain(house: House): Promise<boolean> {
  for (const until = Date.now() + 25_000; Date.now() < until; await wait(250))
    if ((await house.ask('GET', '/api/ready')).status === 200) return true;
  return false;
}

async function attack(folder: string, { rounds, random }: Wish, found: Found): Promise<number> {
  let saved = 0;
  let house = await new House(folder).start();
  const check = async (when: string) => {
    const { status, text } = await house.ask('GET', '/api/quilts');
    const total = status === 200 ? (JSON.parse(text) as { total: number }).total : -1;
    found.unless(total === saved, `${when} ${total} quilts are there of ${saved} that were saved`);
  };
  for (let round = 0; round < rounds; round++) {
    fill(folder, 'filler', 1 + below(random, 60));
    let refused = 0;
    for (let i = 0; i < 200 && refused < 3; i++) {
      const { status, text } = await house.send('POST', '/api/quilts', { plan: plan(saved) });
      if (status === 201) saved++;
      else {
        refused++;
        found.unless(
          status === 507 && /disk is full/.test(text),
          `a full disk is answered with ${status}: ${text}`,
        );
      }
    }
    found.unless(refused > 0, 'the disk was never full');
    await check('on a full disk');
    // Killed and started on the full disk: it can be looked at, and says why it cannot be written to.
    await house.end(round % 2 === 0 ? 'SIGKILL' : 'SIGTERM');
    fill(folder, 'filler-2', 0);
    house = await new House(folder).start();
    await check('started on a full disk');
    rmSync(path.join(folder, 'filler'));
    rmSync(path.join(folder, 'filler-2'), { force: true });
    found.unless(await writesAgain(house), 'with room again it still does not write');
    const { status, text } = await house.send('POST', '/api/quilts', { plan: plan(saved) });
    if (status === 201) saved++;
    else found.add(`with room again a save is answered with ${status}: ${text}`);
    await check('with room again');
  }
  await house.end();
  return saved;
}

export const disk: Attack = {
  name: 'disk',
  says: 'a disk that runs full, at work and at the start: refused in words, read all the same, nothing lost',
  usual: 4,
  async run(wish) {
    const { rounds } = wish;
    const small = smallDisk();
    if (!small) return { figures: { skipped: 'a small disk may not be mounted here' }, found: [] };
    const found = new Found();
    try {
      const saved = await attack(small.folder, wish, found);
      return { figures: { 'times full': rounds, saved }, found: found.lines() };
    } catch (error) {
      found.add(`it does not start: ${(error as Error).message}`);
      return { figures: { 'times full': rounds }, found: found.lines() };
    } finally {
      small.clear();
    }
  },
};
