import { request } from 'node:http';
import { LIMITS, startPlan } from '@lattice/core';
import { type Attack, below, Found } from './attack.ts';
import { House } from './house.ts';

const plan = (title: string) => ({ ...startPlan('sashed-sampler'), title });

/** Sends something whose answer is lost: the connection is broken off somewhere on the way, and nobody knows how far it came. */
function sendAndLose(house: House, where: string, body: unknown, afterMs: number): Promise<void> {
  return new Promise((resolve) => {
    const headers = { 'content-type': 'application/json' };
    const sent = request(`${house.address}${where}`, { method: 'POST', headers, agent: false });
    sent.on('error', () => undefined);
    sent.on('close', () => resolve());
    sent.end(JSON.stringify(body));
    setTimeout(() => sent.destroy(), afterMs);
  });
}

export const queue: Attack = {
  name: 'queue',
  says: 'what a browser sends with its answers lost, some of it taken off elsewhere meanwhile: all of it is there once, and nothing stops the rest',
  usual: 200,
  async run({ rounds, random }) {
    const found = new Found();
    const house = await new House().start();
    let takenOff = 0;
    for (let i = 0; i < rounds; i++) {
      const quilt = { id: `quilt-sent-${i}`, plan: plan(`Sent ${i}`) };
      const note = 'x'.repeat(i % 7 === 0 ? LIMITS.note : 1 + below(random, LIMITS.note));
      const entry = {
        ...{ id: `entry-sent-${i}`, quilt: quilt.id, at: '2026-12-01T10:00:00Z', kind: 'noted' },
        body: { text: note, stage: '', about: {}, pictures: [] },
      };
      for (let lost = below(random, 3); lost > 0; lost--) {
        await sendAndLose(house, '/api/quilts', quilt, below(random, 12));
        await sendAndLose(house, '/api/log', { entries: [entry] }, below(random, 12));
      }
      const gone = random() < 0.3 && (await house.ask('DELETE', `/api/quilts/${quilt.id}`)).status === 204;
      if (gone) takenOff++;
      const again = await house.send('POST', '/api/quilts', quilt);
      const proper = gone ? again.status === 409 && /taken off/.test(again.text) : again.status === 201;
      found.unless(
        proper,
        `a quilt sent again${gone ? ', taken off meanwhile,' : ''} is answered with ${again.status}`,
      );
      const logged = await house.send('POST', '/api/log', { entries: [entry] });
      found.unless(
        logged.status === 200,
        `a note of ${note.length} letters sent again is answered with ${logged.status}`,
      );
    }
    const ids: string[] = [];
    for (let since = 0, more = true; more;) {
      const page = JSON.parse((await house.ask('GET', `/api/log?since=${since}`)).text) as {
        entries: { id: string }[];
        latest: number;
        more: boolean;
      };
      ids.push(...page.entries.map(({ id }) => id));
      ({ latest: since, more } = page);
    }
    found.unless(
      ids.length === rounds && new Set(ids).size === rounds,
      `${ids.length} of ${rounds} notes are there`,
    );
    const { total } = JSON.parse((await house.ask('GET', '/api/quilts')).text) as { total: number };
    found.unless(total === rounds - takenOff, `${total} of ${rounds - takenOff} quilts are on the shelf`);
    await house.clear();
    return { figures: { items: 2 * rounds, 'taken off meanwhile': takenOff }, found: found.lines() };
  },
};
