import { Body, Controller, Delete, Get, HttpCode, Param, Put } from '@nestjs/common';
import { SaveShopItemRequest, type Role } from '@larchwood/contract';
import { ForBench, RoleOf } from '../door/roles.js';
import { ShopService } from './shop.service.js';

/** What the workshop owns and has learned: dies, logged bends, tools, stock lengths, off-cuts. */
@Controller('api/shop')
export class ShopController {
  constructor(private readonly shop: ShopService) {}

  @Get()
  all() {
    return this.shop.all();
  }

  /**
   * Keeps an item; one of the same id is kept anew.
   * @throws ForbiddenException when who is at the bench writes in a list that is none of the bench, or over a builder's entry
   */
  @Put(':list/:id')
  @ForBench()
  save(
    @Param('list') list: string,
    @Param('id') id: string,
    @Body() { item }: SaveShopItemRequest,
    @RoleOf() role: Role,
  ) {
    return this.shop.save(list, id, item, role);
  }

  @Delete(':list/:id')
  @HttpCode(204)
  @ForBench()
  remove(@Param('list') list: string, @Param('id') id: string, @RoleOf() role: Role) {
    return this.shop.remove(list, id, role);
  }
}
