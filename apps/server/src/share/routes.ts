import { Router } from 'express';
import { toString as qrCode } from 'qrcode';
import { z } from 'zod';
import { parseBody } from '../parse-body.ts';
import type { Links } from './links.ts';

export const makeBody = z.strictObject({
  name: z.string().trim().min(1).max(60),
  may: z.enum(['view', 'edit']),
});

/** Links over HTTP, for whoever sits at the machine. `address` is the app's on the local network; null while it is not shared. */
export function linkRoutes(links: Links, address: () => string | null): Router {
  const router = Router();
  router.get('/', async (_request, response) => {
    response.json({ address: address(), links: await links.list() });
  });
  router.post('/', async (request, response) => {
    const { name, may } = parseBody(
      makeBody,
      request.body,
      'Say whom the link is for, and what it lets them do.',
    );
    const { secret, ...link } = await links.make(name, may);
    const url = `${address() ?? ''}#come-in=${secret}`;
    const qr = await qrCode(url, { type: 'svg', margin: 1 });
    response.status(201).json({ ...link, url, qr });
  });
  router.delete('/:id', async (request, response) => {
    await links.takeBack(request.params.id);
    response.status(204).end();
  });
  return router;
}
