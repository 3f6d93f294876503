import { defineConfig } from '@mikro-orm/libsql';
import { Migrator } from '@mikro-orm/migrations';
import {
  BuildEntity,
  CuttingOrderEntity,
  PartEntity,
  PictureEntity,
  RevisionEntity,
  SessionEntity,
  SettingEntity,
  ShopItemEntity,
} from './entities.js';
import { MIGRATIONS } from './migrations.js';

interface Pragmas {
  pragma?(statement: string): unknown;
}

/** One SQLite file, in write-ahead mode, with foreign keys. */
export function databaseConfig(file: string) {
  return defineConfig({
    dbName: file,
    entities: [
      BuildEntity,
      CuttingOrderEntity,
      RevisionEntity,
      PartEntity,
      SettingEntity,
      ShopItemEntity,
      PictureEntity,
      SessionEntity,
    ],
    extensions: [Migrator],
    migrations: { migrationsList: MIGRATIONS, snapshot: false, silent: true },
    forceUtcTimezone: true,
    pool: {
      afterCreate: (connection: unknown, done: (error: unknown, connection: unknown) => void) => {
        const { pragma } = connection as Pragmas;
        for (const statement of [
          'journal_mode = WAL',
          'foreign_keys = ON',
          'busy_timeout = 4000',
          // An answered save outlives a power cut.
          'synchronous = FULL',
        ]) {
          pragma?.call(connection, statement);
        }
        done(null, connection);
      },
    },
  });
}
