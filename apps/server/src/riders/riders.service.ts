import { EntityManager } from '@mikro-orm/core';
import { Injectable, NotFoundException } from '@nestjs/common';
import type { SaveRiderRequest, StoredRider } from '@larchwood/contract';
import { RiderEntity } from '../database/entities.js';

/** Stores the workshop's riders, one a name. */
@Injectable()
export class RidersService {
  constructor(private readonly entities: EntityManager) {}

  async list(): Promise<StoredRider[]> {
    return (await this.entities.find(RiderEntity, {}, { orderBy: { name: 'asc' } })).map(stored);
  }

  async save({ name: given, ...measures }: SaveRiderRequest): Promise<StoredRider> {
    const name = given.trim();
    const before = await this.entities.findOne(RiderEntity, { name });
    const rider = before ?? this.entities.create(RiderEntity, { name, measures });
    rider.measures = { ...measures };
    await this.entities.persistAndFlush(rider);
    return stored(rider);
  }

  /** @throws NotFoundException when there is none of that number. */
  async remove(id: number): Promise<void> {
    const gone = await this.entities.nativeDelete(RiderEntity, { id });
    if (gone === 0) throw new NotFoundException(`There is no rider ${id} in the workshop’s list.`);
  }
}

const stored = ({ id, name, measures }: RiderEntity): StoredRider => ({ id, rider: { name, ...measures } });
