import { shopListSchema, shopOrderSchema } from '@lattice/core';
import { Router } from 'express';
import { z } from 'zod';
import { parseBody } from '../parse-body.ts';
import type { ShopHolds } from './shop-holds.ts';

const NO_LIST = 'The shop cannot read this list: each cloth has its name, colour, length and width.';
const NO_ORDER = 'The shop cannot read this order: each line has its bolt and its length.';
const NOT_ASKED = 'Say for which quilt, and with which entry of the log.';

export const asked = z.object({
  quilt: z.string().min(1).max(64),
  entry: z.string().regex(/^[0-9A-Za-z-]{8,64}$/),
});
export const holdBody = asked.extend({ order: shopOrderSchema });

/** The simulated shop over HTTP, as docs/shop.md tells it: what it has for a list, holding an order, letting it go. */
export function shopRoutes(holds: ShopHolds): Router {
  const router = Router();
  router.post('/ask', async (request, response) => {
    response.json(await holds.ask(parseBody(shopListSchema, request.body, NO_LIST)));
  });
  router.post('/holds', async (request, response) => {
    const { order, ...of } = parseBody(holdBody, request.body, NO_ORDER);
    response.status(201).json({ entry: await holds.hold(order, of) });
  });
  router.post('/holds/:number/let-go', async (request, response) => {
    const of = parseBody(asked, request.body, NOT_ASKED);
    response.json({ entry: await holds.letGo(request.params.number, of) });
  });
  return router;
}
