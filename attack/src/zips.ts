import { writePlanJson, type LogEntry, type Plan } from '@lattice/core';
import { type Attack, below, Found } from './attack.ts';
import { bendBytes } from './bend.ts';
import { House } from './house.ts';
import { theirParcel } from './steps/their-parcel.ts';

const BYTES = { 'content-type': 'application/octet-stream' };

/** One bit turned somewhere: what a tired disk, or a stick in a wet pocket, does. */
function turnBit(bytes: Buffer, random: () => number): Buffer {
  const bent = Buffer.from(bytes);
  bent[below(random, bent.length)]! ^= 1 << below(random, 8);
  return bent;
}

/** What a quilt on the shelf says: its plan and its journal, without the names of their ids, which a copy has anew. */
async function quiltAt(house: House, id: string): Promise<string> {
  const { plan } = JSON.parse((await house.ask('GET', `/api/quilts/${id}`)).text) as { plan: Plan };
  const { entries } = JSON.parse((await house.ask('GET', `/api/log?quilt=${id}`)).text) as {
    entries: LogEntry[];
  };
  const pictures = await Promise.all(
    plan.pile
      .flatMap(({ picture }) => picture ?? [])
      .slice(0, 1)
      .map(async (picture) => (await house.ask('GET', `/api/pictures/${picture}`)).status),
  );
  return JSON.stringify([
    writePlanJson(plan),
    entries.map(({ kind, at, body }) => [kind, at, body]),
    pictures,
  ]);
}

interface Came {
  readonly quilts: readonly { readonly id: string; readonly title: string }[];
}

export const zips: Attack = {
  name: 'zips',
  says: 'parcels with bits turned, bytes bent, cut short: refused, or taken exactly as they were packed, all of it',
  usual: 5_000,
  async run({ rounds, random }) {
    const found = new Found();
    const parcel = await theirParcel();
    const house = await new House().start();
    const packed = new Map<string, string>();
    // Twice: from then on each is a copy, as those that follow are.
    for (let time = 0; time < 2; time++) {
      const { text } = await house.ask('POST', '/api/parcels', parcel, BYTES);
      for (const { id, title } of (JSON.parse(text) as Came).quilts)
        packed.set(title, await quiltAt(house, id));
    }
    let taken = 0;
    for (let i = 0; i < rounds; i++) {
      const bent = random() < 0.5 ? turnBit(parcel, random) : bendBytes(random, parcel);
      const { status, text } = await house.ask('POST', '/api/parcels', bent, BYTES);
      found.unless(
        status === 201 || (status >= 400 && status < 500),
        `a bent parcel is answered with ${status}`,
      );
      if (status !== 201) continue;
      taken++;
      const { quilts } = JSON.parse(text) as Came;
      found.unless(
        quilts.length === packed.size,
        `${quilts.length} of ${packed.size} quilts came, without a word`,
      );
      for (const { id, title } of quilts) {
        found.unless(
          packed.get(title) === (await quiltAt(house, id)),
          `“${title}” came as another than was packed`,
        );
        await house.ask('DELETE', `/api/quilts/${id}`);
      }
    }
    const { status } = await house.ask('POST', '/api/parcels', parcel, BYTES);
    found.unless(status === 201, `a good parcel afterwards is answered with ${status}`);
    await house.clear();
    return { figures: { parcels: rounds, taken }, found: found.lines() };
  },
};
