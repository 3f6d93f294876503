import { isBegun, type StationEntry } from '../station';

export const steering: StationEntry = {
  id: 'steering',
  name: 'Steering',
  group: 'Plan',
  load: async () => ({ Component: (await import('./SteeringStation')).SteeringStation }),
  empty: (document) => !isBegun(document, 'steering'),
};
