import { STAGES } from '@lattice/core';
import { Router } from 'express';
import { z } from 'zod';
import { ID } from '../made-elsewhere.ts';
import { parseBody } from '../parse-body.ts';
import { readingBody } from './reading.ts';
import { type Sort, SORTS } from './repository.ts';
import type { QuiltService } from './service.ts';

const WHAT = 'The request lacks a plan or its revision.';
/** What a device calls itself: "Kitchen tablet". */
const device = z.string().trim().max(60).default('');
/** Whatever a plan is read from; its own reader says what is wrong with it. */
const toRead = z.custom<unknown>((value) => value !== undefined);
/** A new quilt may bring an id made where it was: sent twice, it is one quilt. */
export const addBody = z.object({ plan: toRead, id: ID.optional(), by: device });
export const saveBody = z.object({ revision: z.int().min(1), plan: toRead, by: device });

/** Cards on a page of the shelf. */
const A_PAGE = 48;
export const listQuery = z.object({
  after: z
    .string()
    .regex(/^.{1,120} \S{1,64}$/)
    .transform((text) => {
      const at = text.lastIndexOf(' ');
      return { by: text.slice(0, at), id: text.slice(at + 1) };
    })
    .optional(),
  sort: z.enum(Object.keys(SORTS) as [Sort, ...Sort[]]).default('recent'),
  stage: z.enum(['', ...STAGES]).default(''),
  tag: z.string().trim().max(30).default(''),
  count: z.coerce.number().int().min(1).max(100).default(A_PAGE),
  words: z.string().trim().max(120).default(''),
});

/** Quilts over HTTP: bodies parsed here, rules in the service. */
export function quiltRoutes(quilts: QuiltService): Router {
  const router = Router();
  router.get('/', async (request, response) => {
    const asked = parseBody(listQuery, request.query, 'Say which quilts of the shelf.');
    const { after = null, count, sort, ...narrow } = asked;
    response.type('json').send(await quilts.list({ after, count, sort, narrow }));
  });
  router.get('/taken-off', async (_request, response) => {
    response.type('json').send(await quilts.takenOff());
  });
  router.post('/', async (request, response) => {
    const { plan, id, by } = parseBody(addBody, request.body, WHAT);
    response.status(201).json(await quilts.add(plan, { id, savedBy: by }));
  });
  router.get('/:id', async (request, response) =>
    response.type('json').send(await quilts.getText(request.params.id)),
  );
  router.get('/:id/file', async (request, response) => {
    response.attachment('quilt.plan.json').type('application/json');
    response.send(await quilts.raw(request.params.id));
  });
  router.put('/:id', async (request, response) => {
    const { revision, plan, by } = parseBody(saveBody, request.body, WHAT);
    response.json(await quilts.save(request.params.id, revision, plan, by));
  });
  router.post('/:id/readings', async (request, response) => {
    const why = 'A reading names a block and what it measured: {block, width, height}.';
    const reading = parseBody(readingBody, request.body, why);
    response.status(201).json(await quilts.read(request.params.id, reading));
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
