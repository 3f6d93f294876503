import type { Finding } from '../../findings/finding.js';
import { blocksOf } from '../../work/blocks.js';
import { blockFindings, orderFindings, pieceFindings } from '../../work/findings.js';
import type { CheckSeed, SettingSeed } from '../../work/input.js';
import { ordersOf } from '../../stock/orders.js';
import { workFrom } from '../../work/work.js';
import { seamsOf } from '../../work/weld/seams.js';
import { parts, stage } from '../stage.js';
import { bends } from './bends.js';
import { list } from './checks.js';
import { fixedFrame } from './fixed.js';
import { details, fixture } from './fixture.js';
import { frame } from './frame.js';
import { holes } from './holes.js';
import { cuts } from './joints.js';
import { stance } from './stance.js';
import { steering } from './steering.js';

/** What is set on the fixture, whatever of it is set already: a tick changes no step. */
const seeds = stage('seeds', { fixture }, ({ fixture: of }): readonly SettingSeed[] =>
  of.refused === undefined
    ? of.settings.map(({ id, group, name, check, piece, reading, adapted, quantity }) => ({
        ...{ id, group, name, check, piece, quantity },
        value: reading - adapted,
      }))
    : [],
);
const measures = stage(
  'measures',
  { list },
  ({ list: { measures: all, points, setOff } }): readonly CheckSeed[] =>
    all
      .filter(({ whole }) => !whole)
      .map(({ id, name, nominal, quantity, points: ends }) => ({
        ...{ id, name, value: nominal, held: setOff?.reads[id] ?? nominal, quantity },
        ends: ends.map((point) => points[point]!.at),
      })),
);
const holder = stage('holder', { fixture }, ({ fixture: of }) =>
  of.refused === undefined && of.school !== 'none' ? { name: of.profile.name } : undefined,
);
const rearAxle = stage('rearAxle', { stance }, ({ stance: of }) => ({ at: of.points.rearAxle }));

/** Every seam of what is welded together, once round its real cut. */
const seams = stage('seams', { frame: fixedFrame, cuts }, ({ frame: of, cuts: { cuts: own } }) =>
  seamsOf(of, own),
);

/** What is cut by somebody else. */
const orders = stage('orders', { document: parts('cuts') }, ({ document }) => ordersOf(document));

const made = stage(
  'made work',
  {
    document: parts('kind', 'frame', 'work'),
    frame,
    cuts,
    bends,
    holes,
    orders,
    seeds,
    measures,
    holder,
    rearAxle,
    seams,
    steering,
  },
  ({
    cuts: { cuts: own },
    seeds: settings,
    measures: checks,
    holder: fixtureOf,
    rearAxle: { at },
    steering: linked,
    ...rest
  }) =>
    workFrom({
      ...rest,
      cuts: own,
      settings,
      checks,
      fixture: fixtureOf?.name,
      rearAxle: at,
      linkage: linked !== undefined,
    }),
);

/** The order of everything: asked for where it is looked at. */
export const work = stage('work', { made }, ({ made: of }) => of.work);

/** What would block what, in that order. */
export const blocks = stage(
  'blocks',
  { made, details },
  ({ made: { making, work: of }, details: { solids } }, keep) => blocksOf(making, of.steps, solids, keep),
);

/** What of the order of work does not go, or wants something first. */
export const workFindings = stage(
  'workFindings',
  { work, blocks, frame: fixedFrame, cuts },
  ({ work: of, blocks: blocked, frame: held, cuts: { cuts: own } }): readonly Finding[] => [
    ...orderFindings(of),
    ...blockFindings(blocked),
    ...pieceFindings(held, own),
  ],
);
