import { MikroORM } from '@mikro-orm/core';
import {
  Inject,
  Injectable,
  Logger,
  type OnApplicationBootstrap,
  type OnApplicationShutdown,
} from '@nestjs/common';
import { backUpApart, type Asked } from './backupApart.js';
import { backupsOf, type Backup } from './backups.js';
import type { Lock } from './lock.js';

export const DATABASE_FILE = Symbol('database file');
export const DATABASE_LOCK = Symbol('database lock');
const HOUR = 3600 * 1000;
/** A start is not held up by the day's backup; ms. */
const AFTER_START = 30_000;

/** The workshop's file while the server runs: its daily backups, and a clean end. */
@Injectable()
export class DatabaseFile implements OnApplicationBootstrap, OnApplicationShutdown {
  private readonly logger = new Logger('Backup');
  private timer: NodeJS.Timeout | undefined;
  private first: NodeJS.Timeout | undefined;
  private making: Promise<unknown> = Promise.resolve();

  constructor(
    @Inject(DATABASE_FILE) private readonly file: string,
    @Inject(DATABASE_LOCK) private readonly lock: Lock,
    private readonly orm: MikroORM,
  ) {}

  onApplicationBootstrap(): void {
    this.timer = setInterval(() => void this.daily(), HOUR).unref();
    this.first = setTimeout(() => void this.daily(), AFTER_START).unref();
  }

  /** A backup that fails is told, and stops nobody's work. */
  async daily(): Promise<void> {
    try {
      await this.after({ databaseFile: this.file, reason: 'daily' });
    } catch (error) {
      this.logger.error(`The daily backup was not made: ${(error as Error).message}`);
    }
  }

  list(): Backup[] {
    return backupsOf(this.file);
  }
  async backUp(): Promise<Backup> {
    return (await this.after({ databaseFile: this.file, reason: 'by-hand' }))!;
  }

  /** One after the other, and none left when the server ends. */
  private after(asked: Asked): Promise<Backup | undefined> {
    const next = this.making.then(() => backUpApart(asked));
    this.making = next.catch(() => undefined);
    return next;
  }

  async onApplicationShutdown(): Promise<void> {
    clearInterval(this.timer);
    clearTimeout(this.first);
    await this.making;
    await settle(this.orm);
    await this.orm.close(true);
    this.lock.release();
  }
}

/** One whole file, with nothing left in the log beside it, as a clean stop leaves it. */
async function settle(orm: MikroORM): Promise<void> {
  const connection = orm.em.getConnection();
  await connection.execute('pragma wal_checkpoint(truncate)');
}
