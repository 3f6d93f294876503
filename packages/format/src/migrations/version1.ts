import { isRecord, omitted } from './fields.js';

/**
 * Version 1 knew bicycles only, and kept how a fork was measured beside its length: along the axis is now a dimension of
 * its own. Travel, sag and the brief are new.
 */
export function fromVersion1(value: Record<string, unknown>): Record<string, unknown> {
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
      ...omitted(stance, 'forkMeasured'),
      held: { ...others, ...length, frontTravel: 0, frontSag: 0, rearTravel: 0, rearSag: 0 },
    },
  };
}

const EMPTY_BRIEF = { purpose: '', riders: [], shelf: [], limits: [], school: 'slide-and-post' };
