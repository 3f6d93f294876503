import { isBegun, type StationEntry } from '../station';

export const joints: StationEntry = {
  id: 'joints',
  name: 'Joints',
  group: 'Frame',
  load: async () => ({ Component: (await import('./JointsStation')).JointsStation }),
  empty: (document) => !isBegun(document, 'frame'),
};
