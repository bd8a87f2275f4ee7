import type { Handlers } from '../serve/handler.ts';
import type { SnapshotService } from './service.ts';

/** Snapshots of a quilt over HTTP, under its address. */
export const snapshotHandlers = (
  snapshots: SnapshotService,
): Handlers<'listVersions' | 'keepVersion' | 'version' | 'dropVersion'> => ({
  listVersions: ({ params }) => snapshots.list(params.id),
  keepVersion: ({ params, body: { name, id } }) => snapshots.make(params.id, name, id),
  version: async ({ params }) => ({ plan: await snapshots.plan(params.id, params.snapshot) }),
  dropVersion: ({ params }) => snapshots.drop(params.id, params.snapshot),
});
