import { X509Certificate } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { hostname } from 'node:os';
import { join } from 'node:path';
import { ownAddresses } from './own-addresses';

export interface Certificate {
  key: string;
  cert: string;
  /** SHA-256 of the certificate, in pairs: what a screen can compare it by */
  fingerprint: string;
}

const dayMs = 86_400_000;
/** As long as browsers accept a certificate at most [published: the rule of the browsers' forum since 2018]. */
const validDays = 825;
/** It is made anew when less than this is left. */
const leastDays = 30;

/** The certificate of this house, made by itself at first use and kept in the data folder. */
export async function houseCertificate(folder: string, nowMs: number): Promise<Certificate> {
  const [keyFile, certFile] = [join(folder, 'house.key'), join(folder, 'house.crt')];
  if (existsSync(keyFile) && existsSync(certFile)) {
    const [key, cert] = [readFileSync(keyFile, 'utf8'), readFileSync(certFile, 'utf8')];
    const x509 = new X509Certificate(cert);
    if (Date.parse(x509.validTo) - nowMs > leastDays * dayMs) return { key, cert, fingerprint: x509.fingerprint256 };
  }
  const name = hostname().toLowerCase();
  // Only a house that is let in needs it: elsewhere it would only take memory.
  const { generate } = await import('selfsigned');
  const made = await generate([{ name: 'commonName', value: name }], {
    keyType: 'ec',
    algorithm: 'sha256',
    notBeforeDate: new Date(nowMs - dayMs),
    notAfterDate: new Date(nowMs + (validDays - 1) * dayMs),
    extensions: [
      { name: 'basicConstraints', cA: false },
      { name: 'keyUsage', digitalSignature: true },
      { name: 'extKeyUsage', serverAuth: true },
      {
        name: 'subjectAltName',
        altNames: [
          ...[name, `${name}.local`, 'localhost'].map((value) => ({ type: 2 as const, value })),
          ...ownAddresses().map((ip) => ({ type: 7 as const, ip })),
        ],
      },
    ],
  });
  writeFileSync(keyFile, made.private, { mode: 0o600 });
  writeFileSync(certFile, made.cert);
  return { key: made.private, cert: made.cert, fingerprint: new X509Certificate(made.cert).fingerprint256 };
}
