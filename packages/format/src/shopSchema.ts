import { Type, type Static, type TSchema } from '@sinclair/typebox';
import { schemaFaults, type Fault } from './faults.js';
import { SectionSchema } from './sectionSchema.js';
import { RiderSchema } from './buildSchema.js';
import { CHECK_STAGE_IDS } from './checksSchema.js';
import { ProfileSchema } from './fixtureSchema.js';
import { closed, id, literals, name, number, vector } from './parts.js';

/**
 * What the workshop owns and has learned, for all of its builds: dies, bends that were logged, tools, stock that it buys,
 * and off-cuts. Lengths mm, angles degrees.
 */
const DieSchema = closed(
  {
    name: name('For people'),
    size: number(4, 300, 'Outer size of the tube that it takes, mm'),
    shape: literals('Of the tube', 'round', 'square'),
    radius: number(1, 3000, 'Of the centre line, mm'),
    clamp: number(0, 2000, 'Straight that the clamp wants before the bend, mm'),
    follow: number(0, 2000, 'Straight that the follower wants behind the bend, mm'),
    mark: number(-500, 500, 'From the start of the bend forward to the die’s own mark, mm'),
    zero: number(-360, 360, 'What its scale reads at a straight tube, degrees'),
    step: number(0.01, 15, 'Step of its scale, degrees'),
    spring: number(0, 30, 'Springback that is allowed for until bends are logged, degrees'),
    most: number(1, 200, 'Farthest it bends, degrees'),
    reach: number(0, 3000, 'The bender’s frame reaches so far about the die, mm'),
    below: number(0, 3000, 'and lies so far below the tube’s middle, mm; 0 where nothing is in the way'),
    floor: number(0, 3000, 'The tube’s middle over the floor, mm; 0 where the floor is out of reach'),
  },
  'A bending die',
);
export type Die = Static<typeof DieSchema>;

const TrialSchema = closed(
  {
    die: id('Die id'),
    section: id('Section id'),
    material: id('Material id'),
    asked: number(0, 200, 'Wanted, degrees'),
    set: number(
      0,
      230,
      'Set beyond straight, degrees: what the scale read less what it reads at a straight tube',
    ),
    zero: Type.Optional(
      number(
        -360,
        360,
        'What the scale read at a straight tube when this was logged, degrees; 0 where it is not given',
      ),
    ),
    got: number(0, 200, 'Measured after it sprang back, degrees'),
    on: Type.String({ pattern: '^[0-9]{4}-[0-9]{2}-[0-9]{2}$', description: 'Day' }),
    leftOut: Type.Boolean({ description: 'The builder leaves it out of the line' }),
  },
  'A bend that was logged',
);
export type Trial = Static<typeof TrialSchema>;

/** Kinds of tool. */
export const TOOL_SORTS = ['notcher', 'mill', 'saw', 'paper', 'drill', 'hole-saws'] as const;
const ToolSchema = closed(
  {
    name: name('For people'),
    sort: literals('What it is', ...TOOL_SORTS),
    scale: literals('How its scale counts', 'from-square', 'from-parallel'),
    most: number(0, 90, 'Farthest off square, degrees'),
    largest: number(1, 500, 'Largest tube, hole or cutter that it takes, mm'),
    sizes: Type.Array(number(0.5, 300, 'mm'), {
      maxItems: 80,
      description: 'Cutters, bits or saws on hand',
    }),
    play: number(0, 5, 'Play of its arbor at the cutter, mm'),
    speeds: Type.Tuple([number(0, 10000, 'Slowest, 1/min'), number(0, 10000, 'Fastest, 1/min')]),
  },
  'A tool',
);
export type Tool = Static<typeof ToolSchema>;

const StockSchema = closed(
  {
    section: id('Section id'),
    material: id('Material id'),
    length: number(50, 20000, 'As sold, mm'),
    price: number(0, 100000, 'Of one, in the workshop’s money'),
    most: Type.Optional(Type.Integer({ minimum: 0, maximum: 999, description: 'So many are to be had' })),
  },
  'A length that a section is sold in',
);
export type StockLength = Static<typeof StockSchema>;

const OffcutSchema = closed(
  {
    section: id('Section id'),
    material: id('Material id'),
    length: number(1, 20000, 'mm'),
    note: Type.String({ maxLength: 120, description: 'Where it came from' }),
    donor: Type.Optional(
      Type.Boolean({ description: 'Cut out of another frame: its ends are sawn clean first' }),
    ),
    /** The bar of a build that it was left of, and the one that it went into. */
    cameFrom: Type.Optional(closed({ build: id('Build id'), bar: id('Bar id') }, 'Left of this bar')),
    usedFor: Type.Optional(closed({ build: id('Build id'), bar: id('Bar id') }, 'Cut for this bar')),
  },
  'An off-cut on the rack',
);
export type Offcut = Static<typeof OffcutSchema>;

const SawingSchema = closed(
  {
    kerf: number(0, 20, 'Width of the saw’s cut, mm'),
    trim: number(0, 200, 'Taken off each end of a new bar, mm'),
    keep: number(0, 5000, 'Shortest off-cut that is worth keeping, mm'),
  },
  'How bars are sawn',
);
export type Sawing = Static<typeof SawingSchema>;

/** Ways of joining metal. */
export const PROCESS_IDS = ['tig', 'mig', 'stick', 'braze'] as const;
const WelderSchema = closed(
  {
    process: literals('What it does', ...PROCESS_IDS),
    thin: number(0.3, 30, 'Thinnest wall that it is used for, mm'),
    thick: number(0.3, 30, 'Thickest, mm'),
  },
  'A welder or torch of the workshop',
);
export type Welder = Static<typeof WelderSchema>;

