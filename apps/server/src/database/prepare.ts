import { existsSync, mkdirSync, statSync } from 'node:fs';
import { dirname } from 'node:path';
import { backUp, newestGood } from './backups.js';
import { check, withDatabase } from './check.js';
import { lock, type Lock } from './lock.js';
import { clearTakenIn } from './takenIn.js';
import { DatabaseTrouble, EXIT, troubleOf } from './trouble.js';

/**
 * Makes a workshop's file ready for this server alone: held, read from end to end, and backed up where it is to be brought
 * up to date.
 * @throws DatabaseTrouble in words, with nothing changed
 */
export function prepare(databaseFile: string): Lock {
  let held: Lock | undefined;
  try {
    mkdirSync(dirname(databaseFile), { recursive: true });
    held = lock(databaseFile);
    clearTakenIn(databaseFile);
    if (existsSync(databaseFile) && statSync(databaseFile).size > 0) {
      const { pending } = check(databaseFile);
      withDatabase(databaseFile, (database) => {
        database.exec('begin immediate');
        database.exec('rollback');
      });
      if (pending.length > 0) backUp(databaseFile, 'before-update');
    }
    return held;
  } catch (error) {
    held?.release();
    throw withBackup(databaseFile, troubleOf(error) ?? error);
  }
}

/** A damaged file is met with the way out: the newest backup that reads. */
function withBackup(databaseFile: string, error: unknown): unknown {
  if (!(error instanceof DatabaseTrouble) || error.exitCode !== EXIT.damaged) return error;
  const good = newestGood(databaseFile);
  return new DatabaseTrouble(
    good === undefined
      ? `${error.message} No backup of it was found.`
      : `${error.message}\nThe newest good backup is of ${good.madeAt}:\n  npm run restore -- ${good.file}`,
    error.exitCode,
  );
}
