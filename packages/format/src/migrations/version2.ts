import { isRecord } from './fields.js';
import { SETS_OF_VERSION_2, type LumpOfVersion2 } from './setsOfVersion2.js';

/** Version 2 had no riders in their places and no masses: both begin as the build's starting set had them then. */
export function fromVersion2(value: Record<string, unknown>): Record<string, unknown> {
  const { kind, startingSet, stance } = value;
  const sets = SETS_OF_VERSION_2[String(kind)];
  const set = sets?.find(({ id }) => id === startingSet) ?? sets?.[0];
  if (!set || !isRecord(stance) || !isRecord(stance.held)) return { ...value, version: 3 };
  return {
    ...value,
    version: 3,
    stance: { ...stance, held: { ...set.held, ...stance.held } },
    seat: { ...USUAL_SEAT, lock: set.lock },
    mass: { lumps: set.lumps.map(lump).filter(({ sort }) => sort !== 'frame' || !framed(value)) },
  };
}

const USUAL_SEAT = {
  aboard: [],
  gaps: { tyre: 6, rider: 20, metal: 5 },
  lock: 35,
  statures: [1550, 1900],
  legSlide: [-100, 100],
  armSlide: [-40, 40],
};

const lump = ([name, sort, mass, point, offset, box]: LumpOfVersion2, index: number) => ({
  id: `lump${index + 1}`,
  name,
  sort,
  mass,
  point,
  offset: [...offset],
  ...(box ? { box: [...box] } : {}),
});

/** Whether there are tubes already, so that nothing need stand for them. */
const framed = ({ frame }: Record<string, unknown>): boolean =>
  isRecord(frame) && Array.isArray(frame.members) && frame.members.length > 0;
