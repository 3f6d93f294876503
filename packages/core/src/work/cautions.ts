/** What can hurt, told where the step is: short, and never dismissed for good. */
export const CAUTIONS = {
  notApproved:
    'Larchwood is no engineering approval. Steering, brakes, suspension and roll structure: welds by a qualified welder, or checked by one; the local vehicle code and the event’s rule book go before this sheet.',
  donor:
    'A donor can be cracked, bent or under load: springs and stretched frames jump when they are cut. Relieve it, and bolt a strap across the joint before cutting.',
  coating:
    'Zinc, chrome and paint burn to poison: strip them well back from every joint, and outdoors if it can be done.',
  cleaner:
    'No chlorinated cleaner anywhere near an arc: it makes a poison gas. Acetone away and its lid on before the first spark.',
  arc: 'Eyes, skin and lungs covered, air moving [ANSI Z49.1 and local rules].',
  fire: 'Paper plan and wood away from the heat, water and extinguisher at hand; watch for fire for half an hour after the last arc.',
  vent: 'A closed tube blows out or bursts when it gets hot: vent it first.',
  bender: 'Benders and rolls take fingers; watch the side where the tube comes out, too.',
  grinder: 'Grinder: guard on, face shield down, disc rated for the speed.',
  drill: 'Hole saws grab thin tube: clamp it, never hold it.',
  heat: 'Grease, seals, bearings and plastics stay away until the last weld is cold.',
  ride: 'First ride: slow, away from traffic, helmet on, a stop switch in reach. Nothing here says that it is fit for the road.',
} as const;
export type CautionId = keyof typeof CAUTIONS;
