import { describe, expect, it } from 'vitest';
import { parseLength, type LengthDisplay } from '../units/length.js';
import { noGussetText } from './gussetWords.js';

const MM: LengthDisplay = { length: 'mm', denominator: 16 };
const DECIMAL: LengthDisplay = { length: 'inch', denominator: 16 };
const FRACTION: LengthDisplay = { length: 'fraction', denominator: 16 };

describe('why a corner takes no gusset', () => {
  it('names the piece and the most that fits, in the build’s units', () => {
    expect(noGussetText({ why: 'into-bend', piece: '3L', most: 63.5 }, MM)).toBe(
      'The leg runs into a bend of piece 3L. It may be 63 mm long at most.',
    );
    expect(noGussetText({ why: 'off-tube', piece: '7', most: 63.5 }, FRACTION)).toBe(
      'The leg runs off the end of piece 7. It may be 2 1/2 in long at most.',
    );
    expect(noGussetText({ why: 'off-tube', piece: '7', most: 0.2 }, FRACTION)).toMatch(/no room for one/);
  });
  it.each([MM, DECIMAL, FRACTION])('in $length what it says fits when it is typed', (display) => {
    for (let most = 5; most < 120; most += 3.37) {
      const [, said] = /It may be (.*) long/.exec(
        noGussetText({ why: 'off-tube', piece: '1', most }, display),
      )!;
      const typed = parseLength(said!, display.length);
      if (!typed.ok) throw new Error(typed.message);
      expect(typed.value).toBeLessThanOrEqual(most + 1e-6);
      expect(typed.value).toBeGreaterThan(most - 1.7);
    }
  });
  it('says of each other reason what is in the way', () => {
    expect(noGussetText({ why: 'no-corner' }, MM)).toMatch(/do not meet in a corner/);
    expect(noGussetText({ why: 'in-bend', piece: '4' }, MM)).toMatch(/in a bend of piece 4/);
    expect(noGussetText({ why: 'beside', piece: '5' }, MM)).toMatch(/Piece 5 lies beside/);
  });
});
