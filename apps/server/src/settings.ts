import { readFileSync } from 'node:fs';
import { isIP } from 'node:net';
import { DatabaseTrouble, EXIT } from './database/trouble.js';

/** How the server was told to run. */
export interface Settings {
  readonly port: number;
  /** Address it listens at. */
  readonly host: string;
  /** Reached from other machines, or from another address of this one: everybody needs a passcode. */
  readonly open: boolean;
  /** Names besides its addresses under which it is reached. */
  readonly names: readonly string[];
  /** Given certificate and key, or one of its own making. */
  /** So many seconds are a day to the stand-in for a cutting service. */
  readonly cuttingDay: number;
  readonly tls: { readonly cert: string; readonly key: string } | 'self' | undefined;
}

export const HERE = '127.0.0.1';
/** Seconds: an order is through in a minute or so. */
export const CUTTING_DAY = 10;
const usage = (message: string) => new DatabaseTrouble(message, EXIT.usage);

/**
 * Reads the settings from the environment: LARCHWOOD_PORT, LARCHWOOD_HOST, LARCHWOOD_NAMES, LARCHWOOD_CUTTING_DAY, and LARCHWOOD_TLS (`self`) or
 * LARCHWOOD_TLS_CERT and LARCHWOOD_TLS_KEY (files).
 * @throws DatabaseTrouble in words, with the exit code of a wrong call
 */
export function readSettings(env: Readonly<Record<string, string | undefined>>): Settings {
  const host = env.LARCHWOOD_HOST ?? HERE;
  if (isIP(host) === 0)
    throw usage(
      `LARCHWOOD_HOST is “${host}”: give an address of this machine, as 192.168.1.20, or 0.0.0.0 for all of them.`,
    );
  return {
    port: portOf(env.LARCHWOOD_PORT),
    host,
    open: host !== HERE && host !== '::1',
    names: (env.LARCHWOOD_NAMES ?? '')
      .split(',')
      .map((name) => name.trim().toLowerCase())
      .filter(Boolean),
    cuttingDay: dayOf(env.LARCHWOOD_CUTTING_DAY),
    tls: tlsOf(env),
  };
}

function portOf(text = '4173'): number {
  const port = /^\d{1,5}$/.test(text) ? Number(text) : NaN;
  if (!(port >= 1 && port <= 65535))
    throw usage(
      `LARCHWOOD_PORT is “${text}”: give a whole number from 1 to 65535, or leave it out for 4173.`,
    );
  return port;
}

function dayOf(text = String(CUTTING_DAY)): number {
  const seconds = /^\d{1,5}(\.\d{1,3})?$/.test(text) ? Number(text) : NaN;
  if (!(seconds > 0 && seconds <= 86400))
    throw usage(
      `LARCHWOOD_CUTTING_DAY is “${text}”: give seconds from 0.001 to 86400, or leave it out for ${CUTTING_DAY}.`,
    );
  return seconds;
}

function tlsOf(env: Readonly<Record<string, string | undefined>>): Settings['tls'] {
  const { LARCHWOOD_TLS: own, LARCHWOOD_TLS_CERT: cert, LARCHWOOD_TLS_KEY: key } = env;
  if (cert !== undefined && key !== undefined) return { cert: read(cert), key: read(key) };
  if (cert !== undefined || key !== undefined)
    throw usage('Give both LARCHWOOD_TLS_CERT and LARCHWOOD_TLS_KEY, or neither.');
  if (own === undefined || own === '') return undefined;
  if (own !== 'self') throw usage(`LARCHWOOD_TLS is “${own}”: only “self” is known.`);
  return 'self';
}

function read(file: string): string {
  try {
    return readFileSync(file, 'utf8');
  } catch {
    throw usage(`${file} cannot be read.`);
  }
}
