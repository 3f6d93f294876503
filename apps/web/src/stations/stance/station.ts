import type { StationEntry } from '../station';

export const stance: StationEntry = {
  id: 'stance',
  name: 'Stance',
  group: 'Plan',
  load: async () => ({ Component: (await import('./StanceStation')).StanceStation }),
  empty: (_, plan) => !plan,
};
