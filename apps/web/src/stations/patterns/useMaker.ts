import { wrap, type Remote } from 'comlink';
import { useState } from 'react';
import { toast } from 'sonner';
import { download } from '../../parts/download';
import type { PdfMaker } from './pdf.worker';

/** What is made in the worker, and as what it is downloaded. */
interface Wanted {
  readonly type: string;
  readonly name: string;
  readonly make: (maker: Remote<PdfMaker>) => Promise<Uint8Array>;
}

/** Makes files off the main thread, each in a worker of its own, and downloads them; a failure is told. */
export function useMaker(): { readonly busy: boolean; readonly make: (wanted: Wanted) => Promise<void> } {
  const [busy, setBusy] = useState(false);
  const make = async ({ type, name, make: work }: Wanted) => {
    setBusy(true);
    const worker = new Worker(new URL('./pdf.worker.ts', import.meta.url), { type: 'module' });
    try {
      download((await work(wrap<PdfMaker>(worker))) as BlobPart, type, name);
    } catch (error) {
      toast(`The file could not be made: ${error instanceof Error ? error.message : 'unknown reason'}`);
    } finally {
      worker.terminate();
      setBusy(false);
    }
  };
  return { busy, make };
}
