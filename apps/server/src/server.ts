import 'reflect-metadata';
import { existsSync, mkdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { MikroORM } from '@mikro-orm/core';
import { ValidationPipe } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import express, { type NextFunction, type Request, type Response } from 'express';
import { LARGEST_DOCUMENT } from '@larchwood/format';
import { AppModule } from './app.module.js';
import { ProblemFilter } from './problem.filter.js';

export interface ServerOptions {
  readonly databaseFile: string;
  /** Folder of the built web application; left out, only the API is served. */
  readonly webFolder?: string;
}

/** Builds the application with its database brought up to date; the caller listens. */
export async function createServer(options: ServerOptions): Promise<NestExpressApplication> {
  mkdirSync(dirname(options.databaseFile), { recursive: true });
  const app = await NestFactory.create<NestExpressApplication>(AppModule.on(options.databaseFile), {
    logger: ['warn', 'error'],
    bodyParser: false,
  });
  app.useBodyParser('json', { limit: LARGEST_DOCUMENT });
  app.useGlobalPipes(new ValidationPipe({ whitelist: true, forbidNonWhitelisted: true, transform: true }));
  app.useGlobalFilters(new ProblemFilter());
  app.enableShutdownHooks(['SIGTERM', 'SIGINT'], { useProcessExit: true });
  if (options.webFolder !== undefined && existsSync(options.webFolder)) serveWeb(app, options.webFolder);
  await app.get(MikroORM).getMigrator().up();
  return app;
}

/** Hashed assets may be kept for good; every page outside /api is the application's index. */
function serveWeb(app: NestExpressApplication, folder: string): void {
  app.use(
    '/assets',
    express.static(join(folder, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }),
  );
  app.use(express.static(folder, { index: false }));
  app.use((request: Request, response: Response, next: NextFunction) => {
    const page = request.method === 'GET' && !request.path.startsWith('/api') && request.accepts('html');
    if (page) response.setHeader('Cache-Control', 'no-cache').sendFile(join(folder, 'index.html'));
    else next();
  });
}
