import { ordersOf } from '@larchwood/core';
import type { StationEntry } from '../station';

export const pack: StationEntry = {
  id: 'pack',
  name: 'Pack',
  group: 'Record',
  load: async () => ({ Component: (await import('./PackStation')).PackStation }),
  empty: (document) => ordersOf(document).length === 0,
  isRecord: true,
};
