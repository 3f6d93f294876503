import { wrap } from 'comlink';
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import type { FixtureDetails, Plan } from '@larchwood/core';
import { fileNameOf, type Output, type OutputOptions, type Source } from '@larchwood/outputs';
import { useEditor } from '../editor/editor';
import { useRevisionText } from '../editor/revision';
import { download } from './download';
import type { FileMaker, Wanted } from './files.worker';

/** The open build as outputs take it, to look at sheets before they are printed. */
export function useSource(plan: Plan, details: FixtureDetails): Source {
  const { document } = useEditor('document');
  const revision = useRevisionText();
  return useMemo(
    () => ({ document, plan, details: () => details, revision }),
    [document, plan, details, revision],
  );
}

/** Makes files off the main thread, each in a worker of its own, and downloads them; a failure is told. */
export function useFiles(): {
  /** Id of the output that is being made. */
  readonly busy: string | undefined;
  readonly make: (output: Output, source: Source, options?: OutputOptions) => Promise<void>;
} {
  const [busy, setBusy] = useState<string>();
  const make = async (output: Output, source: Source, options: OutputOptions = {}) => {
    const { document, revision } = source;
    setBusy(output.id);
    try {
      const made = await madeApart({ output: output.id, options, document, revision });
      download(made as BlobPart, output.mediaType, fileNameOf(output, source, options));
    } catch (error) {
      toast(`The file could not be made: ${error instanceof Error ? error.message : 'unknown reason'}`);
    } finally {
      setBusy(undefined);
    }
  };
  return { busy, make };
}

async function madeApart(wanted: Wanted): Promise<string | Uint8Array> {
  const worker = new Worker(new URL('./files.worker.ts', import.meta.url), { type: 'module' });
  try {
    return await wrap<FileMaker>(worker).make(wanted);
  } finally {
    worker.terminate();
  }
}
