import { describe, expect, it } from 'vitest';
import { chooseSection, HEAD_TUBE, heldOf, linkageOf, linkagesFor, withCollar } from '@larchwood/core';
import type { BuildDocument, Made, MadeId } from '@larchwood/format';
import { made, planMade } from '../../../../testing/made.js';
import {
  makeParts,
  setLinkage,
  setLock,
  setMade,
  takeOutMade,
  takeOutParts,
  usualSteering,
} from './steering';
import type { KnownLinkage } from './knownLinkage';

/** What the station knows of a build. */
function known(document: BuildDocument) {
  const plan = planMade(document);
  const { stance } = plan;
  const linkage = linkageOf(document, stance)!;
  const steering = plan.steering?.ok ? plan.steering.steering : undefined;
  const all: KnownLinkage = {
    linkage,
    held: heldOf(document, linkage, stance),
    steering,
  };
  return { ...all, stance, plan };
}
const part = (what: MadeId, sizes: Made['sizes'] = {}): Made => ({ what, sizes, choices: {}, found: {} });
const put = (document: BuildDocument, one: Made): BuildDocument => {
  const now = known(document);
  return setMade(now.stance, now, one)(document);
};
const steeringIds = ({ frame }: BuildDocument): readonly string[] =>
  [...frame.members, ...frame.plates].flatMap(({ id, group }) => (group === 'steering' ? [id] : []));
const kart = (): BuildDocument => made('kart', 'ladder');

describe('a linkage', () => {
  it('is the document’s own once it is begun, with its lock in the seat too', () => {
    const { linkage, held, stance } = known(kart());
    const next = setLinkage(linkage, stance, { ...held, lock: 30 })(kart());
    expect(next.steering).toMatchObject({ linkage: linkage.id, held: { lock: 30 }, made: [] });
    expect(next.seat.lock).toBe(30);
  });
  it('that cannot be is kept as it was typed, and changes nothing besides', () => {
    const { linkage, held, stance } = known(kart());
    const next = setLinkage(linkage, stance, { ...held, armLength: 1 })(kart());
    expect(next.steering!.held.armLength).toBe(1);
    expect({ ...next, steering: undefined }).toEqual({ ...kart(), steering: undefined });
  });
  it('the lock is set with the seat alone where no linkage is begun, and with both where one is', () => {
    const { stance, linkage, held } = known(kart());
    const alone = setLock(28, stance)(kart());
    expect([alone.seat.lock, alone.steering]).toEqual([28, undefined]);
    const both = setLock(28, stance)(setLinkage(linkage, stance, held)(kart()));
    expect([both.seat.lock, both.steering!.held.lock]).toEqual([28, 28]);
  });
  it('the usual one again leaves nothing behind, unless pieces or made parts hang on it', () => {
    const { stance, linkage, held, steering } = known(kart());
    const other = setLinkage(linkage, stance, { ...held, armLength: held.armLength! + 7 })(kart());
    expect(usualSteering(stance)(other)).toEqual(kart());
    const withPieces = usualSteering(stance)(makeParts(stance, steering!)(other));
    expect(withPieces.steering!.held).toMatchObject(linkagesFor(stance)[0]!.start(stance));
    expect(steeringIds(withPieces).length).toBeGreaterThan(2);
    expect(usualSteering(stance)(put(other, part('column'))).steering!.made).toHaveLength(1);
  });
});

describe('pieces of a linkage', () => {
  const withPieces = (): BuildDocument => {
    const { stance, linkage, held, steering } = known(kart());
    return makeParts(stance, steering!)(setLinkage(linkage, stance, held)(kart()));
  };
  it('follow it, keep the section that was chosen for them, and go all at once', () => {
    const before = withPieces();
    const chosen = chooseSection(['steering-rodLeft'], 'round-19x1')(before);
    const { stance, linkage, held } = known(chosen);
    const longer = setLinkage(linkage, stance, { ...held, plateSpread: held.plateSpread! + 20 })(chosen);
    const rod = (of: BuildDocument) =>
      planMade(of).frame.pieces.find(({ id }) => id === 'steering-rodLeft:left')!;
    expect(rod(longer).length).toBeLessThan(rod(chosen).length - 5);
    expect(rod(longer).member.section).toBe('round-19x1');
    expect(takeOutParts(longer).frame.members).toEqual(kart().frame.members);
    expect(steeringIds(takeOutParts(longer))).toEqual([]);
  });
  it('take in what is made at home, and give it up when that is taken out', () => {
    const begun = withPieces();
    const { linkage, held } = known(begun);
    const own = put(begun, part('knuckles'));
    for (const id of ['steering-kingpin', 'steering-boss', 'steering-stub', 'steering-yoke-upper'])
      expect(steeringIds(own)).toContain(id);
    expect(own.frame.sections.map(({ id }) => id)).toContain('bar-12');
    const thicker = put(own, part('knuckles', { kingpin: 14 }));
    const sections = thicker.frame.sections.map(({ id }) => id);
    expect([sections.includes('bar-14'), sections.includes('bar-12')]).toEqual([true, false]);
    const now = known(thicker);
    const without = takeOutMade(now.stance, now, 'knuckles')(thicker);
    expect(steeringIds(without)).toEqual(steeringIds(begun));
    expect(without.frame.sections).toEqual(begun.frame.sections);
    expect(setLinkage(linkage, now.stance, held)(own).steering!.made).toHaveLength(1);
  });
  it('a part that is made begins the steering, and comes without pieces where none stand in the frame', () => {
    const next = put(kart(), part('column', { joints: 1, bend: 20 }));
    expect(next.steering!.made).toEqual([part('column', { joints: 1, bend: 20 })]);
    expect(steeringIds(next)).toEqual([]);
    // The same part again is the part changed.
    expect(put(next, part('column', { joints: 0 })).steering!.made).toEqual([part('column', { joints: 0 })]);
  });
  it('a fork brings its pieces in by itself', () => {
    const ids = steeringIds(put(made('bicycle', 'road'), part('fork')));
    expect(ids).toContain('steering-fork-legs');
  });
});

describe('a collar that the head tube became', () => {
  it('follows its sizes; one that is taken out leaves the head tube as it is', () => {
    const begun = put(made('bicycle', 'road'), part('collar'));
    const { plan } = known(begun);
    const own = withCollar(begun, plan.made[0]!.result.headTube!);
    const sectionOf = ({ frame }: BuildDocument) => frame.members.find(({ id }) => id === HEAD_TUBE)!.section;
    expect(sectionOf(own)).toMatch(/^collar-54x/);
    const wider = put(own, part('collar', { outer: 58 }));
    expect(sectionOf(wider)).toMatch(/^collar-58x/);
    expect(wider.frame.sections.some(({ id }) => id.startsWith('collar-54'))).toBe(false);
    const now = known(wider);
    expect(sectionOf(takeOutMade(now.stance, now, 'collar')(wider))).toBe(sectionOf(wider));
  });
});
