import type { StationEntry } from '../station';

export const brief: StationEntry = {
  id: 'brief',
  name: 'Brief',
  group: 'Plan',
  load: async () => ({ Component: (await import('./BriefStation')).BriefStation }),
  empty: ({ brief: { purpose, riders, shelf, limits } }) =>
    purpose === '' && riders.length + shelf.length + limits.length === 0,
};
