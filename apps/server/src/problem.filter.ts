import { Catch, HttpException, Logger, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import type { Problem } from '@larchwood/contract';
import type { Response } from 'express';
import { EXIT, troubleOf } from './database/trouble.js';

/** Answers every failure with one shape and in words; the server stays up. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  private readonly logger = new Logger('Request');

  catch(error: unknown, host: ArgumentsHost): void {
    const response = host.switchToHttp().getResponse<Response>();
    const problem = problemOf(error);
    if (problem.status >= 500) this.logger.error(inShort(error));
    response.status(problem.status).json(problem);
  }
}

/** Without what was to be saved: a failed statement carries a whole document. */
function inShort(error: unknown): string {
  const text = error instanceof Error ? (error.stack ?? error.message) : String(error);
  const [, said] = / - ([^\n]*)/.exec(text.length > LONGEST ? text : '') ?? [];
  return said ?? text.slice(0, LONGEST);
}
const LONGEST = 2000;

/** Without the place on the disk: that is for the one who starts the server. */
const SAID: Readonly<Record<number, string>> = {
  [EXIT.full]:
    'The server’s disk is full: nothing was saved. Make room there; what was saved before is safe.',
  [EXIT.readOnly]: 'The workshop’s file cannot be written on the server: nothing was saved.',
  [EXIT.inUse]: 'The workshop’s file is held by another program on the server: nothing was saved. Try again.',
  [EXIT.damaged]:
    'The workshop’s file on the server is damaged. Stop the server and bring a backup back; see docs/operating.md.',
};

function problemOf(error: unknown): Problem {
  if (error instanceof HttpException) {
    const body = error.getResponse();
    const detail = typeof body === 'string' ? { message: body } : (body as { message?: string | string[] });
    const message = Array.isArray(detail.message)
      ? detail.message.join(' ')
      : (detail.message ?? error.message);
    const unread = error.getStatus() === 400 && /\bJSON\b/.test(message);
    return {
      ...pick(detail),
      status: error.getStatus(),
      message: unread ? `The request cannot be read: ${message}` : message,
    };
  }
  const { status, type, limit } = error as { status?: number; type?: string; limit?: number };
  if (type === 'entity.too.large')
    return {
      status: 413,
      message: `That is more than ${sizeText(limit)}, the most that is taken here. Nothing was changed.`,
    };
  if (status !== undefined && status >= 400 && status < 500)
    return { status, message: unreadText(status, type === undefined ? '' : (error as Error).message) };
  const trouble = troubleOf(error);
  if (trouble !== undefined)
    return {
      status: trouble.exitCode === EXIT.full ? 507 : 503,
      message: SAID[trouble.exitCode] ?? SAID[EXIT.damaged]!,
    };
  return { status: 500, message: 'Something went wrong in the server; what was saved before is safe.' };
}

function pick(detail: object): Pick<Problem, 'faults' | 'current' | 'currentItem'> {
  const { faults, current, currentItem } = detail as Partial<Problem>;
  return {
    ...(faults ? { faults } : {}),
    ...(current ? { current } : {}),
    ...(currentItem === undefined ? {} : { currentItem }),
  };
}

/** Of what a library says only what it read in the request: a missing file is told with its place on the disk. */
const unreadText = (status: number, said: string): string =>
  status === 404
    ? 'There is nothing at this address.'
    : said === ''
      ? 'The request cannot be read.'
      : `The request cannot be read: ${said}`;

const MEGABYTE = 1024 * 1024;
const sizeText = (bytes: number | undefined): string =>
  bytes === undefined
    ? 'it may be'
    : bytes >= MEGABYTE
      ? `${Math.round(bytes / MEGABYTE)} MB`
      : `${Math.round(bytes / 1024)} kB`;
