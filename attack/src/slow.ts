import { connect, type Socket } from 'node:net';
import { setTimeout as wait } from 'node:timers/promises';
import { startPlan } from '@lattice/core';
import { type Attack, Found } from './attack.ts';
import { House } from './house.ts';

/** The longest anybody else waits meanwhile, in ms. */
const MOST_MS = 500;
/** A client that never says what it wants is hung up on within this, in ms. */
const HUNG_UP_MS = 16_000;

const open = (house: House, begins: string): Promise<Socket> =>
  new Promise((resolve) => {
    const socket = connect(house.listensAt, '127.0.0.1', () => {
      socket.write(begins);
      resolve(socket);
    });
    socket.on('error', () => undefined);
    socket.resume();
  });

const head = (house: House, more: string) =>
  `PUT /api/quilts/x HTTP/1.1\r\nhost: 127.0.0.1:${house.listensAt}\r\n${more}`;

export const slow: Attack = {
  name: 'slow',
  says: 'clients that say half and wait, and ones that vanish; others are served, the slow are hung up on',
  usual: 200,
  async run({ rounds, random, patience }) {
    const found = new Found();
    const house = await new House().start();
    for (let i = 0; i < 40; i++)
      await house.send('POST', '/api/quilts', { plan: startPlan('sashed-sampler') });
    const slowHeads = await Promise.all(
      Array.from({ length: rounds }, () => open(house, head(house, 'x-half: '))),
    );
    const slowBodies = await Promise.all(
      Array.from({ length: rounds }, () =>
        open(
          house,
          head(house, 'content-type: application/json\r\ncontent-length: 90000\r\n\r\n{"revision":'),
        ),
      ),
    );
    let longest = 0;
    for (let i = 0; i < rounds; i++) {
      // Asks for the whole shelf and goes away.
      const gone = await open(
        house,
        `GET /api/quilts HTTP/1.1\r\nhost: 127.0.0.1:${house.listensAt}\r\n\r\n`,
      );
      if (random() < 0.5) gone.resetAndDestroy();
      else gone.destroy();
      const { status, ms } = await house.ask('GET', '/api/quilts');
      found.unless(status === 200, `others are answered with ${status}`);
      longest = Math.max(longest, ms);
    }
    found.unless(longest <= patience * MOST_MS, `others wait ${Math.round(longest)} ms`);
    let hungUp = 0;
    if (rounds >= 100) {
      for (const socket of slowHeads) socket.once('close', () => hungUp++);
      const until = Date.now() + HUNG_UP_MS;
      while (hungUp < slowHeads.length && Date.now() < until) await wait(250);
      found.unless(hungUp === slowHeads.length, `${slowHeads.length - hungUp} slow clients are still held`);
    }
    // Half-said requests do not keep it from stopping.
    const began = performance.now();
    const code = await house.end('SIGTERM');
    found.unless(code === 0, `it stops with ${code}`);
    const stopping = performance.now() - began;
    found.unless(stopping < patience * 6_000, `stopping takes ${Math.round(stopping)} ms`);
    for (const socket of [...slowHeads, ...slowBodies]) socket.destroy();
    await house.clear();
    return {
      figures: {
        slow: 2 * rounds,
        vanished: rounds,
        'others wait at most ms': Math.round(longest),
        'hung up on': hungUp,
        'stopping ms': Math.round(stopping),
      },
      found: found.lines(),
    };
  },
};
