import { isBegun, type StationEntry } from '../station';

export const work: StationEntry = {
  id: 'work',
  name: 'Work',
  group: 'Shop',
  load: async () => ({ Component: (await import('./WorkStation')).WorkStation }),
  empty: (document) => !isBegun(document, 'work') && (document.done ?? []).length === 0,
};
