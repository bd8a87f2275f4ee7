import { rmSync } from 'node:fs';
import type { Random } from '@lattice/core';
import { type Attack, Found } from '../attack.ts';
import { copyOf, type Deed } from './deed.ts';
import { DEEDS } from './deeds.ts';
import { EMPTY, type State, stateOf } from './state.ts';

/** Kills that are tried side by side: each is a program that starts, and ends. */
const SIDE_BY_SIDE = 2;

const listOf = (shelf: string): string[] => {
  try {
    return JSON.parse(shelf) as string[];
  } catch {
    return [shelf];
  }
};

/** What of a shelf is neither as it was before nor as it is after; empty where it all is. */
function between(shelf: string, before: string, after: string, eachByItself: boolean): string[] {
  if (shelf === before || shelf === after) return [];
  if (!eachByItself) return [shelf.slice(0, 300)];
  const [was, will] = [new Set(listOf(before)), new Set(listOf(after))];
  const there = listOf(shelf);
  const stays = [...was].filter((quilt) => will.has(quilt) && !there.includes(quilt));
  return [...there.filter((quilt) => !was.has(quilt) && !will.has(quilt)), ...stays];
}

/** What a kill left that should not be. */
function wrongWith(deed: Deed, state: State, before: State, after: State): string[] {
  const shelf = between(state.shelf, before.shelf, after.shelf, deed.eachByItself ?? false);
  const whole = [EMPTY, before.shelf, after.shelf];
  const torn = state.backups.filter(
    (backup) => !before.backups.includes(backup) && !whole.some((one) => backup.endsWith(`: ${one}`)),
  );
  const gone = before.backups.filter((backup) => !state.backups.includes(backup));
  return [
    ...shelf.map((one) => `between before and after: ${one}`),
    ...torn.map((one) => `a backup that is not whole: ${one}`),
    ...gone.map((one) => `a backup that was there is not: ${one}`),
  ];
}

/** Which steps it is ended at: all, or so many, one out of each part of the way. */
function chosen(total: number, rounds: number, random: Random): number[] {
  if (rounds >= total) return Array.from({ length: total }, (_, i) => i + 1);
  return Array.from({ length: rounds }, (_, i) => 1 + Math.floor(((i + random()) * total) / rounds));
}

/** Ends a deed at each of so many steps; answers how many steps it has, and at how many it was ended. */
async function endAt(deed: Deed, rounds: number, random: Random, found: Found) {
  const template = await deed.prepare();
  const before = stateOf(template);
  const whole = copyOf(template);
  const steps = (await deed.run(whole, 0))!;
  const after = stateOf(whole);
  rmSync(whole, { recursive: true, force: true });
  let ended = 0;
  const one = async (killAt: number) => {
    const folder = copyOf(template);
    if ((await deed.run(folder, killAt)) === null) ended++;
    const where = `${deed.name}, ended at step ${killAt} of ${steps}`;
    for (const wrong of wrongWith(deed, stateOf(folder), before, after)) found.add(`${where}: ${wrong}`);
    if (deed.again) {
      await deed.run(folder, 0);
      const again = stateOf(folder);
      found.unless(again.shelf === after.shelf, `${where}, then begun again: ${again.shelf.slice(0, 300)}`);
      const missing = after.backups.filter((backup) => !again.backups.includes(backup));
      found.unless(
        missing.length === 0,
        `${where}, then begun again: not there: ${missing.join(', ').slice(0, 300)}`,
      );
    }
    rmSync(folder, { recursive: true, force: true });
  };
  const waiting = chosen(steps, rounds, random);
  const worker = async () => {
    for (let killAt = waiting.shift(); killAt !== undefined; killAt = waiting.shift()) await one(killAt);
  };
  await Promise.all(Array.from({ length: SIDE_BY_SIDE }, worker));
  rmSync(template, { recursive: true, force: true });
  return { steps, ended };
}

export const steps: Attack = {
  name: 'steps',
  says: 'ends what takes several steps right before each of them: first start, bringing up, backup, going back, parcel, save, version, tidying; what was there before or what should be after, never between',
  usual: 100_000,
  async run({ rounds, random }) {
    const found = new Found();
    const figures: Record<string, string> = {};
    for (const deed of DEEDS.filter(({ long }) => rounds > 1 || !long)) {
      try {
        const { steps: all, ended } = await endAt(deed, rounds, random, found);
        figures[deed.name] = `${ended} of ${all}`;
      } catch (error) {
        found.add(`${deed.name}: ${(error as Error).message}`);
      }
    }
    return { figures, found: found.lines() };
  },
};
