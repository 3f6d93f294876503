import { Worker } from 'node:worker_threads';
import type { Backup, Reason } from './backups.js';
import { DatabaseTrouble } from './trouble.js';

/** What is asked of the thread that makes backups. */
export interface Asked {
  readonly databaseFile: string;
  /** One that is made when it is due, or one for a reason now. */
  readonly reason: Extract<Reason, 'daily' | 'by-hand'>;
}

/** What it says. */
export type Said =
  | { readonly ok: true; readonly backup: Backup | undefined }
  | { readonly ok: false; readonly message: string; readonly exitCode?: number };

/** The thread's file; run from its sources the server has it read by what reads the sources. */
function thread(workerData: Asked): Worker {
  if (!import.meta.url.endsWith('.ts'))
    return new Worker(new URL('./backupThread.js', import.meta.url), { workerData });
  const source = new URL('./backupThread.ts', import.meta.url).href;
  const read = `import('tsx/esm/api').then(({ tsImport }) => tsImport('${source}', '${source}'))`;
  return new Worker(read, { workerData, eval: true, execArgv: ['--conditions=development'] });
}

/**
 * Makes a backup in a thread of its own: copying and reading back a large workshop takes seconds, in which every request is
 * answered as ever.
 * @returns the backup; undefined where a daily one is not due
 * @throws DatabaseTrouble in words
 */
export function backUpApart(asked: Asked): Promise<Backup | undefined> {
  return new Promise((resolve, reject) => {
    const worker = thread(asked);
    worker.once('message', (said: Said) => {
      if (said.ok) resolve(said.backup);
      else
        reject(
          said.exitCode === undefined
            ? new Error(said.message)
            : new DatabaseTrouble(said.message, said.exitCode),
        );
    });
    worker.once('error', reject);
    worker.once('exit', (code) => reject(new Error(`The backup ended with code ${code}.`)));
  });
}
