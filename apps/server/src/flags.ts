import { statSync } from 'node:fs';
import { isIP } from 'node:net';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { makeFolder } from './database/make-folder.ts';
import { stop } from './stop.ts';

/** Everything else is beside this folder: the demo, the built web. */
export const HOUSE = path.resolve(import.meta.dirname, '../../..');

/** How the server is to run, as it was asked on the command line. */
export interface Settings {
  readonly port: number;
  /** Where everything is kept; it is there, and can be written to. */
  readonly data: string;
  readonly demo: boolean;
  readonly web: string;
  /** File to log to; null for the terminal. */
  readonly log: string | null;
  /** How it is shared on the local network; null where it is not. */
  readonly share: {
    readonly port: number;
    readonly passphrase: string | undefined;
    readonly certificate: { readonly cert: string; readonly key: string } | null;
    readonly proxies: readonly string[];
    readonly called: readonly string[];
  } | null;
}

/** Reads the flags; whatever cannot be is said in one line, and ends it. */
export function settingsFrom(args: readonly string[], env: NodeJS.ProcessEnv): Settings {
  const { values } = parseArgs({
    args: [...args],
    options: {
      port: { type: 'string', default: '4173' },
      data: { type: 'string', default: path.join(HOUSE, 'data') },
      demo: { type: 'boolean', default: false },
      web: { type: 'string', default: path.join(HOUSE, 'apps/web/dist') },
      log: { type: 'string' },
      share: { type: 'boolean', default: false },
      'share-port': { type: 'string' },
      passphrase: { type: 'string' },
      cert: { type: 'string' },
      key: { type: 'string' },
      proxy: { type: 'string', multiple: true, default: [] },
      called: { type: 'string', multiple: true, default: [] },
    },
  });
  const port = portOf('port', values.port);
  const { cert, key } = values;
  return {
    port,
    data: dataFolder(values.data),
    demo: values.demo,
    web: values.web,
    log: values.log === undefined ? null : path.resolve(values.log),
    share: values.share
      ? {
          // Beside the first; any port, where that may be any.
          port: portOf('share-port', values['share-port'] ?? (port === 0 ? '0' : String(port + 1))),
          passphrase: values.passphrase ?? env['LATTICE_PASSPHRASE'],
          certificate: cert !== undefined && key !== undefined ? { cert, key } : null,
          proxies: values.proxy.map(addressOf),
          called: values.called,
        }
      : null,
  };
}

/** A port, or one line about it. */
function portOf(flag: string, text: string): number {
  const port = Number(text);
  if (!Number.isInteger(port) || port < 0 || port > 65535)
    stop(`--${flag} ${text}: a port is a whole number from 1 to 65535.`);
  return port;
}

/** An address, or one line about it. */
function addressOf(text: string): string {
  if (isIP(text) === 0) stop(`--proxy ${text}: say the proxy's address, like 192.168.1.5.`);
  return text;
}

/** A folder that is there and can be written to, or one line about it. */
function dataFolder(said: string): string {
  const folder = path.resolve(said);
  const unusable = (): never =>
    stop(`The data folder ${folder} cannot be written to. Choose another with --data DIR.`);
  try {
    makeFolder(folder);
  } catch {
    unusable();
  }
  if (!statSync(folder).isDirectory()) unusable();
  return folder;
}
