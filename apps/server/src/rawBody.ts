import express, { type Request, type Response } from 'express';

/** Reads a body as it comes, of any type, up to so many bytes; only once the sender was let in. */
export function rawBody(limit: number): (request: Request, response: Response) => Promise<Buffer> {
  const raw = express.raw({ type: () => true, limit });
  return (request, response) =>
    new Promise((resolve, reject) => {
      raw(request, response, (error?: unknown) => {
        if (error instanceof Error) reject(error);
        else resolve(Buffer.isBuffer(request.body) ? request.body : Buffer.alloc(0));
      });
    });
}
