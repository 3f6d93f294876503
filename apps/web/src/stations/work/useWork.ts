import { useMemo } from 'react';
import {
  paceOf,
  progressOf,
  standingSettings,
  lateChanges,
  lateSettings,
  type Late,
  timedOf,
  type Progress,
  type Sort,
  type Step,
  type Work,
} from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import { useSlow } from '../../planning/useSlow';
import { useShop } from '../../lists/useShop';
import { workOf } from '../../edits/work';

export interface WorkHand {
  readonly work: Work;
  readonly progress: Progress;
  /** Steps that were done by other numbers than they have now. */
  readonly late: readonly Late[];
  /** Hours of a step: the builder's own word, else the usual ones by the pace of the workshop's log. */
  readonly hours: (step: Step) => number;
  /** How much longer than usual work of a sort takes in this workshop, by its log. */
  readonly pace: (sort: Sort) => number;
}

const NONE: ReturnType<typeof lateSettings> = new Map();

/** The order of work, made beside the page, and how far it is; nothing until it is there. */
export function useWork(): WorkHand | undefined {
  const { build, document, plan } = useEditor('build', 'document', 'plan');
  const { value } = useSlow('work');
  const { shop } = useShop();
  const { done } = document;
  const { readings } = document.fixture;
  const { school } = document.brief;
  const set = useMemo(() => standingSettings(readings, school), [readings, school]);
  const fixture = plan?.fixture;
  const frame = plan?.frame;
  const elsewhere = useMemo(() => (fixture ? lateSettings(fixture, readings) : NONE), [fixture, readings]);
  const own = workOf(document).hours;
  const { id } = build;
  const timed = useMemo(
    () => [
      ...Object.values(shop.hours)
        .filter((each) => each.build !== id)
        .map(({ sort, usual, took }) => ({ sort: sort as Sort, usual, took })),
      // This build says itself what its steps took, also what was logged at the bench.
      ...(value ? timedOf(value.steps, done) : []),
    ],
    [shop.hours, id, value, done],
  );
  return useMemo(() => {
    if (!value) return undefined;
    const progress = progressOf(value.steps, done, set, elsewhere);
    return {
      work: value,
      progress,
      late:
        frame && fixture ? lateChanges(value.steps, done ?? [], progress, elsewhere, { frame, fixture }) : [],
      hours: (step) => own[step.id] ?? step.hours * paceOf(timed, step.sort).factor,
      pace: (sort) => paceOf(timed, sort).factor,
    };
  }, [value, done, own, timed, set, elsewhere, frame, fixture]);
}
