import { inRounds } from '../src/sync/outbox/rounds.ts';

describe('work in rounds', () => {
  test('asked for at any moment of a round, even its very end, it is done once more after the asking', async () => {
    // At each step of a round's way out one more asking is slipped in: none may be forgotten.
    for (let steps = 0; steps < 12; steps++) {
      let seen = 0;
      let wish = 1;
      const ask = inRounds(async () => {
        await null;
        seen = wish;
        await null;
      });
      const first = ask();
      for (let i = 0; i < steps; i++) await null;
      wish = 2;
      await ask();
      await first;
      expect([steps, seen]).toEqual([steps, 2]);
    }
  });
  test('asked for often in one round it is done once more, not as often; a fault ends it and it can be asked again', async () => {
    let rounds = 0;
    let fault = false;
    const ask = inRounds(async () => {
      rounds++;
      await new Promise((resolve) => setTimeout(resolve, 1));
      if (fault) throw new Error('no room');
    });
    await Promise.all(Array.from({ length: 50 }, ask));
    expect(rounds).toBe(2);
    fault = true;
    await expect(ask()).rejects.toThrow('no room');
    fault = false;
    await ask();
    expect(rounds).toBe(4);
  });
});
