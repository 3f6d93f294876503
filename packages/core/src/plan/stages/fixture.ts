import { fixtureDetails, fixtureOf } from '../../fixture/fixture.js';
import { parts, stage } from '../stage.js';
import { frame } from './frame.js';
import { cuts } from './joints.js';
import { stance } from './stance.js';

/** What the fixture is set off by: no other change of the checks changes it. */
const preset = stage(
  'preset',
  { document: parts('checks') },
  ({ document }) => document.checks?.preset ?? {},
);

const built = { document: parts('brief', 'fixture', 'units', 'frame'), stance, frame, cuts, preset };

/** In the school that is meant; it says why where that one cannot hold the frame. */
export const fixture = stage('fixture', built, (of) => fixtureOf({ ...of, cuts: of.cuts.cuts }));

/** Lists, bodies and guides of the fixture, and what of it is in the way: asked for where it is looked at. */
export const details = stage('details', built, (of) => fixtureDetails({ ...of, cuts: of.cuts.cuts }));
