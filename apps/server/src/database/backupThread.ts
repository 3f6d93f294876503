/** The thread in which a running server makes its backups. */
import { parentPort, workerData } from 'node:worker_threads';
import type { Asked, Said } from './backupApart.js';
import { backUp, backUpDaily } from './backups.js';
import { troubleOf } from './trouble.js';

const { databaseFile, reason } = workerData as Asked;
const made = (): Said => {
  try {
    return {
      ok: true,
      backup: reason === 'daily' ? backUpDaily(databaseFile) : backUp(databaseFile, reason),
    };
  } catch (error) {
    const trouble = troubleOf(error);
    return trouble
      ? { ok: false, message: trouble.message, exitCode: trouble.exitCode }
      : { ok: false, message: error instanceof Error ? error.message : String(error) };
  }
};
parentPort!.postMessage(made());
