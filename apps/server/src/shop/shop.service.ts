import { EntityManager } from '@mikro-orm/core';
import {
  ConflictException,
  ForbiddenException,
  Injectable,
  NotFoundException,
  UnprocessableEntityException,
} from '@nestjs/common';
import { shopItemFaults } from '@larchwood/core';
import type { Role, ShopItemChange, ShopNotice, StoredItem, StoredShop } from '@larchwood/contract';
import {
  BENCH_LISTS,
  isShopList,
  sameItem,
  SHOP_LISTS,
  type Shop,
  type ShopItems,
  type ShopList,
} from '@larchwood/format';
import { Changes } from '../changes/changes.js';
import { ShopItemEntity } from '../database/entities.js';
import { NOT_AT_BENCH } from '../door/roles.js';

/** Most items of one list. */
const MOST = 5000;

/** An item's place in the workshop's lists. */
export interface ItemPlace {
  readonly list: string;
  readonly id: string;
}

/** Stores the workshop's lists, an item a row, each with a revision of its own. */
@Injectable()
export class ShopService {
  constructor(
    private readonly entities: EntityManager,
    private readonly changes: Changes,
  ) {}

  async stored(): Promise<StoredShop> {
    const shop = Object.fromEntries(
      Object.keys(SHOP_LISTS).map((list) => [list, {} as Record<string, StoredItem>]),
    );
    // In the order in which they were put in.
    for (const row of await this.entities.find(ShopItemEntity, {}, { orderBy: { id: 'asc' } })) {
      const items = shop[row.list];
      if (items) items[row.item] = storedItem(row);
    }
    return shop as unknown as StoredShop;
  }

  /** The lists as the core takes them. */
  async all(): Promise<Shop> {
    const lists = Object.entries(await this.stored()).map(([list, items]) => [
      list,
      Object.fromEntries(
        Object.entries(items as Record<string, StoredItem>).map(([id, { item }]) => [id, item]),
      ),
    ]);
    return Object.fromEntries(lists) as unknown as Shop;
  }

  /**
   * Keeps an item over the revision last seen. The same change sent again, because its answer was lost, is answered the same.
   * @throws NotFoundException when there is no such list
   * @throws ForbiddenException when it is none of who asks
   * @throws ConflictException with the item as it stands, when somebody changed it in between
   * @throws UnprocessableEntityException with every fault's path when it is no such item, or the list is full
   */
  async save(place: ItemPlace, value: unknown, change: ShopItemChange, role: Role): Promise<StoredItem> {
    const kept = await this.keep(place, value, change, role);
    this.tell(listOf(place.list), change);
    return kept;
  }

  /** Keeps new items, each as `save` does; windows are told once, by `told` when all is done. */
  async keepNew(items: readonly (ItemPlace & { readonly value: unknown })[]): Promise<void> {
    for (const { list, id, value } of items) await this.keep({ list, id }, value, { over: 0 }, 'builder');
  }
  /** Tells open windows that several items came in. */
  told(): void {
    this.tell('several', { over: 0 });
  }

  private keep(place: ItemPlace, value: unknown, change: ShopItemChange, role: Role): Promise<StoredItem> {
    const list = listOf(place.list);
    return this.entities.transactional(async (entities) => {
      const row = await owned(entities, list, place.id, role);
      if (row && isSent(row, change)) return storedItem(row);
      const faults = shopItemFaults(list, place.id, value);
      if (faults.length > 0)
        throw new UnprocessableEntityException({ message: 'This cannot be kept.', faults });
      if (row && row.revision !== change.over) {
        // Two who kept the same are not in each other's way.
        if (sameItem(row.value, value)) return storedItem(row);
        throw changedInBetween(row);
      }
      if (!row && change.over > 0) throw changedInBetween(null);
      if (!row && (await entities.count(ShopItemEntity, { list })) >= MOST)
        throw new UnprocessableEntityException(`A list of the workshop holds at most ${MOST} items.`);
      const next =
        row ??
        entities.create(ShopItemEntity, { list, item: place.id, value, by: role, revision: 0, saveId: null });
      entities.assign(next, { value, revision: next.revision + 1, saveId: change.saveId ?? null });
      entities.persist(next);
      return storedItem(next);
    });
  }

  /**
   * @throws NotFoundException when there is no such item
   * @throws ForbiddenException when it is none of who asks
   * @throws ConflictException with the item as it stands, when somebody changed it in between
   */
  async remove(place: ItemPlace, change: ShopItemChange, role: Role): Promise<void> {
    const list = listOf(place.list);
    await this.entities.transactional(async (entities) => {
      const row = await owned(entities, list, place.id, role);
      if (!row) throw new NotFoundException('The workshop’s list has no such item.');
      if (row.revision !== change.over) throw changedInBetween(row);
      entities.remove(row);
    });
    this.tell(list, change);
  }

  private tell(shop: ShopNotice['shop'], { saveId }: ShopItemChange): void {
    this.changes.tell({ shop, ...(saveId === undefined ? {} : { saveId }) });
  }
}

/** An item that is there, if who asks may change it: at the bench only what was written there, in the lists of the bench. */
async function owned(
  entities: EntityManager,
  list: ShopList,
  item: string,
  role: Role,
): Promise<ShopItemEntity | null> {
  const row = await entities.findOne(ShopItemEntity, { list, item });
  if (role !== 'bench') return row;
  if (!BENCH_LISTS.includes(list)) throw new ForbiddenException(NOT_AT_BENCH);
  if (row && row.by !== 'bench')
    throw new ForbiddenException(
      'A builder wrote this entry: at the bench you can change what was written there.',
    );
  return row;
}

const isSent = (row: ShopItemEntity, { saveId }: ShopItemChange): boolean =>
  saveId !== undefined && row.saveId === saveId;
const storedItem = ({ revision, saveId, value }: ShopItemEntity): StoredItem => ({
  revision,
  ...(saveId == null ? {} : { saveId }),
  item: value as ShopItems[ShopList],
});
const changedInBetween = (row: ShopItemEntity | null): ConflictException =>
  new ConflictException({
    message: `This entry of the workshop’s lists was ${row ? 'changed' : 'taken off'} elsewhere in the meantime. Nothing was overwritten.`,
    currentItem: row && storedItem(row),
  });

function listOf(list: string): ShopList {
  if (!isShopList(list)) throw new NotFoundException('The workshop has no such list.');
  return list;
}
