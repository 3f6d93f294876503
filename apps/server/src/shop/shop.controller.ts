import { Body, Controller, Delete, Get, HttpCode, Param, Put, Query } from '@nestjs/common';
import { SaveShopItemRequest, ShopItemChange, type Role } from '@larchwood/contract';
import { ForBench, RoleOf } from '../door/roles.js';
import { ShopService, type ItemPlace } from './shop.service.js';

/** What the workshop owns and has learned: dies, logged bends, tools, stock lengths, off-cuts, riders, fixtures, the log. */
@Controller('api/shop')
export class ShopController {
  constructor(private readonly shop: ShopService) {}

  @Get()
  all() {
    return this.shop.stored();
  }

  /**
   * Keeps an item over the revision of it that was last seen.
   * @throws ForbiddenException when who is at the bench writes in a list that is none of the bench, or over a builder's entry
   * @throws ConflictException with the item as it stands, when it was changed in between
   */
  @Put(':list/:id')
  @ForBench()
  save(
    @Param() place: Readonly<ItemPlace>,
    @Body() { item, ...change }: SaveShopItemRequest,
    @RoleOf() role: Role,
  ) {
    return this.shop.save(place, item, change, role);
  }

  @Delete(':list/:id')
  @HttpCode(204)
  @ForBench()
  remove(@Param() place: Readonly<ItemPlace>, @Query() change: ShopItemChange, @RoleOf() role: Role) {
    return this.shop.remove(place, change, role);
  }
}
