import type { StationEntry } from '../station';

export const log: StationEntry = {
  id: 'log',
  name: 'Log',
  group: 'Record',
  load: async () => ({ Component: (await import('./LogStation')).LogStation }),
  empty: ({ notes, done = [], measured = [] }) => notes === '' && done.length + measured.length === 0,
  isRecord: true,
};
