import { Refusal } from '../errors.ts';
import type { Handlers } from '../serve/handler.ts';
import type { Backups } from './backups.ts';

/** What of them backups over HTTP need. */
type Kept = Pick<Backups, 'list' | 'make' | 'find'>;

/** A house without any: in tests that are not about them. */
export const NO_BACKUPS: Kept = {
  list: () => [],
  make: () => Promise.reject(new Refusal('no-such-backup', 'No backups are kept here.')),
  find: () => null,
};

/** Backups over HTTP, for whoever sits at the machine: listed, made, taken away. */
export const backupHandlers = (backups: Kept): Handlers<'listBackups' | 'makeBackup' | 'backup'> => ({
  listBackups: () => backups.list(),
  makeBackup: () => backups.make(),
  backup({ params, response }) {
    const found = backups.find(params.file);
    if (!found) throw new Refusal('no-such-backup', 'There is no such backup.');
    return new Promise<void>((resolve, reject) =>
      response.download(found, params.file, { dotfiles: 'allow' }, (error) =>
        error && !response.headersSent ? reject(error) : resolve(),
      ),
    );
  },
});
