import { fixtureDetails, fixtureOf } from '../../fixture/fixture.js';
import { parts, stage } from '../stage.js';
import { frame } from './frame.js';
import { cuts } from './joints.js';
import { stance } from './stance.js';

const built = { document: parts('brief', 'fixture', 'units', 'frame'), stance, frame, cuts };

/** In the school that is meant; it says why where that one cannot hold the frame. */
export const fixture = stage('fixture', built, (of) => fixtureOf({ ...of, cuts: of.cuts.cuts }));

/** Lists, bodies and guides of the fixture, and what of it is in the way: asked for where it is looked at. */
export const details = stage('details', built, (of) => fixtureDetails({ ...of, cuts: of.cuts.cuts }));
