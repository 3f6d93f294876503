import type { StationEntry } from '../station';

export const work: StationEntry = {
  id: 'work',
  name: 'Work',
  group: 'Shop',
  load: async () => ({ Component: (await import('./WorkStation')).WorkStation }),
  empty: (_, plan) => !plan || plan.cuts.length === 0,
};
