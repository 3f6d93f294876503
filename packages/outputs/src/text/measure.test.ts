import { describe, expect, it } from 'vitest';
import { textWidth, wrapped } from './measure.js';

const SIZE = 2.4;
const widthOf = (text: string) => textWidth(text, SIZE) + 0.01;

describe('words in lines', () => {
  it('a number keeps its fraction and its unit', () => {
    const sentence = 'this edge to the other: 11 5/8 in';
    const lines = wrapped(sentence, widthOf('this edge to the other: 11'), SIZE);
    expect(lines).toEqual(['this edge to the other:', '11 5/8 in']);
    expect(wrapped('y at x 1040 mm', widthOf('y at x 1040'), SIZE)).toEqual(['y at x', '1040 mm']);
    // What only looks like a unit may stand on the next line, and so may a fraction after a word.
    expect(wrapped('fits 12 into the edge', widthOf('fits 12'), SIZE)).toEqual([
      'fits 12',
      'into',
      'the',
      'edge',
    ]);
    expect(wrapped('half of 1/2 in', widthOf('half of'), SIZE)).toEqual(['half of', '1/2 in']);
  });
  it('no line is wider than its room, unless one word alone is', () => {
    const words = 'Cross member before the axle, second end, incomprehensibilities';
    for (const width of [12, 20, 35, 80])
      for (const line of wrapped(words, width, SIZE))
        expect(line.includes(' ') ? textWidth(line, SIZE) : 0).toBeLessThanOrEqual(width);
    expect(wrapped(words, 200, SIZE)).toEqual([words]);
  });
});
