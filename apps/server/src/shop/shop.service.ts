import { EntityManager } from '@mikro-orm/core';
import {
  ForbiddenException,
  Injectable,
  NotFoundException,
  UnprocessableEntityException,
} from '@nestjs/common';
import type { Role } from '@larchwood/contract';
import { BENCH_LISTS, isShopList, SHOP_LISTS, shopFaults, type Shop, type ShopList } from '@larchwood/format';
import { ShopItemEntity } from '../database/entities.js';
import { NOT_AT_BENCH } from '../door/roles.js';

/** Most items of one list. */
const MOST = 5000;

/** Stores the workshop's lists, an item a row. */
@Injectable()
export class ShopService {
  constructor(private readonly entities: EntityManager) {}

  async all(): Promise<Shop> {
    const shop = Object.fromEntries(
      Object.keys(SHOP_LISTS).map((list) => [list, {} as Record<string, unknown>]),
    );
    // In the order in which they were put in.
    for (const { list, item, value } of await this.entities.find(
      ShopItemEntity,
      {},
      { orderBy: { id: 'asc' } },
    ))
      if (shop[list]) shop[list][item] = value;
    return shop as unknown as Shop;
  }

  /**
   * @throws NotFoundException when there is no such list
   * @throws ForbiddenException when it is none of who asks
   * @throws UnprocessableEntityException with every fault's path when it is no such item, or the list is full
   */
  async save(list: string, item: string, value: unknown, role: Role): Promise<unknown> {
    const before = await this.owned(listOf(list), item, role);
    const faults = shopFaults(listOf(list), item, value);
    if (faults.length > 0)
      throw new UnprocessableEntityException({ message: 'This cannot be kept.', faults });
    if (!before && (await this.entities.count(ShopItemEntity, { list })) >= MOST)
      throw new UnprocessableEntityException(`A list of the workshop holds at most ${MOST} items.`);
    // One statement, so that two who keep the same new item at once are not in each other's way.
    await this.entities.upsert(
      ShopItemEntity,
      { list, item, value, by: before ? (before.by ?? null) : role },
      { onConflictFields: ['list', 'item'], onConflictMergeFields: ['value'] },
    );
    return value;
  }

  /**
   * @throws NotFoundException when there is no such item
   * @throws ForbiddenException when it is none of who asks
   */
  async remove(list: string, item: string, role: Role): Promise<void> {
    await this.owned(listOf(list), item, role);
    const gone = await this.entities.nativeDelete(ShopItemEntity, { list: listOf(list), item });
    if (gone === 0) throw new NotFoundException('The workshop’s list has no such item.');
  }

  /** An item that is there, if who asks may change it: at the bench only what was written there, in the lists of the bench. */
  private async owned(list: ShopList, item: string, role: Role): Promise<ShopItemEntity | null> {
    const before = await this.entities.findOne(ShopItemEntity, { list, item });
    if (role !== 'bench') return before;
    if (!BENCH_LISTS.includes(list)) throw new ForbiddenException(NOT_AT_BENCH);
    if (before && before.by !== 'bench')
      throw new ForbiddenException(
        'A builder wrote this entry: at the bench you can change what was written there.',
      );
    return before;
  }
}

function listOf(list: string): ShopList {
  if (!isShopList(list)) throw new NotFoundException('The workshop has no such list.');
  return list;
}
