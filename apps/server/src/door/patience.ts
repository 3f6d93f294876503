import type { NextFunction, Request, Response } from 'express';

/**
 * Cuts a request off that has not come whole within so long: a slow one must not hold a line for ever.
 * @param most ms
 * @param large a path whose requests may take longer, as long as some of them comes within that time
 */
export const wholeIn =
  (most: number, large: string) =>
  (request: Request, _: Response, next: NextFunction): void => {
    const { socket } = request;
    let seen = socket.bytesRead;
    const timer = setInterval(() => {
      const comes = request.path === large && socket.bytesRead > seen;
      seen = socket.bytesRead;
      if (request.complete || comes) return;
      clearInterval(timer);
      request.destroy();
    }, most).unref();
    request.once('close', () => clearInterval(timer));
    next();
  };
