import { wrap, type Remote } from 'comlink';
import { createContext, useContext, useEffect, useRef, useState, type ReactNode } from 'react';
import { clearanceFindings, type Clearances, type Finding } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import type { SeatWork } from './seat.worker';

interface Known {
  readonly clearances: Clearances | undefined;
  readonly findings: readonly Finding[];
  /** A newer one is being worked out. */
  readonly working: boolean;
}
const NONE: Known = { clearances: undefined, findings: [], working: true };
const ClearancesContext = createContext<Known>(NONE);
export const useClearances = (): Known => useContext(ClearancesContext);

let worker: Remote<SeatWork> | undefined;
/** One worker for as long as the application runs. */
export function seatWork(): Remote<SeatWork> {
  worker ??= wrap<SeatWork>(new Worker(new URL('./seat.worker.ts', import.meta.url), { type: 'module' }));
  return worker;
}

/** Waits so long after an edit before it sweeps, ms: a run of keys is one sweep. */
const REST = 350;

/** Keeps the sweep of the open build up to date in the worker. What is shown is the last one, until the next has come. */
export function ClearancesProvider({
  document,
  still,
  children,
}: {
  readonly document: BuildDocument;
  /** Nothing is being dragged. */
  readonly still: boolean;
  readonly children: ReactNode;
}) {
  const [known, setKnown] = useState(NONE);
  const newest = useRef(0);
  useEffect(() => {
    if (!still) return;
    const turn = (newest.current += 1);
    const timer = setTimeout(() => {
      setKnown((before) => ({ ...before, working: true }));
      const mine = () => turn === newest.current;
      seatWork()
        .clearances(document)
        .then(
          (clearances) => {
            const findings = clearances ? clearanceFindings(clearances) : [];
            if (mine()) setKnown({ clearances, findings, working: false });
          },
          // The last sweep stays where a new one cannot be made.
          () => mine() && setKnown((before) => ({ ...before, working: false })),
        );
    }, REST);
    return () => clearTimeout(timer);
  }, [document, still]);
  return <ClearancesContext value={known}>{children}</ClearancesContext>;
}
