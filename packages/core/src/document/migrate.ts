import { without } from '../without.js';
import type { Brief } from './schema.js';

/** A document of an earlier version as this version writes it; one that is no build, or not older, comes back as it is. */
export function migrated(value: Record<string, unknown>): Record<string, unknown> {
  return value.version === 1 ? fromVersion1(value) : value;
}

/**
 * Version 1 knew bicycles only, and kept how a fork was measured beside its length: along the axis is now a dimension of
 * its own. Travel, sag and the brief are new.
 */
function fromVersion1(value: Record<string, unknown>): Record<string, unknown> {
  const { stance } = value;
  if (!isRecord(stance) || !isRecord(stance.held)) return { ...value, version: 2, brief: EMPTY_BRIEF };
  const { forkMeasured } = stance;
  const { axleToCrown, ...others } = stance.held;
  const length =
    axleToCrown === undefined
      ? {}
      : { [forkMeasured === 'alongAxis' ? 'crownAboveFoot' : 'axleToCrown']: axleToCrown };
  return {
    ...value,
    version: 2,
    brief: EMPTY_BRIEF,
    stance: {
      ...without(stance, 'forkMeasured'),
      held: { ...others, ...length, frontTravel: 0, frontSag: 0, rearTravel: 0, rearSag: 0 },
    },
  };
}

export const EMPTY_BRIEF: Brief = {
  purpose: '',
  riders: [],
  shelf: [],
  limits: [],
  school: 'slide-and-post',
};

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
