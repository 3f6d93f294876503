import { writeFileSync } from 'node:fs';
import { createBuild, planBuild, seatAtEase, type CreateOptions } from '@larchwood/core';
import { documentText, type BuildDocument } from '@larchwood/format';
import { inWork } from './inWork.js';
import { measured } from './measured.js';
import { ordered } from './ordered.js';
import { steered, withPieces, type Begun } from './steered.js';
import { worked } from './worked.js';

/** Writes the demo workshop's documents. Alder Yard, its riders and its builds are made up. */
interface Demo {
  readonly file: string;
  readonly notes: string;
  readonly brief: BuildDocument['brief'];
  readonly options: CreateOptions;
  /** Sizes of its linkage, where the usual ones would meet something; mm and degrees. */
  readonly linkage?: Begun;
}

const DEMOS: readonly Demo[] = [
  {
    file: 'ferry-road-tourer',
    notes:
      'Loaded touring bicycle for Wilma Osterby, 1.91 m, who carries four bags and a tent. Fork and wheels are on the shelf; the head angle was chosen for 60 mm of trail. The down tube is sold with short thick ends: look at the finding before you cut.',
    brief: {
      purpose: 'Loaded touring, four bags and a tent',
      riders: [{ name: 'Wilma Osterby', stature: 1910, mass: 82 }],
      shelf: [
        {
          sort: 'fork',
          name: 'Touring fork, 395 mm, 50 mm offset',
          gives: { axleToCrown: 395, forkOffset: 50 },
        },
      ],
      limits: [],
      school: 'slide-and-post',
    },
    options: {
      name: 'Ferry Road tourer',
      kind: 'bicycle',
      startingSet: 'touring',
      held: { headTubeLength: 205, seatTubeLength: 590, reach: 400, chainstayLength: 460, crankLength: 175 },
      layout: {
        sections: {
          topTube: 'butted-28.6x0.8-0.5-650',
          seatTube: 'round-28.6x0.9',
          downTube: 'butted-34.9x0.8-0.5-720',
          headTube: 'round-38x1',
        },
      },
    },
  },
  {
    file: 'lock-keeper',
    notes:
      'Small-wheel low-step bicycle for the lock at the end of the yard: on and off twenty times a day in a long coat. All measured in inches, on an inch bench.',
    brief: {
      purpose: 'On and off twenty times a day in a long coat',
      riders: [{ name: 'The lock keepers', stature: 1700, mass: 75 }],
      shelf: [],
      limits: [],
      school: 'slide-and-post',
    },
    options: {
      name: 'Lock keeper',
      kind: 'bicycle',
      startingSet: 'small-wheel',
      units: { length: 'fraction', denominator: 32 },
      held: {},
      layout: {
        topTubeBelowSeat: 245,
        sections: {
          topTube: 'round-31.8x1.2',
          downTube: 'round-34.9x1.2',
          seatTube: 'round-31.8x1.2',
          headTube: 'round-38x1',
        },
      },
    },
  },
  {
    file: 'quay-carrier',
    notes:
      'Front-box cargo bicycle for the bakery round: forty loaves, or two children and a dog. The bars turn the front wheel by a rod under the box.',
    brief: {
      purpose: 'Bakery round and school runs along the quay',
      riders: [{ name: 'Greta Lindqvist', stature: 1690, mass: 77 }],
      shelf: [
        { sort: 'front wheel', name: '20 in front wheel with drum brake', marking: '47-406', gives: {} },
      ],
      limits: [{ dimension: 'wheelbase', bound: 'most', value: 2000, rule: 'the lift at the bakery' }],
      school: 'table',
    },
    linkage: {
      id: 'push-rod',
      sizes: {
        columnArm: 150,
        columnArmAngle: 0,
        columnArmHeight: 200,
        forkArm: 89,
        forkArmAngle: 0.5,
        forkArmHeight: 512,
      },
    },
    options: {
      name: 'Quay carrier',
      kind: 'bicycle',
      startingSet: 'front-box',
      held: { barReach: -950, barRise: 420 },
    },
  },
  {
    file: 'towpath-tandem',
    notes: 'For Wilma and Piet Osterby to ride to the sea. The wheelbase is what the shed door allows.',
    brief: {
      purpose: 'Day rides for two with a picnic',
      riders: [
        { name: 'Wilma Osterby', stature: 1910, mass: 82 },
        { name: 'Piet Osterby', stature: 1740, mass: 71 },
      ],
      shelf: [],
      limits: [{ dimension: 'overallLength', bound: 'most', value: 2480, rule: 'the shed is 2.5 m deep' }],
      school: 'none',
    },
    options: {
      name: 'Towpath tandem',
      kind: 'tandem',
      startingSet: 'tandem',
      held: { cockpit: 680, seatTubeLength: 590, crankLength: 170 },
    },
  },
  {
    file: 'three-sisters-triplet',
    notes: 'Built for the summer parade and ridden ever since.',
    brief: { purpose: 'Parades', riders: [], shelf: [], limits: [], school: 'none' },
    options: { name: 'Three sisters', kind: 'triplet', startingSet: 'triplet', held: { crankLength: 160 } },
  },
  {
    file: 'errand-scooter',
    notes: 'Kick scooter for errands along the quay: rolls over the tram rails on its big front wheel.',
    brief: {
      purpose: 'Short errands on rough setts',
      riders: [{ name: 'Imke Vos', stature: 1660, mass: 58 }],
      shelf: [
        { sort: 'front wheel', name: '20 in front wheel with hub brake', marking: '47-406', gives: {} },
      ],
      limits: [],
      school: 'none',
    },
    options: {
      name: 'Errand scooter',
      kind: 'scooter',
      startingSet: 'scooter-large',
      held: { deckHeight: 118 },
    },
  },
  {
    file: 'heron-hill-125',
    notes:
      'Light motorcycle for the Heron Hill climb: a 125 single in a cradle frame. The forks were on the shelf.',
    brief: {
      purpose: 'Hill climbs on gravel, 125 class',
      riders: [{ name: 'Bram Dekker', stature: 1780, mass: 74 }],
      shelf: [
        { sort: 'fork', name: '35 mm fork with its clamps', gives: { forkLength: 575 } },
        { sort: 'engine', name: '125 single', box: [380, 340, 420], gives: {} },
      ],
      limits: [{ dimension: 'wheelbase', bound: 'least', value: 1250, rule: 'event rules, light class' }],
      school: 'spine',
    },
    options: {
      name: 'Heron Hill 125',
      kind: 'motorcycle',
      startingSet: 'standard',
      held: {
        forkLength: 575,
        wheelbase: 1310,
        trail: 98,
        armLength: 510,
        frontTravel: 180,
        frontSag: 50,
        rearTravel: 170,
        rearSag: 50,
        groundClearance: 250,
        pivotHeight: 360,
      },
    },
  },
  {
    file: 'long-quay-cruiser',
    notes:
      'Low motorcycle to sit in, with the feet ahead. Planted: the brief wants it 2.35 m long at most, and it is longer.',
    brief: {
      purpose: 'Long flat roads',
      riders: [{ name: 'Noor Teller', stature: 1830, mass: 90 }],
      shelf: [{ sort: 'engine', name: 'Parallel twin', box: [520, 420, 480], gives: {} }],
      limits: [{ dimension: 'overallLength', bound: 'most', value: 2350, rule: 'length of the trailer' }],
      school: 'none',
    },
    options: { name: 'Long quay', kind: 'low-motorcycle', startingSet: 'low', held: {} },
  },
  {
    file: 'market-delta',
    notes: 'Delta trike with a basket between the rear wheels, for the Saturday market.',
    brief: {
      purpose: 'Market and shopping',
      riders: [{ name: 'Greta Lindqvist', stature: 1690, mass: 77 }],
      shelf: [],
      limits: [{ dimension: 'rearOverWheels', bound: 'most', value: 820, rule: 'the gate at the lock' }],
      school: 'table',
    },
    linkage: {
      id: 'sticks-to-fork',
      sizes: { forkArm: 167, forkArmAngle: 5, forkArmHeight: 375, stickReach: 88, stickLength: 247 },
    },
    options: { name: 'Market delta', kind: 'delta-trike', startingSet: 'delta', held: {} },
  },
  {
    file: 'canal-tadpole',
    notes:
      'Tadpole trike for the canal path. Kingpins aimed near the patches; measured in inches and fractions.',
    brief: {
      purpose: 'Canal path and lanes',
      riders: [{ name: 'Hedda Roos', stature: 1720, mass: 68 }],
      shelf: [{ sort: 'rear wheel', name: '26 in rear wheel with gear hub', marking: '42-559', gives: {} }],
      limits: [{ dimension: 'frontOverWheels', bound: 'most', value: 850, rule: 'the bollards on the path' }],
      school: 'table',
    },
    linkage: {
      id: 'under-seat-bar',
      sizes: {
        armLength: 52,
        armAngle: 7.5,
        armHeight: 34,
        pivotAhead: -23,
        pivotHeight: 267,
        holeAhead: -64,
        holeSpread: 59,
      },
    },
    options: {
      name: 'Canal tadpole',
      kind: 'tadpole-trike',
      startingSet: 'tadpole',
      units: { length: 'fraction', denominator: 32 },
      held: { spindleLength: 70, camber: -1 },
    },
  },
  {
    file: 'paddock-kart',
    notes:
      'Perimeter kart of the Tuesday class. Leg room decides the wheelbase: the tallest driver must fit.',
    brief: {
      purpose: 'Tuesday class, small paddock circuit',
      riders: [{ name: 'The Tuesday class', stature: 1850, mass: 85 }],
      shelf: [],
      limits: [
        { dimension: 'rearOverWheels', bound: 'most', value: 1400, rule: 'class rule, width over wheels' },
        { dimension: 'wheelbase', bound: 'most', value: 1070, rule: 'class rule' },
      ],
      school: 'table',
    },
    linkage: {
      id: 'two-rods',
      sizes: { armLength: -58, armAngle: 27.5, armHeight: 3, plateReach: 60, plateSpread: 20, plateUp: 57 },
    },
    options: {
      name: 'Paddock kart',
      kind: 'kart',
      startingSet: 'kart',
      held: { legRoom: 945, pedalsAhead: 200 },
    },
  },
  {
    file: 'orchard-ladder',
    notes:
      'Ladder kart for the rows of the orchard: narrow rails on edge between the trees, the nose tapered to turn at the ends. Measured with an inch tape.',
    brief: {
      purpose: 'Up and down the rows, crates on a hitch, two drivers',
      riders: [
        { name: 'Jonne Abel', stature: 1790, mass: 81.65 },
        { name: 'Imke Vos', stature: 1660, mass: 58 },
      ],
      shelf: [],
      limits: [
        { dimension: 'rearOverWheels', bound: 'most', value: 1320.8, rule: 'the rows are 1.4 m apart' },
      ],
      school: 'table',
    },
    linkage: {
      id: 'rack',
      sizes: {
        armLength: 63,
        armAngle: 29,
        armHeight: 28,
        rackAhead: -15,
        rackHeight: 221,
        rackWidth: 214,
        rackPerTurn: 90,
      },
      made: [
        { what: 'knuckles', sizes: {} },
        { what: 'column', sizes: { restRadius: 180, restLow: 30, restHigh: 38 } },
      ],
    },
    options: {
      name: 'Orchard ladder',
      kind: 'kart',
      startingSet: 'ladder',
      units: { length: 'fraction', denominator: 32 },
      held: {},
    },
  },
  {
    file: 'glasshouse-400',
    notes:
      'Road motorcycle with a trellis of small tube round a 400 twin. The workshop next door machines in decimal inches, and so is this.',
    brief: {
      purpose: 'Bends of the reservoir road, fair weather',
      riders: [{ name: 'Noor Teller', stature: 1830, mass: 90 }],
      shelf: [{ sort: 'engine', name: '400 parallel twin', box: [430, 380, 420], gives: {} }],
      limits: [],
      school: 'spine',
    },
    options: {
      name: 'Glasshouse 400',
      kind: 'motorcycle',
      startingSet: 'sport',
      units: { length: 'inch', denominator: 32 },
      held: {},
    },
  },
  {
    file: 'alder-wood-buggy',
    notes:
      'Forest buggy with a cage, sprung all round. Roll structure and harness mounts by the rule book and a licensed engineer.',
    brief: {
      purpose: 'Forest tracks on private ground',
      riders: [
        { name: 'Bram Dekker', stature: 1780, mass: 74 },
        { name: 'Imke Vos', stature: 1660, mass: 58 },
      ],
      shelf: [
        {
          sort: 'donor part',
          name: 'Uprights of a scrapped quad',
          gives: { kingpinInclination: 10, spindleLength: 110 },
        },
      ],
      limits: [{ dimension: 'rearOverWheels', bound: 'most', value: 1680, rule: 'the trailer' }],
      school: 'table',
    },
    linkage: {
      id: 'rack',
      sizes: {
        armLength: 135,
        armAngle: 8.5,
        armHeight: 51,
        rackAhead: -239,
        rackHeight: 345,
        rackWidth: 201,
        rackPerTurn: 91,
      },
    },
    options: { name: 'Alder Wood buggy', kind: 'buggy', startingSet: 'buggy', held: {} },
  },
];

for (const { file, notes, brief, options, linkage } of DEMOS) {
  const made = createBuild({ ...options, brief });
  if (!made.ok) throw new Error(made.message);
  const { document: eased } = seatAtEase(made.value);
  const document: BuildDocument = {
    ...eased,
    notes,
    stance: { ...eased.stance, held: { ...eased.stance.held, ...options.held } },
  };
  const planned = planBuild(steered(document, linkage));
  if (!planned.ok) throw new Error(JSON.stringify(planned.refusals));
  console.log(
    options.name,
    planned.plan.findings.map((finding) => finding.code),
  );
  writeFileSync(
    new URL(`./${file}.larchwood.json`, import.meta.url),
    documentText(
      measured(
        file,
        ordered(file, inWork(file, worked(file, withPieces(steered(document, linkage), planned.plan)))),
      ),
    ),
  );
}
