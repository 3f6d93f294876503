import { expect, it } from 'vitest';
import { realCorners } from './ring.js';

it('a ring loses corners that stand on the one before, the last on the first too, and no others', () => {
  const square: [number, number][] = [
    [0, 0],
    [10, 0],
    [10, 10],
    [0, 10],
  ];
  expect(realCorners(square)).toEqual(square);
  expect(realCorners(square.flatMap((corner) => [corner, corner]))).toHaveLength(4);
  expect(realCorners([...square, [0, 0]])).toHaveLength(4);
  expect(realCorners([...square, [0, 2e-6]])).toHaveLength(5);
  expect(realCorners([...square, [0, 5e-7]])).toHaveLength(4);
});
