import type { StationEntry } from '../station';

export const bench: StationEntry = {
  id: 'bench',
  name: 'Bench',
  group: 'Shop',
  load: async () => ({ Component: (await import('./BenchStation')).BenchStation }),
  isRecord: true,
  empty: ({ done = [] }) => done.length === 0,
};
