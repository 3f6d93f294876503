import type { StationEntry } from '../station';

export const checks: StationEntry = {
  id: 'checks',
  name: 'Checks',
  group: 'Shop',
  load: async () => ({ Component: (await import('./ChecksStation')).ChecksStation }),
  empty: ({ measured }) => (measured ?? []).length === 0,
  isRecord: true,
};
