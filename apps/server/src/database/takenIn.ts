import { readdirSync, rmSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';

const MARK = '.taken-in-';

/** How a folder begins in which something lies while it is taken in: beside the workshop’s file, where there is room. */
export const takenInAt = (databaseFile: string): string => databaseFile + MARK;

/** Takes away what a server that was killed has left of such folders; only for who holds the workshop’s file. */
export function clearTakenIn(databaseFile: string): void {
  const folder = dirname(databaseFile);
  for (const name of readdirSync(folder))
    if (name.startsWith(basename(databaseFile) + MARK))
      rmSync(join(folder, name), { recursive: true, force: true });
}
