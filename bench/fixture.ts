import { planBuild, SCHOOLS, settle, study, workOf } from '@larchwood/core';
import { demoBuilds, median } from './demo.js';

/** Settings of every demo build in every school that can hold it, and a study of ten thousand draws. */
export function fixtures(): void {
  for (const { name, document } of demoBuilds()) {
    const planned = planBuild(document);
    if (!planned.ok) throw new Error(name);
    const built = { document, ...planned.plan };
    const told = SCHOOLS.flatMap(({ id }) => {
      const worked = workOf(built, id);
      if (!worked.ok) return [];
      const settings = median(60, () => {
        const again = workOf(built, id);
        return again.ok && settle(again.working, []);
      });
      const draws = median(3, () => study(worked.working, { draws: 10000, seed: 1 }));
      return [`${id} ${settings.toFixed(2)} ms, study ${draws.toFixed(0)} ms`];
    });
    console.log(`${name}: ${told.join('; ')}`);
  }
}
