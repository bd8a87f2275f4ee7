import { planSchema } from '@lattice/core';
import { Router } from 'express';
import type { Handlers } from '../serve/handler.ts';
import { openApi } from './openapi.ts';
import { describePage } from './page.ts';

/** What the server can be asked: as a page, and for programs. */
export function describeRoutes(): Router {
  const router = Router();
  router.get('/', (request, response) => {
    response.type('html').send(describePage(`${request.protocol}://${request.headers.host ?? 'localhost'}`));
  });
  router.get('/openapi.json', (_request, response) => void response.json(openApi()));
  return router;
}

/** What a plan is. */
export const schemaHandlers: Handlers<'planSchema'> = {
  planSchema({ response }) {
    response.type('application/schema+json').send(JSON.stringify(planSchema(), null, 2));
  },
};
