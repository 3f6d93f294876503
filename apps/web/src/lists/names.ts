import type { ShopList } from '@larchwood/format';

/** The workshop's lists as builders call them. */
export const LIST_NAMES: Readonly<Record<ShopList, string>> = {
  dies: 'Dies',
  trials: 'Logged bends',
  tools: 'Tools',
  stock: 'Stock lengths',
  rack: 'Off-cuts on the rack',
  sawing: 'Sawing',
  welders: 'Welders',
  welds: 'Logged welds',
  hours: 'Logged hours',
  pulls: 'Logged pulls',
  moved: 'Logged movements',
  entries: 'The log',
  sections: 'Own sections',
  riders: 'The workshop’s riders',
  fixtures: 'The workshop’s fixtures',
};
