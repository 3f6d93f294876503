import { isBegun, type StationEntry } from '../station';

export const patterns: StationEntry = {
  id: 'patterns',
  name: 'Patterns',
  group: 'Shop',
  load: async () => ({ Component: (await import('./PatternsStation')).PatternsStation }),
  empty: (document) => !isBegun(document, 'frame'),
};
