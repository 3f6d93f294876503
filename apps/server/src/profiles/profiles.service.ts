import { EntityManager } from '@mikro-orm/core';
import { Injectable, NotFoundException, UnprocessableEntityException } from '@nestjs/common';
import { readProfile } from '@larchwood/core';
import type { SaveProfileRequest, StoredProfile } from '@larchwood/contract';
import { ProfileEntity } from '../database/entities.js';

/** Stores the workshop's fixtures, one a school and name. */
@Injectable()
export class ProfilesService {
  constructor(private readonly entities: EntityManager) {}

  async list(): Promise<StoredProfile[]> {
    const order = { school: 'asc', name: 'asc' } as const;
    return (await this.entities.find(ProfileEntity, {}, { orderBy: order })).map(stored);
  }

  /** @throws UnprocessableEntityException with every fault's path when it is no profile. */
  async save({ profile: given }: SaveProfileRequest): Promise<StoredProfile> {
    const read = readProfile(given);
    if (!read.ok)
      throw new UnprocessableEntityException({
        message: 'This profile cannot be kept.',
        faults: read.faults,
      });
    const { profile } = read;
    const { school, name } = profile;
    const before = await this.entities.findOne(ProfileEntity, { school, name });
    const kept = before ?? this.entities.create(ProfileEntity, { school, name, profile });
    kept.profile = profile;
    await this.entities.persistAndFlush(kept);
    return stored(kept);
  }

  /** @throws NotFoundException when there is none of that number. */
  async remove(id: number): Promise<void> {
    const gone = await this.entities.nativeDelete(ProfileEntity, { id });
    if (gone === 0) throw new NotFoundException(`There is no profile ${id} in the workshop’s list.`);
  }
}

const stored = ({ id, profile }: ProfileEntity): StoredProfile => ({ id, profile });
