import { Unchanged } from '../src/database/unchanged.ts';

/** A database whose state is told by hand. */
const database = () => {
  let changes = 0;
  return { state: () => String(changes), change: () => (changes += 1) };
};

test('an answer is made once, until anything changes; each question has its own', async () => {
  const { state, change } = database();
  const unchanged = new Unchanged({ state });
  let made = 0;
  const ask = (what: string) => unchanged.of(what, async () => `${what} ${(made += 1)}`);
  expect([await ask('a'), await ask('b'), await ask('a')]).toEqual(['a 1', 'b 2', 'a 1']);
  change();
  expect([await ask('a'), await ask('a'), await ask('b')]).toEqual(['a 3', 'a 3', 'b 4']);
});

test('what changed while an answer was made is not hidden by it', async () => {
  const { state, change } = database();
  const unchanged = new Unchanged({ state });
  let made = 0;
  const ask = () =>
    unchanged.of('a', async () => {
      made += 1;
      // Somebody writes after this was read, and before it is told.
      if (made === 1) change();
      return `as of ${made}`;
    });
  expect([await ask(), await ask(), await ask()]).toEqual(['as of 1', 'as of 2', 'as of 2']);
});

test('an answer made of what was, and done when others were asked since, is not kept for what is', async () => {
  const { state, change } = database();
  const unchanged = new Unchanged({ state });
  let letGo = () => undefined as void;
  const slow = unchanged.of('a', () => new Promise((resolve) => (letGo = () => resolve('as it was'))));
  change();
  expect(await unchanged.of('b', async () => 'b as it is')).toBe('b as it is');
  letGo();
  expect(await slow).toBe('as it was');
  expect(await unchanged.of('a', async () => 'as it is')).toBe('as it is');
});

test('an answer that could not be made is asked for again, and no more than some are kept', async () => {
  const { state } = database();
  const unchanged = new Unchanged({ state });
  await expect(unchanged.of('a', async () => Promise.reject(new Error('busy')))).rejects.toThrow('busy');
  expect(await unchanged.of('a', async () => 'there')).toBe('there');
  let made = 0;
  const ask = (what: string) => unchanged.of(what, async () => String((made += 1)));
  for (let i = 0; i < 61; i++) await ask(`page ${i}`);
  const before = made;
  await ask('page 0');
  expect(made).toBe(before + 1);
});
