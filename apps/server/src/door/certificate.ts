import { X509Certificate } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { hostname } from 'node:os';
import { dirname, join } from 'node:path';
import { generate } from 'selfsigned';
import { addressesOf } from './places.js';

export interface Certificate {
  readonly cert: string;
  readonly key: string;
}
const YEARS = 2;

/**
 * The server's own certificate, made once and kept beside the workshop's file until it runs out. No authority vouches for it:
 * every browser asks once whether to trust it.
 */
export async function ownCertificate(databaseFile: string, now = new Date()): Promise<Certificate> {
  const folder = dirname(databaseFile);
  const files = { cert: join(folder, 'certificate.pem'), key: join(folder, 'certificate-key.pem') };
  if (existsSync(files.cert) && existsSync(files.key)) {
    const kept = { cert: readFileSync(files.cert, 'utf8'), key: readFileSync(files.key, 'utf8') };
    if (new Date(new X509Certificate(kept.cert).validTo) > now) return kept;
  }
  const name = hostname();
  const end = new Date(now);
  end.setFullYear(end.getFullYear() + YEARS);
  const made = await generate([{ name: 'commonName', value: name }], {
    ...{ keyType: 'ec', curve: 'P-256', algorithm: 'sha256', notBeforeDate: now, notAfterDate: end },
    extensions: [
      {
        name: 'subjectAltName',
        altNames: [
          { type: 2, value: name },
          { type: 2, value: 'localhost' },
          ...['127.0.0.1', ...addressesOf({ host: '0.0.0.0' })].map((ip) => ({ type: 7 as const, ip })),
        ],
      },
    ],
  });
  writeFileSync(files.key, made.private, { mode: 0o600 });
  writeFileSync(files.cert, made.cert);
  return { cert: made.cert, key: made.private };
}
