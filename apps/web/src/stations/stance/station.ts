import { isBegun, type StationEntry } from '../station';
import { StanceStation } from './StanceStation';

export const stance: StationEntry = {
  id: 'stance',
  name: 'Stance',
  group: 'Plan',
  // An open build begins here: its first view waits for nothing more.
  load: () => Promise.resolve({ Component: StanceStation }),
  empty: (document) => !isBegun(document, 'stance', 'wheels'),
};
