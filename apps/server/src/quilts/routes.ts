import { Router } from 'express';
import { z } from 'zod';
import { Refusal } from '../errors.ts';
import { ID } from '../made-elsewhere.ts';
import type { QuiltService } from './service.ts';

/** A new quilt may bring an id made where it was: sent twice, it is one quilt. */
const addBody = z.object({ plan: z.unknown(), id: ID.optional() });
const saveBody = z.object({ revision: z.int().min(1), plan: z.unknown() });

/** Quilts over HTTP: bodies parsed here, rules in the service. */
export function quiltRoutes(quilts: QuiltService): Router {
  const router = Router();
  router.get('/', async (_request, response) => response.json(await quilts.list()));
  router.post('/', async (request, response) => {
    const { plan, id } = parse(addBody, request.body);
    response.status(201).json(await quilts.add(plan, id));
  });
  router.get('/:id', async (request, response) => response.json(await quilts.get(request.params.id)));
  router.put('/:id', async (request, response) => {
    const { revision, plan } = parse(saveBody, request.body);
    response.json(await quilts.save(request.params.id, revision, plan));
  });
  router.delete('/:id', async (request, response) => {
    await quilts.remove(request.params.id);
    response.status(204).end();
  });
  router.post('/:id/restore', async (request, response) =>
    response.json(await quilts.restore(request.params.id)),
  );
  return router;
}

function parse<T>(schema: z.ZodType<T>, body: unknown): T {
  const parsed = schema.safeParse(body);
  if (!parsed.success)
    throw new Refusal(400, 'bad-request', 'The request lacks a plan or its revision.', parsed.error.issues);
  return parsed.data;
}
