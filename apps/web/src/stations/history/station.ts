import type { StationEntry } from '../station';

export const history: StationEntry = {
  id: 'history',
  name: 'History',
  group: 'Record',
  load: async () => ({ Component: (await import('./HistoryStation')).HistoryStation }),
  empty: (_, plan) => !plan,
  isRecord: true,
};
