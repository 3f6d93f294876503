import { EntityManager } from '@mikro-orm/core';
import { Injectable, NotFoundException, UnprocessableEntityException } from '@nestjs/common';
import { isShopList, SHOP_LISTS, shopFaults, type Fault, type Shop, type ShopList } from '@larchwood/format';
import { ShopItemEntity } from '../database/entities.js';

const ID = /^[A-Za-z0-9._-]{1,60}$/;
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
    const known = listOf(list);
    const faults = itemFaults(known, item, value);
    if (faults.length > 0)
      throw new UnprocessableEntityException({ message: 'This cannot be kept.', faults });
    const before = await this.entities.findOne(ShopItemEntity, { list, item });
    if (!before && (await this.entities.count(ShopItemEntity, { list })) >= MOST)
      throw new UnprocessableEntityException(`A list of the workshop holds at most ${MOST} items.`);
    const kept = before ?? this.entities.create(ShopItemEntity, { list, item, value });
    kept.value = value;
    await this.entities.persistAndFlush(kept);
    return kept.value;
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

/** What is wrong with an item and its id. */
export const itemFaults = (list: ShopList, item: string, value: unknown): readonly Fault[] => [
  ...(ID.test(item)
    ? []
    : [{ path: '/', message: 'An item’s id has 1 to 60 letters, digits, points, dashes.' }]),
  ...shopFaults(list, value),
];
