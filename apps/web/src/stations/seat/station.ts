import { isBegun, type StationEntry } from '../station';

export const seat: StationEntry = {
  id: 'seat',
  name: 'Seat',
  group: 'Plan',
  load: async () => ({ Component: (await import('./SeatStation')).SeatStation }),
  empty: (document) => document.brief.riders.length === 0 && !isBegun(document, 'seat', 'mass'),
};
