import { describe, expect, it } from 'vitest';
import { changesBetween } from '@larchwood/format';
import { DEMO } from '../../../testing/demo.js';
import { planMade } from '../../../testing/made.js';
import { earlierRevisions } from './demoRevisions.js';

describe('how a demo build came to be', () => {
  it.each(DEMO.map((document) => [document.name, document] as const))(
    '%s: every revision makes a vehicle, and differs from the next in something that is looked at',
    (_, document) => {
      const earlier = earlierRevisions(document).map((each) => each.document);
      expect(earlier).toHaveLength(2);
      const [first, ready] = earlier.map((each) => planMade(each));
      expect(first!.cuts.length).toBe(ready!.cuts.length);
      expect(changesBetween(earlier[0]!, earlier[1]!).parts.has('stance')).toBe(true);
      const longer = first!.cuts.filter(
        ({ piece, overall }) =>
          Math.abs(overall - ready!.cuts.find((cut) => cut.piece === piece)!.overall) > 0.05,
      );
      expect(longer.length).toBeGreaterThan(0);
    },
  );
});
