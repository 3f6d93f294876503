import { EntityManager } from '@mikro-orm/core';
import { Injectable } from '@nestjs/common';
import { SettingEntity } from '../database/entities.js';

/** The workshop's settings, by key. */
@Injectable()
export class SettingsService {
  constructor(private readonly entities: EntityManager) {}

  async get<T>(key: string): Promise<T | undefined> {
    const found = await this.entities.findOne(SettingEntity, { key });
    return found === null ? undefined : (found.value as T);
  }

  /** Undefined takes it away. */
  async set(key: string, value: unknown): Promise<void> {
    if (value === undefined) await this.entities.nativeDelete(SettingEntity, { key });
    else await this.entities.upsert(SettingEntity, { key, value });
  }
}
