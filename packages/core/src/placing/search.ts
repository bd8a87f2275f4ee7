import { type Random, randomFrom } from '../random/random.ts';
import { boundOf } from './bound.ts';
import { Knapsack } from './knapsack.ts';
import { fillCloth, type Held, type Pass } from './pass.ts';
import { plainPass } from './plain.ts';
import type { Task } from './task.ts';
import { type Manner, Views } from './views.ts';

/** Effort that gives a good plan at once, a few milliseconds: cells of the knapsack's tables gone through. */
export const AT_ONCE = 160_000;
/** A simple plan has fewer ways to be made. */
const SIMPLE_AT_ONCE = 80_000;
/** What a round costs besides its tables. */
const ROUND = 2_000;

/**
 * Looks for the shortest filling of a cloth, better and better: first the few views that are usually right, then by
 * keeping some strips of the best and cutting the rest anew (ruin and recreate, from memory). Deterministic: as much
 * effort finds the same on every machine.
 *
 * @yields the best so far, after each round, and the effort spent
 * @returns when nothing shorter can be
 */
export function* searching(
  task: Task,
  manner: Manner = 'thrifty',
): Generator<{ best: Pass; effort: number }> {
  const random = randomFrom(7);
  const views = new Views(task, manner, random);
  const knapsack = new Knapsack();
  const bound = boundOf(task);
  let best: Pass = plainPass(task, views.alone);
  let rounds = 0;
  const effort = () => knapsack.effort + rounds * ROUND;
  const isBetter = BETTER[manner](task);
  for (const view of views.first()) {
    const pass = fillCloth(task, view, knapsack)!;
    rounds++;
    if (isBetter(pass, best)) best = pass;
    views.learn(pass);
    if (effort() > AT_ONCE) break;
  }
  yield { best, effort: effort() };
  while (best.length > bound) {
    const had: Pass = best;
    // Now and then all is cut anew.
    const kept = random() < 0.25 ? undefined : someOf(had, task, random);
    const pass = fillCloth(task, views.next(), knapsack, {
      ...(kept && { kept }),
      limit: had.length * SLACK[manner] + 1,
    });
    rounds++;
    if (pass) {
      views.learn(pass);
      if (!isBetter(had, pass)) best = pass;
    }
    yield { best, effort: effort() };
  }
}

/**
 * The plan that a few milliseconds find. A simple plan that comes out shorter than the thrifty one is the thrifty one
 * too: what is bought by is never longer than what could be cut.
 */
export function searchAtOnce(task: Task, manner: Manner = 'thrifty'): Pass {
  const simple = search(task, SIMPLE_AT_ONCE, 'simple');
  if (manner === 'simple') return simple;
  const thrifty = search(task, AT_ONCE, 'thrifty');
  return BETTER.thrifty(task)(simple, thrifty) ? simple : thrifty;
}

/** The shortest filling that so much effort finds. */
export function search(task: Task, effort = AT_ONCE, manner: Manner = 'thrifty'): Pass {
  let found: Pass | null = null;
  for (const { best, effort: spent } of searching(task, manner)) {
    found = best;
    if (spent >= effort) break;
  }
  return found!;
}

/** A simple plan may take a little more cloth than the best so far. */
const SLACK: Readonly<Record<Manner, number>> = { thrifty: 1, simple: 1.1 };

/** What stays of a filling: wasteful strips more seldom. */
function someOf({ stock, strips }: Pass, { sheet }: Task, random: Random): Held {
  const drop = 0.2 + random() * 0.6;
  return {
    stock: stock.filter(() => random() > drop),
    strips: strips.filter(({ used, height }) => {
      const waste = 1 - used / (height * sheet.usable);
      return random() > drop * (0.5 + Math.min(1, waste * 5) / 2);
    }),
  };
}

/** A setting of the ruler is worth so much of the cloth's width, half an inch of forty (from memory). */
const SETTING_SHARE = 1 / 80;

/** Thrifty: shorter, and of equal lengths with fewer settings of the ruler. Simple: a setting less is worth some cloth. */
const BETTER: Readonly<Record<Manner, (task: Task) => (a: Pass, b: Pass) => boolean>> = {
  thrifty: () => (a, b) => a.length < b.length || (a.length === b.length && settingsOf(a) < settingsOf(b)),
  simple: ({ sheet }) => {
    const cost = (pass: Pass) => pass.length + settingsOf(pass) * sheet.usable * SETTING_SHARE;
    return (a, b) => cost(a) < cost(b);
  },
};

/** A filling is asked again and again whether another is simpler; it is counted once. */
const counted = new WeakMap<Held, number>();

/** How often the ruler is set anew: for each width of strip, and for each size that is cut from strips of that width. */
export function settingsOf(held: Held): number {
  const known = counted.get(held);
  if (known !== undefined) return known;
  const settings = new Set<string>();
  for (const { height, boxes } of new Set(held.strips)) {
    settings.add(`${height}`);
    for (const { w, h } of boxes) settings.add(`${height} ${w} ${h}`);
  }
  const count =
    settings.size +
    held.stock.reduce((sum, { boxes }) => sum + new Set(boxes.map(({ w, h }) => `${w} ${h}`)).size, 0);
  counted.set(held, count);
  return count;
}
