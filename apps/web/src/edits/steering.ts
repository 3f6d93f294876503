import {
  collarFollowing,
  hasSteeringParts,
  heldOf,
  linkageOf,
  linkagesFor,
  madeOf,
  partsFollowing,
  solveLinkage,
  steeringGraph,
  without,
  withoutSteeringParts,
  withSteeringParts,
  type Linkage,
  type Stance,
  type Steering,
} from '@larchwood/core';
import type { BuildDocument, Made, MadeId, SteeringData } from '@larchwood/format';
import type { KnownLinkage } from './knownLinkage';

type Change = (document: BuildDocument) => BuildDocument;
type Numbers = Readonly<Record<string, number>>;

/** The lock stands with the seat, too, where clearances are swept over it. */
const withLock = (document: BuildDocument, lock: number | undefined): BuildDocument =>
  lock === undefined || lock === document.seat.lock
    ? document
    : { ...document, seat: { ...document.seat, lock } };

/** What the linkage holds; the lock that comes of it goes with the seat. */
export const setLinkage =
  (linkage: Linkage, stance: Stance, held: Numbers, near?: Numbers): Change =>
  (document) => {
    const steering: SteeringData = {
      linkage: linkage.id,
      held: { ...held },
      ...(near ? { near: { ...near } } : {}),
      made: document.steering?.made ?? [],
    };
    const solved = solveLinkage(linkage, stance, held, steering);
    if (!solved.ok) return { ...document, steering };
    return withLock(
      partsFollowing({ ...document, steering }, stance, solved.steering),
      solved.steering.state.lock,
    );
  };

/** Its rods, shafts and arms as pieces of the frame, or made again. */
export const makeParts =
  (stance: Stance, steering: Steering): Change =>
  (document) =>
    withSteeringParts(document, stance, steering);

export const takeOutParts: Change = (document) => ({
  ...document,
  frame: withoutSteeringParts(document.frame),
});

/** The usual linkage again, sized from the stance, with the lock as it is; what is made at home stays. */
export const usualSteering =
  (stance: Stance): Change =>
  (document) => {
    const [usual] = linkagesFor(stance);
    const kept = (document.steering?.made.length ?? 0) > 0 || hasSteeringParts(document.frame);
    return kept && usual
      ? setLinkage(usual, stance, { ...usual.start(stance), lock: document.seat.lock })(document)
      : (without(document, 'steering') as BuildDocument);
  };

/** The lock of the vehicle, wherever it is set. */
export const setLock =
  (lock: number, stance: Stance | undefined): Change =>
  (document) => {
    const linkage = document.steering && stance && linkageOf(document, stance);
    if (!linkage) return withLock(document, lock);
    return setLinkage(
      linkage,
      stance,
      { ...heldOf(document, linkage, stance), lock },
      document.steering?.near,
    )(document);
  };

/** The document with a steering of its own, so that parts can be kept with it. */
const begun = (document: BuildDocument, stance: Stance, { linkage, held }: KnownLinkage): BuildDocument =>
  document.steering ? document : setLinkage(linkage, stance, held)(document);

const withMade = (
  document: BuildDocument,
  stance: Stance,
  { steering }: KnownLinkage,
  made: readonly Made[],
): BuildDocument => {
  const besides = { ...document, steering: { ...document.steering!, made: [...made] } };
  if (!steering) return besides;
  // What stands in the frame follows; a part that comes with pieces of its own brings them in.
  const all = madeOf(made, { stance, steering, tyreGap: document.seat.gaps.tyre });
  const next = collarFollowing(besides, all);
  const pieces = steeringGraph(steering, all);
  const own = pieces.members.some(({ id }) => id.startsWith('steering-fork'));
  return own || hasSteeringParts(document.frame) ? withSteeringParts(next, stance, steering) : next;
};

/** A made part as it is now; put in where it was not. */
export const setMade =
  (stance: Stance, known: KnownLinkage, part: Made): Change =>
  (document) => {
    const next = begun(document, stance, known);
    const made = next.steering!.made;
    const there = made.some(({ what }) => what === part.what);
    return withMade(
      next,
      stance,
      known,
      there ? made.map((each) => (each.what === part.what ? part : each)) : [...made, part],
    );
  };

export const takeOutMade =
  (stance: Stance, known: KnownLinkage, what: MadeId): Change =>
  (document) => {
    const next = begun(document, stance, known);
    return withMade(
      next,
      stance,
      known,
      next.steering!.made.filter((each) => each.what !== what),
    );
  };
