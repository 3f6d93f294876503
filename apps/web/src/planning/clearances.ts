import { clearanceFindings, type Clearances, type Finding } from '@larchwood/core';
import { useMemo } from 'react';
import { useSlow } from './useSlow';

interface Known {
  readonly clearances: Clearances | undefined;
  readonly findings: readonly Finding[];
  /** A newer one is being worked out. */
  readonly working: boolean;
}

/** The sweep of everything that moves: the last one, until the next has come. */
export function useClearances(): Known {
  const { value: clearances, working } = useSlow('clearances');
  const findings = useMemo(() => (clearances ? clearanceFindings(clearances) : []), [clearances]);
  return { clearances, findings, working };
}
