import type { ToolJob } from '../tools/settings.js';
import type { Step } from './step.js';

/**
 * What a step is made with: of the workshop's own tools those that do each of its ends and holes best, else the general
 * word of the step.
 * @param jobs every end and hole with the workshop's answers, from `toolJobs`
 */
export function toolOf(step: Step, jobs: readonly ToolJob[]): string | undefined {
  if (step.sort !== 'cut' && step.sort !== 'drill') return step.tool;
  const mine = jobs.filter(
    ({ job }) =>
      step.pieces.includes(job.piece) &&
      job.kind !== 'copy' &&
      (job.kind === 'hole') === (step.sort === 'drill'),
  );
  const names = [...new Set(mine.flatMap(({ best }) => (best ? [best.name] : [])))];
  if (names.length === 0) return step.tool;
  const none = mine.filter(({ best }) => !best).map(({ job }) => `${job.mark} ${job.what}`);
  return [...names, ...(none.length > 0 ? [`nothing on hand for ${none.join(', ')}`] : [])].join('; ');
}
