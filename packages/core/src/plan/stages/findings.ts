import { bendFindings } from '../../bends/findings.js';
import { boughtFindings } from '../../cutting/findings.js';
import { cutItems } from '../../cutting/items.js';
import { flatFindings } from '../../plates/findings.js';
import { clearanceFindings } from '../../clearance/sweep.js';
import type { Finding } from '../../findings/finding.js';
import { jointFindings } from '../../joints/findings.js';
import { twiceFindings } from '../../mass/twice.js';
import { seatFindings } from '../../seat/findings.js';
import { briefFindings } from '../../stance/briefFindings.js';
import { ordersOf } from '../../stock/orders.js';
import { barsCut, cutFindings } from '../../stock/plan.js';
import { stanceFindings } from '../../stance/findings.js';
import { parts, stage } from '../stage.js';
import { bends } from './bends.js';
import { holes } from './holes.js';
import { clearances } from './clearance.js';
import { details, fixture } from './fixture.js';
import { frame } from './frame.js';
import { cuts, interferences } from './joints.js';
import { made as madeParts } from './made.js';
import { mass, tipping, weights } from './mass.js';
import { missingParts, staleParts, steeringFindings } from '../../steering/findings.js';
import { stance } from './stance.js';
import { steering } from './steering.js';
import { workFindings } from './work.js';
import { checked } from './checks.js';

/** Of the linkage, and of what is made with it: looked through again only when one of them changes. */
export const steeringFound = stage(
  'steeringFound',
  { steering, stance, made: madeParts },
  ({ steering: linked, stance: on, made }): readonly Finding[] => [
    ...steeringFindings(linked, on),
    ...made.flatMap(({ result }) => result.findings),
  ],
);

/** Pieces of the steering that were made for other sizes, or not made with the others. */
const stale = stage(
  'stale',
  { document: parts('frame'), steering, made: madeParts },
  ({ document, steering: linked, made }): readonly Finding[] => [
    ...staleParts(document.frame, linked, made),
    ...missingParts(document.frame, made),
  ],
);

/** Of pieces that were ordered cut: looked through only where there is an order. */
const orders = stage(
  'orders found',
  { document: parts('cuts', 'done'), frame, cuts, holes },
  ({ document, frame: of, cuts: { cuts: own }, holes: drilled }): readonly Finding[] =>
    ordersOf(document).length === 0
      ? []
      : boughtFindings(cutItems({ frame: of, cuts: own, holes: drilled }), document),
);

/** What can be told at once. */
export const findings = stage(
  'findings',
  {
    document: parts('brief', 'wheels', 'seat', 'mass', 'frame', 'cuts'),
    stance,
    steeringFound,
    stale,
    mass,
    weights,
    tipping,
    frame,
    cuts,
    bends,
    holes,
    orders,
    interferences,
    fixture,
  },
  ({ document, ...made }): readonly Finding[] => [
    ...stanceFindings(made.stance),
    ...briefFindings(document, made.stance),
    ...seatFindings(document, made.stance, made.mass, made.tipping),
    ...twiceFindings(document, made.weights),
    ...made.steeringFound,
    ...made.stale,
    ...made.frame.findings,
    ...jointFindings(made.cuts.cuts, made.frame, made.interferences, document),
    ...bendFindings(made.bends),
    ...made.holes.flatMap(({ findings: of }) => of),
    ...flatFindings(made.frame.plates),
    ...cutFindings({ cuts: made.cuts.cuts, bends: made.bends }, barsCut(document)),
    ...made.orders,
    ...made.fixture.findings,
  ],
);

/** What takes longer to find: gaps through all that moves, what of the fixture is in the way, what blocks the work, and what was measured. */
export const sweptFindings = stage(
  'sweptFindings',
  { clearances, details, workFindings, checked },
  ({
    clearances: swept,
    details: { inTheWay },
    workFindings: found,
    checked: measured,
  }): readonly Finding[] => [...clearanceFindings(swept), ...inTheWay, ...found, ...measured],
);
