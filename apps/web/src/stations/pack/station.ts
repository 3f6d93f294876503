import type { StationEntry } from '../station';

export const pack: StationEntry = {
  id: 'pack',
  name: 'Pack',
  group: 'Record',
  load: async () => ({ Component: (await import('./PackStation')).PackStation }),
  empty: (_, plan) => !plan,
  isRecord: true,
};
