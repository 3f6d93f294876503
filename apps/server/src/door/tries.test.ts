import { UnauthorizedException } from '@nestjs/common';
import { describe, expect, it } from 'vitest';
import { Tries, WRONG_TRIES } from './tries.js';

const right = () => Promise.resolve('in');
const wrong = () => Promise.reject(new UnauthorizedException());
const statusOf = (tried: Promise<unknown>) =>
  tried.then(
    () => 200,
    (error: { getStatus: () => number }) => error.getStatus(),
  );

describe('wrong passcodes', () => {
  it('are counted by address for a minute, and right ones are not', async () => {
    const tries = new Tries();
    for (let count = 0; count < 3 * WRONG_TRIES.most; count += 1)
      expect(await statusOf(tries.count('a', right, count))).toBe(200);
    for (let count = 0; count < WRONG_TRIES.most; count += 1)
      expect(await statusOf(tries.count('a', wrong, 100 + count))).toBe(401);
    expect(await statusOf(tries.count('a', right, 200))).toBe(429);
    expect(await statusOf(tries.count('b', right, 200))).toBe(200);
    expect(await statusOf(tries.count('a', right, 99 + WRONG_TRIES.within))).toBe(429);
    expect(await statusOf(tries.count('a', right, 100 + WRONG_TRIES.within))).toBe(200);
  });
  it('a right one between them wipes no wrong one out, and many at once are no way round', async () => {
    const tries = new Tries();
    const all = Array.from({ length: 4 * WRONG_TRIES.most }, (_, index) =>
      statusOf(tries.count('a', wrong, index)),
    );
    expect((await Promise.all(all)).filter((status) => status === 401)).toHaveLength(WRONG_TRIES.most);
    const others = new Tries();
    const seen: number[] = [];
    for (let count = 0; count < 10; count += 1) {
      seen.push(await statusOf(others.count('a', wrong, count)));
      seen.push(await statusOf(others.count('a', right, count)));
    }
    expect(seen.filter((status) => status === 401)).toHaveLength(WRONG_TRIES.most);
  });
});
