import { randomBytes, scrypt, timingSafeEqual, type ScryptOptions } from 'node:crypto';
import { promisify } from 'node:util';

/** A passcode as it is stored: never itself. */
export interface Hashed {
  readonly salt: string;
  readonly hash: string;
}

/** OWASP Password Storage Cheat Sheet: scrypt with N = 2^15, r = 8, p = 3, some 32 MB. */
const COST: ScryptOptions = { N: 2 ** 15, r: 8, p: 3, maxmem: 64 * 1024 * 1024 };
const derive = promisify<string, Buffer, number, ScryptOptions, Buffer>(scrypt);

export async function hashed(passcode: string): Promise<Hashed> {
  const salt = randomBytes(16);
  const hash = await derive(passcode.normalize('NFC'), salt, 32, COST);
  return { salt: salt.toString('base64url'), hash: hash.toString('base64url') };
}

export async function matches(passcode: string, { salt, hash }: Hashed): Promise<boolean> {
  const found = await derive(passcode.normalize('NFC'), Buffer.from(salt, 'base64url'), 32, COST);
  return timingSafeEqual(found, Buffer.from(hash, 'base64url'));
}
