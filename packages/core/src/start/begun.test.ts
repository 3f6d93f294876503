import { describe, expect, it } from 'vitest';
import { DEMO } from '../../../../testing/demo.js';
import { EVERY_SET, made } from '../../../../testing/made.js';
import { begunParts } from './begun.js';

describe('what was begun of a build', () => {
  it.each(EVERY_SET)('of a new %s, %s, it is nothing but its name', (kind, set) => {
    expect([...begunParts(made(kind, set))]).toEqual(['name']);
    expect([
      ...begunParts(structuredClone(made(kind, set, { units: { length: 'fraction', denominator: 16 } }))),
    ]).toEqual(['name', 'units']);
  });
  it('is each part in which something is other than it began; of every demo more than one', () => {
    const build = made('bicycle', 'road');
    const held = { ...build.stance.held, headAngle: 71 };
    expect([...begunParts({ ...build, stance: { held } })]).toEqual(['name', 'stance']);
    expect(begunParts({ ...build, startingSet: 'of-old' }).size).toBeGreaterThan(10);
    for (const document of DEMO) expect(begunParts(document).size, document.name).toBeGreaterThan(3);
  });
});
