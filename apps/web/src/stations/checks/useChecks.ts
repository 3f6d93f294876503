import type { CheckList, StageResult } from '@larchwood/core';
import type { CheckStage, Measured } from '@larchwood/format';
import { useEditor } from '../../editor/editor';
import { useSlow } from '../../planning/useSlow';

export interface ChecksHand {
  readonly list: CheckList;
  readonly results: readonly StageResult[];
  /** What is read at a stage, by measure. */
  readonly readingAt: (stage: CheckStage, measure: string) => Measured | undefined;
}

/** What there is to measure, and what came of it; nothing until it is there. */
export function useChecks(): ChecksHand | undefined {
  const { document } = useEditor('document');
  const list = useSlow('checkList').value;
  const results = useSlow('checkResults').value;
  if (!list) return undefined;
  return {
    list,
    results: results ?? [],
    readingAt: (stage, measure) =>
      document.measured?.find((each) => each.stage === stage && each.measure === measure),
  };
}
