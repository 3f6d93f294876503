import type { Problem } from '@larchwood/contract';
import { doorStore } from './doorStore';

/** A refusal from the server, or no answer at all (status 0), in words. */
export class ApiProblem extends Error {
  constructor(readonly problem: Problem) {
    super(problem.message);
  }
}

/**
 * One request to the API; JSON in, JSON out. @throws ApiProblem
 * @param options `keepalive`: goes on when the page is left
 */
export async function request<T>(
  method: string,
  path: string,
  body?: unknown,
  { keepalive = false }: { readonly keepalive?: boolean } = {},
): Promise<T> {
  let response: Response;
  try {
    response =
      (method === 'GET' && (await firstAnswer(path))) ||
      (await fetch(`/api/${path}`, {
        method,
        keepalive,
        ...(body === undefined
          ? {}
          : {
              headers: {
                'Content-Type': body instanceof Blob ? typeOf(body) : 'application/json',
              },
              body: typeof body === 'string' || body instanceof Blob ? body : JSON.stringify(body),
            }),
      }));
  } catch {
    throw new ApiProblem({ status: 0, message: 'The server does not answer.' });
  }
  const text = await response.text();
  const value = parsed(text);
  if (response.ok) return value as T;
  if (response.status === 401 && path !== 'door') doorStore.setState({ locked: true });
  throw new ApiProblem(
    isProblem(value)
      ? value
      : { status: response.status, message: `The server answered ${response.status}.` },
  );
}

/** A picture says what it is; all else that is sent whole is a zip. */
const typeOf = ({ type }: Blob): string => (type.startsWith('image/') ? type : 'application/zip');

declare global {
  interface Window {
    /** The page itself asks for its first view's data; see index.html. */
    firstAnswer?: { readonly path: string; readonly response: Promise<Response | undefined> };
  }
}

/** The answer that was asked for before the application ran; good for one use. */
async function firstAnswer(path: string): Promise<Response | undefined> {
  const { firstAnswer: first } = window;
  delete window.firstAnswer;
  return first?.path === path ? first.response : undefined;
}

function parsed(text: string): unknown {
  if (text === '') return undefined;
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

const isProblem = (value: unknown): value is Problem =>
  typeof value === 'object' && value !== null && 'message' in value;
