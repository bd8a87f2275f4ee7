import { type LogEntry, startPlan } from '@lattice/core';
import type { House } from './house.ts';

/** A request that is taken as it is: what it carries is bent by others. */
export interface Proper {
  readonly method: 'POST' | 'PUT';
  readonly path: string;
  readonly body: Record<string, unknown>;
}

const QUILT = 'quilt-to-be-bent';
const BLOCK = 'block-1';

const plan = () => {
  const start = startPlan('sashed-sampler');
  return { ...start, pile: [{ id: BLOCK, name: 'One', width: 12.5, height: 12.5, colours: ['#112233'] }] };
};

/** Every place that takes a body, with one it takes; the log with one entry of each kind the demo has. */
export async function properRequests(house: House): Promise<Proper[]> {
  await house.send('POST', '/api/quilts', { id: QUILT, plan: plan() });
  const { entries } = JSON.parse((await house.ask('GET', '/api/log?since=0')).text) as {
    entries: LogEntry[];
  };
  const kinds = [...new Map(entries.map((entry) => [entry.kind, entry])).values()];
  const sheet = { width: 78, height: 89.5 };
  const job = {
    ...{ unit: 'in', pattern: 'all-over', batting: sheet },
    ...{ top: { width: 70, height: 81.5 }, backing: { ...sheet, diagonals: null } },
  };
  const of = { quilt: QUILT, entry: 'entry-to-be-bent' };
  const cloth = { cloth: 'border', name: 'Slate', colour: '#2e4a5f', length: 40, usableWidth: 40 };
  const edges = { top: 12, bottom: '12', left: 12, right: 12 };
  const post = (path: string, body: Record<string, unknown>): Proper => ({ method: 'POST', path, body });
  return [
    post('/api/quilts', { id: 'another-to-be-bent', plan: plan(), by: 'Laptop' }),
    { method: 'PUT', path: `/api/quilts/${QUILT}`, body: { revision: 1, plan: plan(), by: 'Laptop' } },
    post(`/api/quilts/${QUILT}/readings`, { block: BLOCK, width: '12 1/2', height: 12.5, edges, by: 'Ruth' }),
    post(`/api/quilts/${QUILT}/snapshots`, { name: 'Before the border', id: 'version-to-be-bent' }),
    post('/api/links', { name: 'Maud', may: 'view' }),
    post('/api/shop/ask', { unit: 'in', cloths: [cloth] }),
    post('/api/shop/holds', {
      ...of,
      order: { unit: 'in', lines: [{ cloth: 'border', bolt: 'b-slate', length: 20 }] },
    }),
    post('/api/long-arm/quotes', job),
    post('/api/long-arm/bookings', { ...of, job }),
    post('/api/tape/squeeze', { millimetres: 300 }),
    post('/api/tape/carry', { inReach: true }),
    ...kinds.map((entry) => post('/api/log', { entries: [entry] })),
  ];
}
