import { EntityManager } from '@mikro-orm/core';
import { Injectable, NotFoundException, UnprocessableEntityException } from '@nestjs/common';
import { isShopList, SHOP_LISTS, shopFaults, type Shop, type ShopList } from '@larchwood/format';
import { ShopItemEntity } from '../database/entities.js';

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
   * @throws UnprocessableEntityException with every fault's path when it is no such item, or the list is full
   */
  async save(list: string, item: string, value: unknown): Promise<unknown> {
    const faults = shopFaults(listOf(list), item, value);
    if (faults.length > 0)
      throw new UnprocessableEntityException({ message: 'This cannot be kept.', faults });
    const there = await this.entities.count(ShopItemEntity, { list, item });
    if (there === 0 && (await this.entities.count(ShopItemEntity, { list })) >= MOST)
      throw new UnprocessableEntityException(`A list of the workshop holds at most ${MOST} items.`);
    // One statement, so that two who keep the same new item at once are not in each other's way.
    await this.entities.upsert(
      ShopItemEntity,
      { list, item, value },
      { onConflictFields: ['list', 'item'], onConflictMergeFields: ['value'] },
    );
    return value;
  }

  /** @throws NotFoundException when there is no such item. */
  async remove(list: string, item: string): Promise<void> {
    const gone = await this.entities.nativeDelete(ShopItemEntity, { list: listOf(list), item });
    if (gone === 0) throw new NotFoundException('The workshop’s list has no such item.');
  }
}

function listOf(list: string): ShopList {
  if (!isShopList(list)) throw new NotFoundException('The workshop has no such list.');
  return list;
}
