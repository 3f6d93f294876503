import { isBegun, isDoneIn, type StationEntry } from '../station';

export const cuts: StationEntry = {
  id: 'cuts',
  name: 'Cuts',
  group: 'Frame',
  load: async () => ({ Component: (await import('./CutsStation')).CutsStation }),
  empty: (document) => !isBegun(document, 'cuts') && !isDoneIn(document, 'cut:', 'bend:', 'drill:'),
};
