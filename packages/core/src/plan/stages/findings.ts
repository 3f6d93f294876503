import { clearanceFindings } from '../../clearance/sweep.js';
import type { Finding } from '../../findings/finding.js';
import { jointFindings } from '../../joints/findings.js';
import { seatFindings } from '../../seat/findings.js';
import { briefFindings } from '../../stance/briefFindings.js';
import { stanceFindings } from '../../stance/findings.js';
import { parts, stage } from '../stage.js';
import { clearances } from './clearance.js';
import { details, fixture } from './fixture.js';
import { frame } from './frame.js';
import { cuts, interferences } from './joints.js';
import { made as madeParts } from './made.js';
import { mass, tipping } from './mass.js';
import { staleParts, steeringFindings } from '../../steering/findings.js';
import { stance } from './stance.js';
import { steering } from './steering.js';

/** What can be told at once. */
export const findings = stage(
  'findings',
  {
    document: parts('brief', 'wheels', 'seat', 'mass', 'frame'),
    stance,
    steering,
    made: madeParts,
    mass,
    tipping,
    frame,
    cuts,
    interferences,
    fixture,
  },
  ({ document, ...made }): readonly Finding[] => [
    ...stanceFindings(made.stance),
    ...briefFindings(document, made.stance),
    ...seatFindings(document, made.stance, made.mass, made.tipping),
    ...steeringFindings(made.steering, made.stance),
    ...made.made.flatMap(({ result }) => result.findings),
    ...staleParts(document.frame, made.steering, made.made),
    ...made.frame.findings,
    ...jointFindings(made.cuts.cuts, made.frame, made.interferences, document),
    ...made.fixture.findings,
  ],
);

/** What takes longer to find: gaps through all that moves, and what of the fixture is in the way. */
export const sweptFindings = stage(
  'sweptFindings',
  { clearances, details },
  ({ clearances: swept, details: { inTheWay } }): readonly Finding[] => [
    ...clearanceFindings(swept),
    ...inTheWay,
  ],
);
