import { mkdtempSync, rmSync } from 'node:fs';
import { request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { NestExpressApplication } from '@nestjs/platform-express';
import type { StoredBuild } from '@larchwood/contract';
import { createServer, type ServerOptions } from '../server.js';

export interface Answer<T> {
  readonly status: number;
  readonly body: T;
  readonly headers: Readonly<Record<string, string | string[] | undefined>>;
}

/** A server on a file of its own, and calls to it. */
export class Serving {
  readonly folder = mkdtempSync(join(tmpdir(), 'larchwood-server-'));
  readonly databaseFile = join(this.folder, 'shop.sqlite');
  app!: NestExpressApplication;
  port!: number;
  /** Headers of every call, as a cookie. */
  headers: Record<string, string> = {};

  constructor(private readonly options: Partial<ServerOptions> = {}) {}

  start = async (): Promise<void> => {
    this.app = await createServer({ databaseFile: this.databaseFile, ...this.options });
    await this.app.listen(0, this.options.place?.host ?? '127.0.0.1');
    this.port = Number(new URL(await this.app.getUrl()).port);
  };
  stop = (): Promise<void> => this.app.close();
  end = async (): Promise<void> => {
    await this.stop();
    rmSync(this.folder, { recursive: true });
  };

  /** Over a plain socket, so that any header and path can be sent. @throws Error when the line breaks */
  call = <T>(
    method: string,
    path: string,
    body?: unknown,
    headers: Record<string, string> = {},
  ): Promise<Answer<T>> =>
    new Promise((resolve, reject) => {
      const text =
        body === undefined || typeof body === 'string' || Buffer.isBuffer(body) ? body : JSON.stringify(body);
      const sent = request(
        {
          ...{ host: this.options.place?.host ?? '127.0.0.1', port: this.port, method, path: `/api/${path}` },
          agent: false,
          headers: {
            ...(text === undefined
              ? {}
              : { 'Content-Type': 'application/json', 'Content-Length': Buffer.byteLength(text) }),
            ...this.headers,
            ...headers,
          },
        },
        (response) => {
          const chunks: Buffer[] = [];
          response.on('data', (chunk: Buffer) => chunks.push(chunk));
          response.on('error', reject);
          response.on('end', () =>
            resolve({
              status: response.statusCode!,
              headers: response.headers,
              body: read(Buffer.concat(chunks), response.headers['content-type']) as T,
            }),
          );
        },
      );
      sent.on('error', reject);
      sent.end(text);
    });

  make = async (name: string): Promise<StoredBuild> =>
    (await this.call<StoredBuild>('POST', 'builds', { name, kind: 'bicycle', startingSet: 'road' })).body;
}

function read(bytes: Buffer, type = ''): unknown {
  if (bytes.length === 0) return undefined;
  return type.includes('json') ? (JSON.parse(bytes.toString('utf8')) as unknown) : bytes;
}
