import type { BuildDocument } from '@larchwood/format';
import { fixedPart, ofPieces } from '../frame/apart.js';
import type { Plan } from './plan.js';

/** The plan of what a fixture holds: without what is made apart and put in last. */
export function fixedPlan(document: Pick<BuildDocument, 'frame'>, plan: Plan): Plan {
  const frame = fixedPart(document, plan.frame);
  return frame === plan.frame
    ? plan
    : { ...plan, frame, cuts: ofPieces(frame, plan.cuts), given: ofPieces(frame, plan.given) };
}
