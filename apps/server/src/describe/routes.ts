import { planSchema } from '@lattice/core';
import { Router } from 'express';
import { openApi } from './openapi.ts';
import { describePage } from './page.ts';

/** What the server can be asked: as a page, for programs, and what a plan is. */
export function describeRoutes(): Router {
  const router = Router();
  router.get('/', (request, response) => {
    response.type('html').send(describePage(`${request.protocol}://${request.headers.host ?? 'localhost'}`));
  });
  router.get('/openapi.json', (_request, response) => void response.json(openApi()));
  router.get('/schema/plan.json', (_request, response) => {
    response.type('application/schema+json').send(JSON.stringify(planSchema(), null, 2));
  });
  return router;
}
