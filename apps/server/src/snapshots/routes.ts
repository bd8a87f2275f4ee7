import { Router } from 'express';
import { z } from 'zod';
import { ID } from '../made-elsewhere.ts';
import { parseBody } from '../parse-body.ts';
import type { SnapshotService } from './service.ts';

export const makeBody = z.strictObject({ name: z.string().trim().min(1).max(80), id: ID.optional() });

/** Snapshots of a quilt over HTTP, under its address. */
export function snapshotRoutes(snapshots: SnapshotService): Router {
  const router = Router({ mergeParams: true });
  const quiltOf = (params: object) => (params as { id: string }).id;
  router.get('/', async (request, response) => {
    response.json(await snapshots.list(quiltOf(request.params)));
  });
  router.post('/', async (request, response) => {
    const { name, id } = parseBody(makeBody, request.body, 'A version needs a name of at most 80 letters.');
    response.status(201).json(await snapshots.make(quiltOf(request.params), name, id));
  });
  router.get('/:snapshot', async (request, response) => {
    response.json({ plan: await snapshots.plan(quiltOf(request.params), request.params.snapshot) });
  });
  router.delete('/:snapshot', async (request, response) => {
    await snapshots.drop(quiltOf(request.params), request.params.snapshot);
    response.status(204).end();
  });
  return router;
}
