import { ordered, type Breach } from './order.js';
import { makingOf } from './making.js';
import type { Making, WorkInput } from './input.js';
import type { Step } from './step.js';
import { fixtureSteps } from './steps/fixture.js';
import { orderSteps } from './steps/bought.js';
import { finishSteps } from './steps/finish.js';
import { joinSteps } from './steps/join.js';
import { offFrameSteps } from './steps/offFrame.js';
import { pieceSteps } from './steps/pieces.js';
import { readySteps } from './steps/ready.js';
import { waysFor } from './ways/registry.js';
import type { SubAssembly, Way } from './ways/way.js';
import type { Seam } from './weld/seams.js';

/** The order of everything, from what is there to rolling. */
export interface Work {
  readonly way: Pick<Way, 'id' | 'name' | 'about'>;
  /** Ways that this frame has parts for. */
  readonly ways: readonly Pick<Way, 'id' | 'name' | 'about'>[];
  readonly parts: readonly SubAssembly[];
  readonly steps: readonly Step[];
  readonly breaches: readonly Breach[];
  readonly circles: readonly (readonly string[])[];
  readonly lost: readonly string[];
  readonly seams: readonly Seam[];
}

/**
 * The order of work: generated from frame, school and way of building, with the builder's own steps and moves done to it.
 * @returns the work, and what it was made from for those that go on with it
 */
export function workFrom(input: WorkInput): { readonly work: Work; readonly making: Making } {
  const making = makingOf(input);
  const generated: readonly Step[] = [
    ...readySteps(making),
    ...orderSteps(making),
    ...pieceSteps(making),
    ...offFrameSteps(making),
    ...fixtureSteps(making),
    ...joinSteps(making),
    ...finishSteps(making),
  ];
  const bare = ({ id, name, about }: Way) => ({ id, name, about });
  const ways = waysFor(making.build);
  return {
    making,
    work: {
      way: bare(making.way),
      ways: (ways.includes(making.way) ? ways : [making.way, ...ways]).map(bare),
      parts: making.parts,
      ...ordered(generated, making.work),
      seams: input.seams,
    },
  };
}
