import type { CheckStage } from '@larchwood/format';

/** When a frame is measured, in the order in which it is built. `whole`: on its wheels. */
export const CHECK_STAGES: Readonly<
  Record<CheckStage, { readonly name: string; readonly about: string; readonly whole: boolean }>
> = {
  dry: {
    name: 'Dry fit',
    about: 'Loose in the fixture: what is wrong now is a tube that is changed in minutes.',
    whole: false,
  },
  tacked: {
    name: 'Tacked',
    about: 'Clamps off. A tack is cut in a moment, a weld is not.',
    whole: false,
  },
  root: { name: 'After the root', about: 'Cold, and without clamps.', whole: false },
  cap: { name: 'After the cap', about: 'Cold, and without clamps.', whole: false },
  off: {
    name: 'Off the fixture',
    about: 'On a flat table or on three blocks, so that nothing holds it.',
    whole: false,
  },
  relieved: { name: 'After stress relief', about: 'Cold through, on the same blocks.', whole: false },
  assembled: {
    name: 'Assembled',
    about: 'On its wheels on a level floor, tyres up to pressure, bars straight.',
    whole: true,
  },
  ridden: {
    name: 'After the first ride',
    about: 'On its wheels again: what has settled, and whether anything moved.',
    whole: true,
  },
};
