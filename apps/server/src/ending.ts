import type { Server } from 'node:http';
import { Injectable, type BeforeApplicationShutdown } from '@nestjs/common';
import { HttpAdapterHost } from '@nestjs/core';

/** What is under way at a stop may come to its end within this; ms. */
const GRACE = 3000;

/** A stop waits for nobody for ever: who sends half a request, or holds a line open, is cut off. */
@Injectable()
export class Ending implements BeforeApplicationShutdown {
  constructor(private readonly host: HttpAdapterHost) {}

  beforeApplicationShutdown(): void {
    const server = this.host.httpAdapter.getHttpServer() as Server;
    server.closeIdleConnections();
    setTimeout(() => server.closeAllConnections(), GRACE).unref();
  }
}
