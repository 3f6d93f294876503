import { existsSync } from 'node:fs';
import Database from 'libsql';
import { MIGRATIONS } from './migrations.js';
import { DatabaseTrouble, EXIT, troubleOf } from './trouble.js';

/** What a workshop's file holds, as far as a start, a backup or a restore must know. */
export interface Checked {
  /** Migrations of this version that it has not had yet; all of them for an empty one. */
  readonly pending: readonly string[];
  readonly builds: number;
  readonly revisions: number;
}

/** Runs something on a database of its own and closes it. */
export function withDatabase<T>(file: string, use: (database: Database.Database) => T): T {
  const database = new Database(file);
  try {
    return use(database);
  } finally {
    database.close();
  }
}

/**
 * Reads a file from end to end: whether it is whole, a Larchwood workshop, and of no newer version than this one.
 * @throws DatabaseTrouble in words
 */
export function check(file: string): Checked {
  if (!existsSync(file)) throw new DatabaseTrouble(`There is no file ${file}.`, EXIT.usage);
  try {
    return withDatabase(file, (database) => {
      const found = one(database, 'pragma quick_check(1)');
      if (found !== 'ok') throw damaged(file, String(found));
      return checkedTables(file, database);
    });
  } catch (error) {
    const trouble = troubleOf(error);
    if (trouble?.exitCode === EXIT.damaged && !(error instanceof DatabaseTrouble))
      throw damaged(file, (error as Error).message);
    throw trouble ?? error;
  }
}

function checkedTables(file: string, database: Database.Database): Checked {
  const tables = column(database, `select name from sqlite_master where type = 'table'`);
  const known = MIGRATIONS.map(({ name }) => name);
  if (tables.length === 0) return { pending: known, builds: 0, revisions: 0 };
  if (!tables.includes('mikro_orm_migrations') || !tables.includes('build'))
    throw new DatabaseTrouble(`${file} is no Larchwood workshop. It was left as it is.`, EXIT.notOurs);
  const had = column(database, 'select name from mikro_orm_migrations').map((name) =>
    name.replace(/\.[jt]s$/, ''),
  );
  const unknown = had.find((name) => !known.includes(name));
  if (unknown !== undefined)
    throw new DatabaseTrouble(
      `${file} was written by a newer Larchwood (it knows “${unknown}”). Update this one; the file was left as it is.`,
      EXIT.newer,
    );
  return {
    pending: known.filter((name) => !had.includes(name)),
    builds: Number(one(database, 'select count(*) from build')),
    revisions: Number(one(database, 'select count(*) from revision')),
  };
}

const damaged = (file: string, found: string): DatabaseTrouble =>
  new DatabaseTrouble(`${file} is damaged (${found}). It was left as it is.`, EXIT.damaged);
const column = (database: Database.Database, query: string): string[] =>
  database
    .prepare(query)
    .raw()
    .all()
    .map((row) => String((row as unknown[])[0]));
const one = (database: Database.Database, query: string): unknown =>
  (database.prepare(query).raw().get() as unknown[] | undefined)?.[0];
