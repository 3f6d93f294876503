import { createServer, request, type Server } from 'node:http';
import { setTimeout as later } from 'node:timers/promises';
import express from 'express';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { wholeIn } from './patience.js';

const MOST = 300;
let server: Server;
beforeAll(async () => {
  const app = express();
  app.use(wholeIn(MOST, '/large'));
  app.use((asked, answer) => {
    let size = 0;
    asked.on('data', (chunk: Buffer) => (size += chunk.length));
    // A line that stays open long after the request has come whole.
    asked.on('end', () => setTimeout(() => answer.end(String(size)), asked.path === '/line' ? 3 * MOST : 0));
  });
  server = createServer(app).listen(0, '127.0.0.1');
  await new Promise((listening) => server.once('listening', listening));
});
afterAll(() => server.close());

/** Sends parts with a pause before each; what came back, or that the line was cut. */
const sent = (path: string, parts: number, pause: number): Promise<string> =>
  new Promise((resolve) => {
    const { port } = server.address() as { port: number };
    const asked = request({ host: '127.0.0.1', port, path, method: 'POST' }, (answer) => {
      answer.setEncoding('utf8');
      answer.on('data', resolve);
    });
    asked.on('error', () => resolve('cut'));
    asked.flushHeaders();
    void (async () => {
      for (let part = 0; part < parts && !asked.destroyed; part += 1) {
        await later(pause);
        if (!asked.destroyed) asked.write('x'.repeat(100));
      }
      asked.end();
    })();
  });

describe('a request that does not come whole', () => {
  it('is cut off; one that comes in time is answered, however long that takes', async () => {
    expect(await sent('/small', 8, MOST / 3)).toBe('cut');
    expect(await sent('/small', 2, MOST / 6)).toBe('200');
    expect(await sent('/line', 1, 0)).toBe('100');
  });
  it('may take long where much is sent, but must go on coming', async () => {
    expect(await sent('/large', 8, MOST / 3)).toBe('800');
    expect(await sent('/large', 2, 3 * MOST)).toBe('cut');
  });
});
