import Database from 'libsql';
import { DatabaseTrouble, EXIT, troubleOf } from './trouble.js';

/** A held file; letting go twice is no harm. */
export interface Lock {
  readonly release: () => void;
}

/**
 * Holds a workshop's file for this process alone. The hold is a lock of the operating system on a small file beside it,
 * so that it is gone with the process, however that ends.
 * @throws DatabaseTrouble when another process holds it
 */
export function lock(databaseFile: string): Lock {
  const held = new Database(`${databaseFile}.lock`);
  try {
    held.exec('begin exclusive');
  } catch (error) {
    held.close();
    if (troubleOf(error)?.exitCode !== EXIT.inUse) throw error;
    throw new DatabaseTrouble(
      `Another Larchwood server has ${databaseFile} open. Stop that one first, or set LARCHWOOD_DATABASE to another file.`,
      EXIT.inUse,
    );
  }
  let open = true;
  return {
    release: () => {
      if (!open) return;
      open = false;
      held.close();
    },
  };
}
