import { wrap } from 'comlink';
import { useEffect, useState } from 'react';
import type { Finding } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import type { GapsWork } from './gaps.worker';

/**
 * What is too near to what as a build came out, swept beside the page.
 * @param built the build as it came out; none where it makes no vehicle
 * @returns nothing until it is known
 */
export function useGapsAsBuilt(built: BuildDocument | undefined): readonly Finding[] | undefined {
  const [known, setKnown] = useState<{ readonly of: BuildDocument; readonly gaps: readonly Finding[] }>();
  useEffect(() => {
    if (!built) return undefined;
    const worker = new Worker(new URL('./gaps.worker.ts', import.meta.url), { type: 'module', name: 'gaps' });
    let looking = true;
    wrap<GapsWork>(worker)
      .gapsOf(built)
      .then(
        (gaps) => looking && setKnown({ of: built, gaps }),
        () => undefined,
      );
    return () => {
      looking = false;
      worker.terminate();
    };
  }, [built]);
  return known?.of === built ? known?.gaps : undefined;
}
