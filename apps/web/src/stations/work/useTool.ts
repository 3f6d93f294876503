import { useMemo } from 'react';
import { jobsOf, toolJobs, toolOf, type Plan, type Step } from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import { useShop } from '../../lists/useShop';

/** What a step is made with, of the workshop's own tools where they do it. */
export function useTool(plan: Plan, step: Step | undefined): string | undefined {
  const { document } = useEditor('document');
  const { shop } = useShop();
  const { cuts } = document;
  const jobs = useMemo(
    () => toolJobs(jobsOf(plan.frame, plan.cuts, plan.holes, cuts ? { cuts } : {}), shop),
    [plan, cuts, shop],
  );
  return step && toolOf(step, jobs);
}
