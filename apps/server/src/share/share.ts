import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { createServer, type Server } from 'node:https';
import { hostname, networkInterfaces } from 'node:os';
import path from 'node:path';
import type { Express } from 'express';
import type { Knex } from 'knex';
import { toString as qrCode } from 'qrcode';
import { nameOf } from '../gate/gate.ts';
import type { Surroundings } from '../surroundings.ts';
import { stop } from '../stop.ts';
import { type Certificate, fingerprintOf, ownCertificate } from './certificate.ts';
import { behindDoor } from './door.ts';
import { Links } from './links.ts';
import { keepPassphrase, newPassphrase, signOf } from './secrets.ts';

export interface ShareOptions {
  readonly app: Parameters<typeof createServer>[1] & {};
  readonly knex: Knex;
  readonly outside: Surroundings;
  /** Where the certificate and the key of sessions are kept. */
  readonly folder: string;
  readonly port: number;
  /** Absent for one made on the spot. */
  readonly passphrase: string | undefined;
  /** Where a proxy stands before it, and by what name it is called there; empty without one. */
  readonly proxies: readonly string[];
  readonly called: readonly string[];
  /** Files of one that is given; null for one made on the spot. */
  readonly certificate: Certificate | null;
  readonly report: (fault: object) => void;
}

/** The app on the local network. */
export interface Shared {
  readonly server: Server;
  readonly address: string;
  /** What to tell whoever started it: address, passphrase, how to know the certificate. */
  readonly says: string;
}

const LEAST_PASSPHRASE = 8;

/** Addresses of this machine on the local network, and its name there. */
function namesOnNetwork(): string[] {
  const addresses = Object.values(networkInterfaces())
    .flatMap((list) => list ?? [])
    .filter(({ internal, family }) => !internal && family === 'IPv4')
    .map(({ address }) => address);
  const own = hostname().toLowerCase();
  return [...addresses, own, `${own}.local`];
}

/** Opens the app to the local network, encrypted and behind a passphrase; what listens on this machine stays as it is. */
export async function share(options: ShareOptions): Promise<Shared> {
  const { app, knex, outside, folder, port, report } = options;
  const passphrase = options.passphrase ?? newPassphrase();
  if (passphrase.trim().length < LEAST_PASSPHRASE)
    stop(`The passphrase is too short: at least ${LEAST_PASSPHRASE} letters, better some words.`);
  const names = namesOnNetwork();
  const certificate = options.certificate
    ? given(options.certificate)
    : await ownCertificate(path.join(folder, 'certificate'), names, outside.now());
  const key = sessionKey(path.join(folder, 'session.key'));
  const known = new Set([...names, ...options.called.map(nameOf), 'localhost', '127.0.0.1']);
  const door = behindDoor(app as Express, {
    passphrase: await keepPassphrase(passphrase),
    key,
    sign: signOf(passphrase, key),
    links: new Links(knex, outside),
    isOurs: (name) => known.has(nameOf(name)),
    proxies: options.proxies,
    report,
  });
  const server = createServer({ ...certificate, connectionsCheckingInterval: 5_000 }, door);
  server.headersTimeout = 10_000;
  server.requestTimeout = 120_000;
  await new Promise<void>((resolve) => {
    server.once('error', (error: NodeJS.ErrnoException) =>
      stop(
        `The local network cannot be reached at port ${port}: ${error.code}. Choose another with --share-port N.`,
      ),
    );
    server.listen(port, '0.0.0.0', resolve);
  });
  const at = server.address();
  const address = `https://${names[0]}:${typeof at === 'object' && at ? at.port : port}/`;
  return { server, address, says: await saysOf(address, passphrase, certificate, options) };
}

async function saysOf(
  address: string,
  passphrase: string,
  certificate: Certificate,
  options: ShareOptions,
): Promise<string> {
  const lines = [
    `On your local network it is at ${address}`,
    // In a terminal with its own black and white, so that it can be scanned whatever the terminal’s colours are.
    await qrCode(address, process.stdout.isTTY ? { type: 'terminal', small: true } : { type: 'utf8' }),
    options.passphrase === undefined ? `Passphrase: ${passphrase}` : 'Passphrase: the one you gave',
  ];
  if (!options.certificate)
    lines.push(
      'Its certificate was made here, so each browser asks once whether to trust it. Its print:',
      fingerprintOf(certificate),
    );
  return lines.join('\n');
}

function given({ cert, key }: Certificate): Certificate {
  for (const file of [cert, key]) if (!existsSync(file)) stop(`There is no file ${file}.`);
  return { cert: readFileSync(cert, 'utf8'), key: readFileSync(key, 'utf8') };
}

/** What signs sessions, so that they outlive a restart. */
function sessionKey(file: string): string {
  if (!existsSync(file)) writeFileSync(file, randomBytes(32).toString('base64url'), { mode: 0o600 });
  return readFileSync(file, 'utf8');
}
