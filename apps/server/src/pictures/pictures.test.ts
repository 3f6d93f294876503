import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { LARGEST_PICTURE, type Problem, type TakenIn } from '@larchwood/contract';
import { ThinningService } from '../keeping/thinning.service.js';
import { Serving } from '../testing/serving.js';

const serving = new Serving();
const { call } = serving;
beforeAll(serving.start);
afterAll(serving.end);

const jpeg = (size: number): Buffer =>
  Buffer.concat([Buffer.from([0xff, 0xd8, 0xff, 0xe0]), Buffer.alloc(size - 4, 7)]);
const keep = (bytes: Buffer) =>
  call<{ id: string } & Problem>('POST', 'pictures', bytes, { 'Content-Type': 'image/jpeg' });

describe('pictures of the log', () => {
  it('are kept, served as they are and for good, and taken away', async () => {
    const { status, body } = await keep(jpeg(2000));
    expect(status).toBe(201);
    const served = await call<Buffer>('GET', `pictures/${body.id}`);
    expect([served.status, served.headers['content-type']]).toEqual([200, 'image/jpeg']);
    expect(served.headers['cache-control']).toContain('immutable');
    expect((await call('DELETE', `pictures/${body.id}`)).status).toBe(204);
    expect((await call('GET', `pictures/${body.id}`)).status).toBe(404);
    expect((await call('DELETE', `pictures/${body.id}`)).status).toBe(404);
  });
  it('one that is too large, or no picture, is refused in words and not kept', async () => {
    expect((await keep(jpeg(LARGEST_PICTURE))).status).toBe(201);
    const large = await keep(jpeg(LARGEST_PICTURE + 1));
    expect([large.status, large.body.message]).toEqual([413, 'A picture has at most 4 MB.']);
    expect((await keep(jpeg(40 * 1024 * 1024))).status).toBe(413);
    const script = await keep(Buffer.from('<svg onload="alert(1)"></svg>'));
    expect([script.status, script.body.message]).toEqual([
      415,
      expect.stringContaining('a JPEG or a PNG') as string,
    ]);
    expect((await keep(Buffer.alloc(0))).status).toBe(415);
  });
  it('that no entry shows any more go after a day', async () => {
    const [shown, unused] = [(await keep(jpeg(50))).body.id, (await keep(jpeg(50))).body.id];
    const item = { build: 'b', on: '2026-11-29', sort: 'picture', text: '', picture: shown };
    expect((await call('PUT', 'shop/entries/e1', { item, over: 0 })).status).toBe(200);
    const thinning = serving.app.get(ThinningService);
    const status = async (id: string) => (await call('GET', `pictures/${id}`)).status;
    await thinning.sweepPictures(new Date(Date.now() + 23 * 3600 * 1000));
    expect([await status(shown), await status(unused)]).toEqual([200, 200]);
    await thinning.sweepPictures(new Date(Date.now() + 25 * 3600 * 1000));
    expect([await status(shown), await status(unused)]).toEqual([200, 404]);
  });
  it('go out with the workshop’s zip, and into another workshop by their ids', async () => {
    const { id } = (await keep(Buffer.concat([Buffer.from([0x89, 0x50, 0x4e, 0x47]), Buffer.from('pixels')])))
      .body;
    await call('POST', 'builds', { name: 'Pictured', kind: 'kart', startingSet: 'kart' });
    const zip = (await call<Buffer>('GET', 'workshop/zip')).body;
    const other = new Serving();
    await other.start();
    expect(
      (await other.call<TakenIn>('POST', 'workshop/zip', zip, { 'Content-Type': 'application/zip' })).status,
    ).toBe(201);
    expect((await other.call('GET', `pictures/${id}`)).headers['content-type']).toBe('image/png');
    await other.end();
  });
});
