import type { StationEntry } from '../station';

export const seat: StationEntry = {
  id: 'seat',
  name: 'Seat',
  group: 'Plan',
  load: async () => ({ Component: (await import('./SeatStation')).SeatStation }),
  empty: (_, plan) => !plan,
};
