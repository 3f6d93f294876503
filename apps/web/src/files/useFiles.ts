import { useQueryClient } from '@tanstack/react-query';
import { proxy, wrap, type Remote } from 'comlink';
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import type { CutItem, FixtureDetails, Plan } from '@larchwood/core';
import { fileStem } from '@larchwood/format';
import {
  fileNameOf,
  type Making,
  type OrderPage,
  type Output,
  type OutputOptions,
  type Source,
} from '@larchwood/outputs';
import { builds } from '../api/builds';
import { useEditor } from '../editor/editor';
import { useEdition, useRevisionText } from '../editor/revision';
import { useShop } from '../lists/useShop';
import { useFoundNests } from '../shop/useFoundNests';
import { download } from './download';
import type { FileMaker } from './files.worker';
import type { SolidMaker } from './solids.worker';
import type { Build } from './wanted';

/** The open build as outputs take it, to look at sheets before they are printed. */
export function useSource(plan: Plan, details: FixtureDetails): Source {
  const { document } = useEditor('document');
  const revision = useRevisionText();
  const edition = useEdition();
  const { mark, date } = edition;
  return useMemo(
    () => ({ document, plan, details: () => details, revision, edition: { mark, date } }),
    [document, plan, details, revision, mark, date],
  );
}

/** More sheets than these are asked about before they are made. */
const MANY = 100;
/** What takes longer can be called off; ms. */
const LONG = 1000;

/** A pack on its way. */
export interface Packing {
  readonly making?: Making;
  readonly cancel: () => void;
}

/** Makes files off the main thread, each in a worker of its own, and downloads them; a failure is told. */
export function useFiles(): {
  /** Id of the output that is being made. */
  readonly busy: string | undefined;
  readonly packing: Packing | undefined;
  /** Sheets: how many it has, where that is known. */
  readonly make: (output: Output, options?: OutputOptions, sheets?: number) => Promise<void>;
  /** All of these outputs as one zip. */
  readonly pack: (outputs: readonly Output[]) => Promise<void>;
  /** What a cutting service gets, as a zip; nothing where it is called off. @throws Error naming a piece without a file */
  readonly order: (page: OrderPage, items: readonly CutItem[]) => Promise<Uint8Array | undefined>;
} {
  const [busy, setBusy] = useState<string>();
  const [packing, setPacking] = useState<Packing>();
  const { build, document, plan } = useEditor('build', 'document', 'plan');
  const { shop } = useShop();
  const [nests] = useFoundNests();
  const revision = useRevisionText();
  const edition = useEdition();
  const queries = useQueryClient();
  const address = `${window.location.origin}/builds/${build.id}`;
  const state: Build = { document, revision, edition, address, shop, nests };
  /** First, so that no save to come folds away the revision that the paper names. Without an answer it is made all the same. */
  const keepRevision = async (usedFor: string) => {
    await builds.mark(build.id, build.revision, { usedFor: `made: ${usedFor}` }).catch(() => undefined);
    void queries.invalidateQueries({ queryKey: ['revisions', build.id] });
  };
  const make = async (output: Output, options: OutputOptions = {}, sheets = 1) => {
    if (!plan) return;
    if (sheets > MANY && !(await agreed(output, sheets))) return;
    setBusy(output.id);
    const wanted = { ...state, output: output.id, options };
    const making = output.slow
      ? madeApart<SolidMaker, string | Uint8Array>(solidsWorker(), (maker) => maker.make(wanted))
      : madeApart<FileMaker, string | Uint8Array>(filesWorker(), (maker) => maker.make(wanted));
    const told = setTimeout(
      () =>
        toast(`Making: ${output.title}…`, {
          ...{ id: 'making', duration: Infinity },
          action: { label: 'Cancel', onClick: making.cancel },
        }),
      // What always takes its time says so at once.
      output.slow ? 0 : LONG,
    );
    try {
      await keepRevision(output.title);
      const made = await making.file;
      if (made === undefined) return;
      download(made as BlobPart, output.mediaType, fileNameOf(output, { document, plan, edition }, options));
    } catch (error) {
      toast(`The file could not be made: ${error instanceof Error ? error.message : 'unknown reason'}`);
    } finally {
      clearTimeout(told);
      toast.dismiss('making');
      setBusy(undefined);
    }
  };
  /** Made with its progress told; nothing where it is called off. */
  const madeInSteps = async (
    usedFor: string,
    work: (maker: Remote<FileMaker>, onMaking: (step: Making) => void) => Promise<Uint8Array>,
  ): Promise<Uint8Array | undefined> => {
    const onMaking = proxy((step: Making) => setPacking((before) => before && { ...before, making: step }));
    const making = madeApart<FileMaker, Uint8Array>(filesWorker(), (maker) => work(maker, onMaking));
    setPacking({ cancel: making.cancel });
    try {
      await keepRevision(usedFor);
      return await making.file;
    } finally {
      setPacking(undefined);
    }
  };
  const pack = async (outputs: readonly Output[]) => {
    try {
      const ids = outputs.map(({ id }) => id);
      const made = await madeInSteps('pack', (maker, onMaking) => maker.pack(state, ids, onMaking));
      if (made === undefined) return;
      const name = `${fileStem(document.name)}-${edition.mark}-${edition.date}.zip`;
      download(made as BlobPart, 'application/zip', name);
      toast(`The pack is made: ${name}, ${(made.length / 1e6).toFixed(1)} MB.`);
    } catch (error) {
      toast(`The pack could not be made: ${error instanceof Error ? error.message : 'unknown reason'}`);
    }
  };
  const order = (page: OrderPage, items: readonly CutItem[]) =>
    madeInSteps('order to be cut', (maker, onMaking) => maker.order(state, page, items, onMaking));
  return { busy, packing, make, pack, order };
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

const filesWorker = () => new Worker(new URL('./files.worker.ts', import.meta.url), { type: 'module' });
const solidsWorker = () => new Worker(new URL('./solids.worker.ts', import.meta.url), { type: 'module' });

/** Something on its way in a worker of its own; called off, nothing comes of it. */
function madeApart<M, T>(
  worker: Worker,
  work: (maker: Remote<M>) => Promise<T>,
): {
  readonly file: Promise<T | undefined>;
  readonly cancel: () => void;
} {
  let cancel: () => void = () => undefined;
  const cancelled = new Promise<undefined>((done) => {
    cancel = () => done(undefined);
  });
  const file = Promise.race([work(wrap<M>(worker)), cancelled]).finally(() => worker.terminate());
  return { file, cancel };
}
