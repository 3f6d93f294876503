import type { StationEntry } from '../station';

export const cuts: StationEntry = {
  id: 'cuts',
  name: 'Cuts',
  group: 'Frame',
  load: async () => ({ Component: (await import('./CutsStation')).CutsStation }),
  empty: (_, plan) => !plan || plan.cuts.length === 0,
};
