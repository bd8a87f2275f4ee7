import { X509Certificate } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { generate } from 'selfsigned';
import { makeFolder } from '../database/make-folder.ts';

/** A certificate and its key, as texts. */
export interface Certificate {
  readonly cert: string;
  readonly key: string;
}

const LASTS_DAYS = 365;
/** Made anew when it has less than this left. */
const LEFT_MS = 30 * 24 * 3600 * 1000;

/** The first bytes of a certificate's print, as browsers show it. */
export const fingerprintOf = ({ cert }: Certificate): string => new X509Certificate(cert).fingerprint256;

/**
 * A certificate made on the spot for these names, kept in `folder` so that whoever trusted it once need not again; made
 * anew when it has another name to stand for, or runs out.
 */
export async function ownCertificate(
  folder: string,
  names: readonly string[],
  now: Date,
): Promise<Certificate> {
  const [certFile, keyFile] = [path.join(folder, 'cert.pem'), path.join(folder, 'key.pem')];
  if (existsSync(certFile) && existsSync(keyFile)) {
    const kept = { cert: readFileSync(certFile, 'utf8'), key: readFileSync(keyFile, 'utf8') };
    if (standsFor(kept, names, now)) return kept;
  }
  const { cert, private: key } = await generate([{ name: 'commonName', value: 'Dapper Lattice at home' }], {
    keyType: 'ec',
    algorithm: 'sha256',
    notBeforeDate: now,
    notAfterDate: new Date(now.getTime() + LASTS_DAYS * 24 * 3600 * 1000),
    extensions: [
      { name: 'basicConstraints', cA: false },
      { name: 'keyUsage', digitalSignature: true },
      { name: 'extKeyUsage', serverAuth: true },
      { name: 'subjectAltName', altNames: names.map(altName) },
    ],
  });
  makeFolder(folder);
  writeFileSync(certFile, cert, { mode: 0o600 });
  writeFileSync(keyFile, key, { mode: 0o600 });
  return { cert, key };
}

const isAddress = (name: string) => /^[\d.]+$|:/.test(name);
const altName = (name: string) =>
  isAddress(name) ? { type: 7 as const, ip: name } : { type: 2 as const, value: name };

function standsFor({ cert }: Certificate, names: readonly string[], now: Date): boolean {
  const known = new X509Certificate(cert);
  const stands = names.every(
    (name) => (isAddress(name) ? known.checkIP(name) : known.checkHost(name)) !== undefined,
  );
  return stands && new Date(known.validTo).getTime() - now.getTime() > LEFT_MS;
}
