import { useQueryClient } from '@tanstack/react-query';
import { wrap } from 'comlink';
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import type { FixtureDetails, Plan } from '@larchwood/core';
import { fileNameOf, type Output, type OutputOptions, type Source } from '@larchwood/outputs';
import { builds } from '../api/builds';
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

/** More sheets than these are asked about before they are made. */
const MANY = 100;
/** What takes longer can be called off; ms. */
const LONG = 1000;

/** Makes files off the main thread, each in a worker of its own, and downloads them; a failure is told. */
export function useFiles(): {
  /** Id of the output that is being made. */
  readonly busy: string | undefined;
  /** Sheets: how many it has, where that is known. */
  readonly make: (output: Output, source: Source, options?: OutputOptions, sheets?: number) => Promise<void>;
} {
  const [busy, setBusy] = useState<string>();
  const { build } = useEditor('build');
  const queries = useQueryClient();
  const make = async (output: Output, source: Source, options: OutputOptions = {}, sheets = 1) => {
    const { document, revision, shop } = source;
    if (sheets > MANY && !(await agreed(output, sheets))) return;
    setBusy(output.id);
    const making = madeApart({ output: output.id, options, document, revision, ...(shop ? { shop } : {}) });
    const told = setTimeout(
      () =>
        toast(`Making: ${output.title}…`, {
          ...{ id: 'making', duration: Infinity },
          action: { label: 'Cancel', onClick: making.cancel },
        }),
      LONG,
    );
    try {
      // First, so that no save to come folds away the revision that the paper names. Without an answer it is made all the same.
      await builds
        .mark(build.id, build.revision, { usedFor: `made: ${output.title}` })
        .catch(() => undefined);
      void queries.invalidateQueries({ queryKey: ['revisions', build.id] });
      const made = await making.file;
      if (made === undefined) return;
      download(made as BlobPart, output.mediaType, fileNameOf(output, source, options));
    } catch (error) {
      toast(`The file could not be made: ${error instanceof Error ? error.message : 'unknown reason'}`);
    } finally {
      clearTimeout(told);
      toast.dismiss('making');
      setBusy(undefined);
    }
  };
  return { busy, make };
}

/** Whether so many sheets are wanted. */
const agreed = (output: Output, sheets: number): Promise<boolean> =>
  new Promise((answer) => {
    toast(`${output.title}: that is ${sheets.toLocaleString('en')} sheets of paper.`, {
      ...{ id: 'many sheets', duration: Infinity },
      action: { label: 'Make them all', onClick: () => answer(true) },
      cancel: { label: 'Leave it', onClick: () => answer(false) },
      onDismiss: () => answer(false),
    });
  });

/** A file on its way; called off, nothing comes of it. */
function madeApart(wanted: Wanted): {
  readonly file: Promise<string | Uint8Array | undefined>;
  readonly cancel: () => void;
} {
  const worker = new Worker(new URL('./files.worker.ts', import.meta.url), { type: 'module' });
  let cancel: () => void = () => undefined;
  const cancelled = new Promise<undefined>((done) => {
    cancel = () => done(undefined);
  });
  const file = Promise.race([wrap<FileMaker>(worker).make(wanted), cancelled]).finally(() =>
    worker.terminate(),
  );
  return { file, cancel };
}
