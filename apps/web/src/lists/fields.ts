import { SHOP_LISTS, type ShopItems, type ShopList } from '@larchwood/format';

type KeysOf<T> = T extends unknown ? keyof T & string : never;
export type ShopField = KeysOf<ShopItems[ShopList]>;

/** What the entries of the workshop's lists hold, as builders call it. A field without a name does not compile. */
const NAMES: Readonly<Record<ShopField, string>> = {
  about: 'Piece or step',
  ankleHeight: 'Ankle above the sole',
  asked: 'Bend wanted',
  below: 'Bender’s frame below the tube’s middle',
  build: 'Build',
  butts: 'Thick ends',
  by: 'Moved by',
  cameFrom: 'Left of bar',
  choices: 'Choices',
  clamp: 'Straight before the bend',
  corner: 'Outer corner radius',
  cost: 'Cost',
  diameter: 'Outer diameter',
  die: 'Die',
  donor: 'Cut out of another frame',
  floor: 'Tube’s middle over the floor',
  follow: 'Straight behind the bend',
  forearm: 'Forearm',
  got: 'Came out',
  height: 'Outer height',
  id: 'Number in the list',
  inseam: 'Inseam',
  joint: 'Joint',
  keep: 'Shortest off-cut to keep',
  kerf: 'Saw’s cut',
  kind: 'Kind of vehicle',
  largest: 'Largest that it takes',
  leftOut: 'Left out of the line',
  length: 'Length',
  lever: 'What was pulled',
  mark: 'Start of the bend to the die’s mark',
  mass: 'Weight',
  material: 'Material',
  minutes: 'Minutes',
  most: 'Most',
  name: 'Name',
  note: 'Note',
  on: 'Day',
  ovalEnd: 'Oval end',
  picture: 'Picture',
  play: 'Play of the arbor',
  point: 'Point',
  price: 'Price',
  process: 'Process',
  pulled: 'Pulled',
  radius: 'Centre-line radius',
  reach: 'Bender’s frame about the die',
  scale: 'Scale counts',
  scales: 'Scales',
  school: 'Kind of fixture',
  section: 'Section',
  set: 'Scale set beyond straight',
  settings: 'Machine settings',
  shank: 'Shank',
  shape: 'Shape',
  size: 'Tube size',
  sizes: 'Sizes',
  sort: 'Sort',
  speeds: 'Speeds',
  spring: 'Springback until bends are logged',
  stage: 'Stage',
  stature: 'Height',
  stayed: 'Stayed',
  step: 'Step',
  stock: 'On hand',
  taper: 'Taper',
  text: 'Text',
  thick: 'Thickest wall',
  thigh: 'Thigh',
  thin: 'Thinnest wall',
  took: 'Took',
  trim: 'Off each end of a new bar',
  trunk: 'Trunk',
  units: 'Units of its scales',
  upperArm: 'Upper arm',
  usedFor: 'Cut for bar',
  usual: 'Usual time',
  wall: 'Wall',
  width: 'Outer width',
  zero: 'Scale at a straight tube',
};
/** As the format says them at the end of what a figure is. */
const UNITS = ['mm', 'degrees', 'hours', 'kg'] as const;
export type ShopUnit = (typeof UNITS)[number];

export interface FieldLabel {
  readonly name: string;
  readonly unit: ShopUnit | undefined;
}

/** What a field of a list is called, and its unit where it holds figures. */
export function fieldLabel(list: ShopList, field: ShopField): FieldLabel {
  const { description = '' } =
    (SHOP_LISTS[list].properties as Partial<Record<ShopField, { readonly description?: string }>>)[field] ??
    {};
  return { name: NAMES[field], unit: UNITS.find((unit) => new RegExp(`\\b${unit}\\b`).test(description)) };
}
