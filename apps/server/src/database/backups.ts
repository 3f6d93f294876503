import { copyFileSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { basename, dirname, join, resolve } from 'node:path';
import { check, withDatabase, type Checked } from './check.js';
import { lock } from './lock.js';
import { DatabaseTrouble, EXIT, troubleOf } from './trouble.js';

export const REASONS = ['daily', 'by-hand', 'before-update', 'before-restore'] as const;
export type Reason = (typeof REASONS)[number];

export interface Backup {
  /** Name of the file in the folder of backups. */
  readonly name: string;
  readonly file: string;
  /** ISO 8601. */
  readonly madeAt: string;
  readonly reason: Reason;
  /** Bytes. */
  readonly size: number;
}

/** So many backups of those made by themselves are kept; those made by hand stay until they are deleted. */
export const KEPT = 14;
/** A new daily one is made when the newest is older; ms. */
export const DAY = 24 * 3600 * 1000;

const stemOf = (databaseFile: string): string => basename(databaseFile).replace(/\.sqlite$/, '');
/** Where the backups of a workshop's file lie. */
export const backupFolder = (databaseFile: string): string => join(dirname(databaseFile), 'backups');

/**
 * Writes a consistent copy of the workshop beside it, also while a server has it open, and reads the copy back from end to
 * end before it takes its name.
 * @throws DatabaseTrouble in words; no half-written copy is left
 */
export function backUp(databaseFile: string, reason: Reason, now = new Date()): Backup {
  const before = check(databaseFile);
  const folder = backupFolder(databaseFile);
  const file = freeName(databaseFile, reason, now);
  const part = `${file}.part`;
  try {
    mkdirSync(folder, { recursive: true });
    rmSync(part, { force: true });
    withDatabase(databaseFile, (database) => database.prepare('vacuum into ?').run(part));
    const copy = check(part);
    if (copy.builds < before.builds || copy.revisions < before.revisions)
      throw new DatabaseTrouble('The copy does not hold all that the workshop does.', EXIT.damaged);
    renameSync(part, file);
  } catch (error) {
    rmSync(part, { force: true });
    throw troubleOf(error) ?? error;
  }
  prune(databaseFile);
  return backupAt(databaseFile, basename(file))!;
}

/** A name for a backup that none has yet: two may be made at once. */
function freeName(databaseFile: string, reason: Reason, now: Date): string {
  const stamp = now.toISOString().replace(/[-:]/g, '');
  const file = join(backupFolder(databaseFile), `${stemOf(databaseFile)}-${stamp}-${reason}.sqlite`);
  return existsSync(file) ? freeName(databaseFile, reason, new Date(now.getTime() + 1)) : file;
}

/** Newest first. */
export function backupsOf(databaseFile: string): Backup[] {
  const folder = backupFolder(databaseFile);
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .flatMap((name) => backupAt(databaseFile, name) ?? [])
    .sort((a, b) => b.name.localeCompare(a.name));
}

/** Makes the day's backup where it is due. */
export function backUpDaily(databaseFile: string, now = new Date()): Backup | undefined {
  const newest = backupsOf(databaseFile).find(({ reason }) => reason === 'daily');
  const due = newest === undefined || now.getTime() - Date.parse(newest.madeAt) >= DAY;
  return due ? backUp(databaseFile, 'daily', now) : undefined;
}

/** The newest backup that reads from end to end. */
export function newestGood(databaseFile: string): Backup | undefined {
  return backupsOf(databaseFile).find(({ file }) => {
    try {
      return check(file).builds >= 0;
    } catch {
      return false;
    }
  });
}

export interface Restored extends Checked {
  /** Where what was there before lies now. */
  readonly keptAs: string | undefined;
}

/**
 * Puts a backup in a workshop's place, after reading it from end to end; what was there is kept among the backups, whole
 * or damaged as it was.
 * @throws DatabaseTrouble in words, with nothing changed
 */
export function restore(databaseFile: string, from: string, now = new Date()): Restored {
  const source = resolve(from);
  const found = check(source);
  if (found.builds === 0 && found.revisions === 0)
    throw new DatabaseTrouble(`${source} holds no builds. Nothing was changed.`, EXIT.usage);
  mkdirSync(dirname(databaseFile), { recursive: true });
  const held = lock(databaseFile);
  const part = `${databaseFile}.part`;
  try {
    // By SQLite, as what is given may be a live file with its log beside it.
    rmSync(part, { force: true });
    withDatabase(source, (database) => database.prepare('vacuum into ?').run(part));
    check(part);
    const keptAs = existsSync(databaseFile) ? putAside(databaseFile, now) : undefined;
    renameSync(part, databaseFile);
    return { ...found, keptAs };
  } catch (error) {
    rmSync(part, { force: true });
    throw troubleOf(error) ?? error;
  } finally {
    held.release();
  }
}

/** Byte for byte, with its log: it may be damaged. */
function putAside(databaseFile: string, now: Date): string {
  const aside = freeName(databaseFile, 'before-restore', now);
  mkdirSync(dirname(aside), { recursive: true });
  for (const suffix of ['', '-wal', '-shm']) {
    if (existsSync(databaseFile + suffix)) copyFileSync(databaseFile + suffix, aside + suffix);
  }
  for (const suffix of ['-wal', '-shm']) rmSync(databaseFile + suffix, { force: true });
  return aside;
}

/** Deletes the oldest of those made by themselves beyond those that are kept. */
function prune(databaseFile: string): void {
  const automatic = backupsOf(databaseFile).filter(({ reason }) => reason !== 'by-hand');
  for (const { file } of automatic.slice(KEPT)) {
    for (const suffix of ['', '-wal', '-shm']) rmSync(file + suffix, { force: true });
  }
}

function backupAt(databaseFile: string, name: string): Backup | undefined {
  const stem = stemOf(databaseFile).replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
  const parts = new RegExp(
    `^${stem}-(\\d{4})(\\d\\d)(\\d\\d)T(\\d\\d)(\\d\\d)(\\d\\d\\.\\d{3})Z-([a-z-]+)\\.sqlite$`,
  ).exec(name);
  const reason = REASONS.find((each) => each === parts?.[7]);
  if (!parts || !reason) return undefined;
  const [, year, month, day, hour, minute, second] = parts;
  const file = join(backupFolder(databaseFile), name);
  return {
    name,
    file,
    madeAt: `${year}-${month}-${day}T${hour}:${minute}:${second}Z`,
    reason,
    size: statSync(file).size,
  };
}
