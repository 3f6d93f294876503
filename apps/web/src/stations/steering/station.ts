import type { StationEntry } from '../station';

export const steering: StationEntry = {
  id: 'steering',
  name: 'Steering',
  group: 'Plan',
  load: async () => ({ Component: (await import('./SteeringStation')).SteeringStation }),
  empty: (_, plan) => !plan || plan.findings.some(({ code }) => code === 'linkage-usual'),
};
