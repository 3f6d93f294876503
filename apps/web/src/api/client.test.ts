import { afterEach, describe, expect, it, vi } from 'vitest';
import { doorStore } from './doorStore';
import { ApiProblem, request } from './client';

const answered = (status: number, body: string | null) => new Response(body, { status });
const refused = async (asked: Promise<unknown>) => {
  const error = await asked.then(
    () => undefined,
    (reason: unknown) => reason,
  );
  if (!(error instanceof ApiProblem)) throw new Error('it was answered');
  return error.problem;
};

describe('a request', () => {
  const sent = vi.fn<typeof fetch>();
  const answering = (status: number, body: string | null, first?: Window['firstAnswer']) => {
    sent.mockReset();
    sent.mockImplementation(() => Promise.resolve(answered(status, body)));
    vi.stubGlobal('fetch', sent);
    vi.stubGlobal('window', { firstAnswer: first });
  };
  afterEach(() => {
    vi.unstubAllGlobals();
    doorStore.setState({ locked: false });
  });

  it('sends what it is given as what it is, and gives back what comes', async () => {
    answering(200, '{"id": "a"}');
    expect(await request('GET', 'builds/a')).toEqual({ id: 'a' });
    expect(sent).toHaveBeenLastCalledWith('/api/builds/a', { method: 'GET', keepalive: false });
    await request('PUT', 'builds/a', { name: 'Ä' }, { keepalive: true });
    expect(sent.mock.lastCall![1]).toEqual({
      ...{ method: 'PUT', keepalive: true },
      headers: { 'Content-Type': 'application/json' },
      body: '{"name":"Ä"}',
    });
    await request('POST', 'builds/import', '{"as": "it stands"}');
    expect(sent.mock.lastCall![1]!.body).toBe('{"as": "it stands"}');
    const types = async (type: string) => {
      const blob = new Blob(['x'], { type });
      await request('POST', 'x', blob);
      expect(sent.mock.lastCall![1]!.body).toBe(blob);
      return sent.mock.lastCall![1]!.headers;
    };
    expect(await types('image/jpeg')).toEqual({ 'Content-Type': 'image/jpeg' });
    expect(await types('')).toEqual({ 'Content-Type': 'application/zip' });
    answering(204, null);
    expect(await request('DELETE', 'builds/a')).toBeUndefined();
  });
  it('that is refused says why in the server’s words; else by its number', async () => {
    answering(409, '{"status": 409, "message": "Saved in between."}');
    expect(await refused(request('PUT', 'builds/a', {}))).toEqual({
      status: 409,
      message: 'Saved in between.',
    });
    for (const body of ['<html>', '', '"text"', 'null', '{"error": 1}']) {
      answering(502, body);
      expect(await refused(request('GET', 'builds'))).toEqual({
        status: 502,
        message: 'The server answered 502.',
      });
    }
    sent.mockImplementation(() => Promise.reject(new TypeError('failed')));
    expect(await refused(request('GET', 'builds'))).toEqual({
      status: 0,
      message: 'The server does not answer.',
    });
  });
  it('that wants a passcode locks the door, but for what is asked at the door itself', async () => {
    answering(401, '{"message": "Who is there?"}');
    await refused(request('POST', 'door', {}));
    expect(doorStore.getState().locked).toBe(false);
    await refused(request('GET', 'builds'));
    expect(doorStore.getState().locked).toBe(true);
  });
  it('takes the answer that the page asked for before the application ran, once, and only for that', async () => {
    const first = (path: string, response: Response | undefined) => ({
      path,
      response: Promise.resolve(response),
    });
    answering(200, '"fetched"', first('builds', answered(200, '"early"')));
    expect(await request('GET', 'builds')).toBe('early');
    expect(await request('GET', 'builds')).toBe('fetched');
    answering(200, '"fetched"', first('builds', answered(200, '"early"')));
    expect(await request('GET', 'shop')).toBe('fetched');
    // Another was asked for first: the early one is old by now.
    expect(await request('GET', 'builds')).toBe('fetched');
    answering(200, '"fetched"', first('builds', undefined));
    expect(await request('GET', 'builds')).toBe('fetched');
    answering(200, '"fetched"', first('builds', answered(200, '"early"')));
    expect(await request('POST', 'builds', {})).toBe('fetched');
  });
});