const day = Type.String({ pattern: '^[0-9]{4}-[0-9]{2}-[0-9]{2}$', description: 'Day' });
const WeldSchema = closed(
  {
    process: literals('Process', ...PROCESS_IDS),
    material: id('Material id'),
    wall: number(0.3, 30, 'Thinner wall, mm'),
    settings: name('As they stood on the machine'),
    length: number(0, 100000, 'Welded, mm; 0 where it was not measured'),
    minutes: number(0, 10000, 'With all that goes with it; 0 where it was not timed'),
    on: day,
  },
  'Welding that was logged',
);
export type LoggedWeld = Static<typeof WeldSchema>;

const HoursSchema = closed(
  {
    build: id('Build id'),
    step: name('Step'),
    sort: id('Kind of work'),
    usual: number(0, 2000, 'By the usual figure, hours'),
    took: number(0, 2000, 'hours'),
    on: day,
  },
  'A step that was timed',
);
export type LoggedHours = Static<typeof HoursSchema>;

const PullSchema = closed(
  {
    build: id('Build id'),
    lever: id('What was pulled, and which way'),
    pulled: number(0, 500, 'Pulled so far, mm'),
    stayed: number(0, 500, 'Stayed so far when it was let go, mm'),
    on: day,
  },
  'A frame that was set right cold',
);
export type LoggedPull = Static<typeof PullSchema>;

const MovedSchema = closed(
  {
    build: id('Build id'),
    kind: id('Kind of vehicle'),
    point: id('Key point'),
    joint: Type.Optional(id('Kind of joint that holds it')),
    by: vector,
    on: day,
  },
  'How far welding moved a key point',
);
export type LoggedMovement = Static<typeof MovedSchema>;

/** What an entry of the log is about. */
export const ENTRY_SORTS = ['note', 'change', 'fit-up', 'fault', 'picture', 'cost'] as const;
const EntrySchema = closed(
  {
    build: id('Build id'),
    on: day,
    sort: literals('What it is about', ...ENTRY_SORTS),
    about: Type.Optional(name('Piece or step')),
    stage: Type.Optional(literals('Stage', ...CHECK_STAGE_IDS)),
    text: Type.String({ maxLength: 2000, description: 'In words' }),
    cost: Type.Optional(number(0, 1000000, 'What it cost, in the workshop’s money')),
    picture: Type.Optional(id('Picture id')),
  },
  'An entry of the log',
);
export type LogEntry = Static<typeof EntrySchema>;

/** The workshop's lists by name; each item has an id of its own. */
export const SHOP_LISTS = {
  dies: DieSchema,
  trials: TrialSchema,
  tools: ToolSchema,
  stock: StockSchema,
  rack: OffcutSchema,
  sawing: SawingSchema,
  welders: WelderSchema,
  welds: WeldSchema,
  hours: HoursSchema,
  pulls: PullSchema,
  moved: MovedSchema,
  entries: EntrySchema,
  sections: SectionSchema,
  riders: RiderSchema,
  fixtures: ProfileSchema,
} as const satisfies Record<string, TSchema>;
export type ShopList = keyof typeof SHOP_LISTS;
export type ShopItems = { [L in ShopList]: Static<(typeof SHOP_LISTS)[L]> };
/** All lists of a workshop: items by their ids. */
export type Shop = { readonly [L in ShopList]: Readonly<Record<string, ShopItems[L]>> };

/** Lists that are written at the bench, too: what was done there. */
export const BENCH_LISTS: readonly ShopList[] = ['entries', 'hours', 'welds'];

export const isShopList = (value: string): value is ShopList => Object.hasOwn(SHOP_LISTS, value);
export const NO_SHOP: Shop = {
  dies: {},
  trials: {},
  tools: {},
  stock: {},
  rack: {},
  sawing: {},
  welders: {},
  welds: {},
  hours: {},
  pulls: {},
  moved: {},
  entries: {},
  sections: {},
  riders: {},
  fixtures: {},
};
/** Sawing is one item. */
export const USUAL_SAWING: Sawing = { kerf: 2, trim: 5, keep: 150 };

const ITEM_ID = /^[A-Za-z0-9._-]{1,60}$/;

/** What is wrong with an item of a list, or with its id, by path; nothing where it is one. */
export const shopFaults = (list: ShopList, itemId: string, value: unknown): readonly Fault[] => [
  ...(ITEM_ID.test(itemId)
    ? []
    : [{ path: '/', message: 'An item’s id has 1 to 60 letters, digits, points or dashes.' }]),
  ...schemaFaults(SHOP_LISTS[list], value),
];

export type ShopResult =
  { readonly ok: true; readonly shop: Shop } | { readonly ok: false; readonly faults: readonly Fault[] };

/** Reads a workshop’s lists from text, as its zip holds them. Never throws; every fault carries its path. */
export function readShopText(text: string): ShopResult {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return { ok: false, faults: [{ path: '/', message: 'This is not JSON.' }] };
  }
  if (typeof value !== 'object' || value === null)
    return { ok: false, faults: [{ path: '/', message: 'A workshop’s lists are a JSON object.' }] };
  const faults = Object.entries(value).flatMap(([list, items]): readonly Fault[] =>
    !isShopList(list)
      ? [{ path: `/${list}`, message: 'A workshop has no such list.' }]
      : Object.entries((items ?? {}) as object).flatMap(([id, item]) =>
          shopFaults(list, id, item).map(({ path, message }) => ({ path: `/${list}/${id}${path}`, message })),
        ),
  );
  return faults.length > 0 ? { ok: false, faults } : { ok: true, shop: { ...NO_SHOP, ...value } };
}
