import { Catch, HttpException, Logger, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import type { Problem } from '@larchwood/contract';
import type { Response } from 'express';

/** Answers every failure with one shape and in words; the server stays up. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  private readonly logger = new Logger('Request');

  catch(error: unknown, host: ArgumentsHost): void {
    const response = host.switchToHttp().getResponse<Response>();
    const problem = problemOf(error);
    if (problem.status >= 500) this.logger.error(error instanceof Error ? error.stack : String(error));
    response.status(problem.status).json(problem);
  }
}

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
  const { status, type } = error as { status?: number; type?: string };
  if (type === 'entity.too.large')
    return {
      status: 413,
      message: 'That is more than 4 MB; a build is never that large. Nothing was changed.',
    };
  if (status !== undefined && status >= 400 && status < 500)
    return { status, message: `The request cannot be read: ${(error as Error).message}` };
  return { status: 500, message: 'Something went wrong in the server; what was saved before is safe.' };
}

function pick(detail: object): Pick<Problem, 'faults' | 'current'> {
  const { faults, current } = detail as Partial<Problem>;
  return { ...(faults ? { faults } : {}), ...(current ? { current } : {}) };
}
