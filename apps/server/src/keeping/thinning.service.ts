import { EntityManager } from '@mikro-orm/core';
import { Injectable, Logger, type OnApplicationBootstrap, type OnApplicationShutdown } from '@nestjs/common';
import type { LogEntry } from '@larchwood/format';
import { thinned } from '../builds/thinning.js';
import { BuildEntity, PictureEntity, RevisionEntity, ShopItemEntity } from '../database/entities.js';
import { SettingsService } from './settings.service.js';

const KEY = 'thinning';
const HOUR = 3600 * 1000;
const DAY = 24 * HOUR;

/** Once an hour thins old revisions by the rule of `thinned`, unless that is turned off, and lets go of unused pictures. */
@Injectable()
export class ThinningService implements OnApplicationBootstrap, OnApplicationShutdown {
  private timer: NodeJS.Timeout | undefined;
  private readonly logger = new Logger('Thinning');

  constructor(
    private readonly entities: EntityManager,
    private readonly settings: SettingsService,
  ) {}

  onApplicationBootstrap(): void {
    this.timer = setInterval(() => {
      Promise.all([this.run(), this.sweepPictures()]).catch((error: unknown) =>
        this.logger.error(String(error)),
      );
    }, HOUR).unref();
  }
  onApplicationShutdown(): void {
    clearInterval(this.timer);
  }

  async isOn(): Promise<boolean> {
    return (await this.settings.get<boolean>(KEY)) ?? true;
  }
  turn(on: boolean): Promise<void> {
    return this.settings.set(KEY, on);
  }

  /**
   * Pictures that no entry of the log shows: of entries that were taken away, and may be brought back for a day.
   * @returns how many went
   */
  async sweepPictures(now = new Date()): Promise<number> {
    const entities = this.entities.fork();
    const entries = await entities.find(ShopItemEntity, { list: 'entries' });
    const shown = entries.flatMap(({ value }) => (value as LogEntry).picture ?? []);
    const keptAt = { $lt: new Date(now.getTime() - DAY) };
    return entities.nativeDelete(PictureEntity, { keptAt, id: { $nin: shown } });
  }

  /** @returns how many revisions went */
  async run(now = new Date()): Promise<number> {
    const entities = this.entities.fork();
    if (((await new SettingsService(entities).get<boolean>(KEY)) ?? true) === false) return 0;
    let gone = 0;
    for (const { id } of await entities.find(BuildEntity, {}, { fields: ['id'] })) {
      const found = await entities.find(
        RevisionEntity,
        { build: id },
        { fields: ['number', 'savedAt', 'name', 'usedFor'] },
      );
      const entries = found.map(({ number, savedAt, name, usedFor }) => ({
        ...{ number, savedAt },
        kept: name != null || (usedFor?.length ?? 0) > 0,
      }));
      const numbers = thinned(entries, now);
      if (numbers.length > 0)
        gone += await entities.nativeDelete(RevisionEntity, { build: id, number: { $in: numbers } });
      entities.clear();
    }
    if (gone > 0) await entities.getConnection().execute(UNUSED_PARTS);
    return gone;
  }
}

/** Parts that no document refers to any more. */
const UNUSED_PARTS = `delete from part where hash not in (
  select json_extract(document, '$.frame.origin.part') from revision
    where json_valid(document) and json_extract(document, '$.frame.origin.part') is not null
  union
  select json_extract(document, '$.frame.origin.part') from build
    where json_valid(document) and json_extract(document, '$.frame.origin.part') is not null)`;
