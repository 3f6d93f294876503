import 'reflect-metadata';
import { existsSync } from 'node:fs';
import type { Server } from 'node:http';
import { join } from 'node:path';
import { MikroORM, RequestContext } from '@mikro-orm/core';
import { ValidationPipe } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import cookieParser from 'cookie-parser';
import express, { type NextFunction, type Request, type Response } from 'express';
import { LARGEST_DOCUMENT } from '@larchwood/format';
import { AppModule } from './app.module.js';
import { prepare } from './database/prepare.js';
import { DatabaseTrouble, EXIT } from './database/trouble.js';
import type { Certificate } from './door/certificate.js';
import { DoorService } from './door/door.service.js';
import { modellerHeaders, safeHeaders } from './door/headers.js';
import { wholeIn } from './door/patience.js';
import { addressesOf, ownCallsOnly, type Place } from './door/places.js';
import { ProblemFilter } from './problem.filter.js';
import { CUTTING_DAY, HERE } from './settings.js';

export interface ServerOptions {
  readonly databaseFile: string;
  /** Folder of the built web application; left out, only the API is served. */
  readonly webFolder?: string;
  /** Where it listens and by whom it is reached; left out, this machine alone. */
  readonly place?: Place;
  readonly certificate?: Certificate;
  /** So many seconds are a day to the stand-in for a cutting service. */
  readonly cuttingDay?: number;
}

const ALONE: Place = { host: HERE, open: false, names: [] };
/** A request's head, and all of it, must have come within so long; of a whole workshop, its next part; ms. */
const PATIENCE = { head: 10_000, whole: 30_000 } as const;
/** No request needs more levels of lists and objects; a build has some ten. */
const DEEPEST = 60;

/**
 * Builds the application with its database held, checked and brought up to date; the caller listens.
 * @throws DatabaseTrouble in words, when the database cannot be used as it is
 */
export async function createServer(options: ServerOptions): Promise<NestExpressApplication> {
  const { databaseFile, webFolder, place = ALONE, certificate, cuttingDay = CUTTING_DAY } = options;
  const lock = prepare(databaseFile);
  try {
    const addresses = (): string[] => addressesOfServer(app, place, certificate !== undefined);
    const app = await NestFactory.create<NestExpressApplication>(
      AppModule.on({ databaseFile, lock, open: place.open, addresses, cuttingDay }),
      {
        logger: ['warn', 'error'],
        bodyParser: false,
        abortOnError: false,
        ...(certificate ? { httpsOptions: { cert: certificate.cert, key: certificate.key } } : {}),
      },
    );
    app.disable('x-powered-by');
    app.use(
      safeHeaders(certificate !== undefined),
      ownCallsOnly(place),
      wholeIn(PATIENCE.whole, '/api/workshop/zip'),
      cookieParser(),
    );
    app.useBodyParser('json', { limit: LARGEST_DOCUMENT, verify: notTooDeep });
    app.useGlobalPipes(new ValidationPipe({ whitelist: true, forbidNonWhitelisted: true, transform: true }));
    app.useGlobalFilters(new ProblemFilter());
    app.enableShutdownHooks(['SIGTERM', 'SIGINT'], { useProcessExit: true });
    if (webFolder !== undefined && existsSync(webFolder)) serveWeb(app, webFolder);
    const server = app.getHttpServer() as Server;
    server.headersTimeout = PATIENCE.head;
    // Counted by `wholeIn`: a whole workshop takes as long as it goes on coming.
    server.requestTimeout = 0;
    await app.get(MikroORM).getMigrator().up();
    if (place.open) await needsPasscode(app);
    return app;
  } catch (error) {
    lock.release();
    throw error;
  }
}

/** The door is not opened before somebody can be kept out. */
async function needsPasscode(app: NestExpressApplication): Promise<void> {
  const roles = await RequestContext.create(app.get(MikroORM).em, () => app.get(DoorService).roles());
  if (roles.includes('builder')) return;
  await app.close();
  throw new DatabaseTrouble(
    'To open Larchwood to the network, set a builder’s passcode first: `npm run passcode -- builder`, or in the workshop under “Keeping and sharing”.',
    EXIT.usage,
  );
}

function addressesOfServer(app: NestExpressApplication, place: Place, encrypted: boolean): string[] {
  const bound = (app.getHttpServer() as Server).address();
  if (!place.open || bound === null || typeof bound === 'string') return [];
  return addressesOf(place).map((host) => `${encrypted ? 'https' : 'http'}://${host}:${bound.port}`);
}

/** @throws Error, answered with 400, when lists and objects stand in each other without end */
function notTooDeep(_: unknown, __: unknown, body: Buffer): void {
  let depth = 0;
  let quoted = false;
  for (let at = 0; at < body.length; at += 1) {
    const character = body[at];
    if (quoted) {
      if (character === BACKSLASH) at += 1;
      else if (character === QUOTE) quoted = false;
    } else if (character === QUOTE) quoted = true;
    else if (OPENING.has(character!)) depth += 1;
    else if (CLOSING.has(character!)) depth -= 1;
    if (depth > DEEPEST) throw Object.assign(new Error(`more than ${DEEPEST} levels deep.`), { status: 400 });
  }
}
const [QUOTE, BACKSLASH] = [0x22, 0x5c];
const OPENING = new Set([0x5b, 0x7b]);
const CLOSING = new Set([0x5d, 0x7d]);

/** Hashed assets may be kept for good; every page outside /api is the application's index. */
function serveWeb(app: NestExpressApplication, folder: string): void {
  app.use(
    '/assets',
    express.static(join(folder, 'assets'), {
      ...{ immutable: true, maxAge: '1y', fallthrough: false },
      setHeaders: modellerHeaders,
    }),
  );
  app.use(express.static(folder, { index: false }));
  app.use((request: Request, response: Response, next: NextFunction) => {
    const page = request.method === 'GET' && !request.path.startsWith('/api') && request.accepts('html');
    if (page) response.setHeader('Cache-Control', 'no-cache').sendFile(join(folder, 'index.html'));
    else next();
  });
}
