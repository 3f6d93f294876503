import type { BuildDocument, CheckStage } from '@larchwood/format';
import type { FixtureBase } from '../fixture/school.js';
import type { Fixture } from '../fixture/setting.js';
import type { Measurand } from './measure.js';

/** Stages at which a frame may still stand in its fixture. */
const IN_FIXTURE: ReadonlySet<CheckStage> = new Set(['dry', 'tacked', 'root', 'cap']);

/** The face of the fixture from which heights may be taken at a stage; none once the frame is off it. */
export const baseAt = (fixture: Pick<Fixture, 'base'>, stage: CheckStage): FixtureBase | undefined =>
  IN_FIXTURE.has(stage) ? fixture.base : undefined;

/** The same, where the builder takes heights from it. */
export const heightsFrom = (
  { checks }: Pick<BuildDocument, 'checks'>,
  fixture: Pick<Fixture, 'base'>,
  stage: CheckStage,
): FixtureBase | undefined => (checks?.heightsFrom === 'fixture' ? baseAt(fixture, stage) : undefined);

/**
 * What is taken off a measure, and off what is read of it, where heights are told from a fixture's base; mm. Readings are
 * kept from the ground, so that they stay comparable once the frame stands on its wheels.
 */
export const takenOff = ({ as }: Pick<Measurand, 'as'>, base: FixtureBase | undefined): number =>
  as === 'height' && base ? base.height : 0;
