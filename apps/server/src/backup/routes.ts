import { Router } from 'express';
import { Refusal } from '../errors.ts';
import type { Backups } from './backups.ts';

/** Backups over HTTP, for whoever sits at the machine: listed, made, taken away. */
export function backupRoutes(backups: Backups): Router {
  const router = Router();
  router.get('/', (_request, response) => void response.json(backups.list()));
  router.post('/', async (_request, response) => void response.status(201).json(await backups.make()));
  router.get('/:file', (request, response) => {
    const found = backups.find(request.params.file);
    if (!found) throw new Refusal(404, 'no-such-backup', 'There is no such backup.');
    response.download(found, request.params.file, { dotfiles: 'allow' });
  });
  return router;
}
