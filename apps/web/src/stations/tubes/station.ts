import { isBegun, type StationEntry } from '../station';

export const tubes: StationEntry = {
  id: 'tubes',
  name: 'Tubes',
  group: 'Frame',
  load: async () => ({ Component: (await import('./TubesStation')).TubesStation }),
  empty: (document) => !isBegun(document, 'frame'),
};
