import { hostname, networkInterfaces } from 'node:os';
import type { NextFunction, Request, Response } from 'express';
import type { Problem } from '@larchwood/contract';

/** Where a server is reached. */
export interface Place {
  readonly host: string;
  readonly open: boolean;
  readonly names: readonly string[];
}

/** Addresses of this machine that others reach, without the local ones. */
export const addressesOf = ({ host }: Pick<Place, 'host'>): string[] =>
  host === '0.0.0.0' || host === '::'
    ? Object.values(networkInterfaces())
        .flatMap((all) => all ?? [])
        .filter(({ internal, family }) => !internal && family === 'IPv4')
        .map(({ address }) => address)
    : [host];

/**
 * Refuses what was not meant for this server: a request under a name that is not its own (a page elsewhere that had its name
 * pointed here), and a call from a page of another site.
 */
export function ownCallsOnly(place: Place) {
  return (request: Request, response: Response, next: NextFunction): void => {
    const refusal = refusalOf(place, request);
    if (refusal === undefined) next();
    else response.status(403).json({ status: 403, message: refusal } satisfies Problem);
  };
}

function refusalOf(place: Place, { headers, method }: Request): string | undefined {
  const host = headers.host ?? '';
  if (!isOwn(place, nameOf(`http://${host}`)))
    return 'This server is not known by that name. Open it by its address, or name it in LARCHWOOD_NAMES.';
  const { origin, 'sec-fetch-site': site, 'sec-fetch-mode': mode } = headers;
  if (origin !== undefined && hostOf(origin) !== host.toLowerCase())
    return 'Calls from another site are refused.';
  if (site === 'cross-site' && !(method === 'GET' && mode === 'navigate'))
    return 'Calls from another site are refused.';
  return undefined;
}

function isOwn(place: Place, name: string | undefined): boolean {
  if (name === undefined) return false;
  if (['localhost', '127.0.0.1', '[::1]'].includes(name)) return true;
  if (!place.open) return false;
  const machine = hostname().toLowerCase();
  // Asked anew, as addresses come and go.
  const addresses = [place.host, ...addressesOf({ host: '0.0.0.0' })];
  return [...place.names, machine, `${machine}.local`, ...addresses].includes(name);
}

const urlOf = (text: string): URL | undefined => (URL.canParse(text) ? new URL(text) : undefined);
const nameOf = (text: string): string | undefined => urlOf(text)?.hostname.toLowerCase();
/** Host and port, as a Host header gives them; the port is left out where it is the usual one. */
const hostOf = (origin: string): string | undefined => urlOf(origin)?.host.toLowerCase();
