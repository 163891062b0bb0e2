import { X509Certificate } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { isIP } from 'node:net';
import { join } from 'node:path';
import { generate } from 'selfsigned';
import type { Settings } from '../settings.ts';

/** A certificate and its key, in PEM. */
export interface Certificate {
  readonly cert: string;
  readonly key: string;
}

const DAY_MS = 24 * 60 * 60 * 1000;
/** Phones refuse a certificate of more than 825 days. */
const VALID_DAYS = 800;
/** One that ends sooner is made anew. */
const RENEWED_DAYS = 40;

/** The certificate that the settings ask for; null where it is plain http. Throws in words where files can't be read. */
export async function certificateFor(settings: Settings, names: readonly string[]): Promise<Certificate | null> {
  const { tls, dataFolder } = settings;
  if (tls === null) return null;
  if (tls !== 'made') return { cert: read(tls.certFile), key: read(tls.keyFile) };
  const folder = join(dataFolder, 'tls');
  const [certFile, keyFile] = [join(folder, 'azulejo.crt'), join(folder, 'azulejo.key')];
  if (existsSync(certFile) && existsSync(keyFile)) {
    const kept = { cert: read(certFile), key: read(keyFile) };
    if (isGood(kept.cert, names)) return kept;
  }
  const made = await make(names);
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  writeFileSync(certFile, made.cert, { mode: 0o600 });
  writeFileSync(keyFile, made.key, { mode: 0o600 });
  return made;
}

/** Whether a certificate still holds for a while, for all these names. */
function isGood(cert: string, names: readonly string[]): boolean {
  const known = new X509Certificate(cert);
  const covers = (name: string): boolean => (isIP(name) ? known.checkIP(name) : known.checkHost(name)) !== undefined;
  return Date.parse(known.validTo) > Date.now() + RENEWED_DAYS * DAY_MS && names.every(covers);
}

async function make(names: readonly string[]): Promise<Certificate> {
  const now = Date.now();
  const { cert, private: key } = await generate([{ name: 'commonName', value: 'Azulejo on this machine' }], {
    algorithm: 'sha256',
    keyType: 'ec',
    curve: 'P-256',
    // A phone's clock may be behind.
    notBeforeDate: new Date(now - DAY_MS),
    notAfterDate: new Date(now + VALID_DAYS * DAY_MS),
    extensions: [
      { name: 'basicConstraints', cA: true, critical: true },
      { name: 'keyUsage', digitalSignature: true, keyCertSign: true, critical: true },
      { name: 'extKeyUsage', serverAuth: true },
      {
        name: 'subjectAltName',
        altNames: names.map((name) => (isIP(name) ? { type: 7 as const, ip: name } : { type: 2 as const, value: name })),
      },
    ],
  });
  return { cert, key };
}

function read(file: string): string {
  try {
    return readFileSync(file, 'utf8');
  } catch (error) {
    throw new Error(`expected a certificate or key in PEM: ${file} can't be read`, { cause: error });
  }
}
