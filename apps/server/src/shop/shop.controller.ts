import { Body, Controller, Delete, ForbiddenException, Get, HttpCode, Param, Put } from '@nestjs/common';
import { SaveShopItemRequest, type Role } from '@larchwood/contract';
import { BENCH_LISTS } from '@larchwood/format';
import { ForBench, NOT_AT_BENCH, RoleOf } from '../door/roles.js';
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
   * @throws ForbiddenException when who is at the bench writes in a list that is none of the bench
   */
  @Put(':list/:id')
  @ForBench()
  save(
    @Param('list') list: string,
    @Param('id') id: string,
    @Body() { item }: SaveShopItemRequest,
    @RoleOf() role: Role,
  ) {
    if (role === 'bench' && !BENCH_LISTS.some((each) => each === list))
      throw new ForbiddenException(NOT_AT_BENCH);
    return this.shop.save(list, id, item);
  }

  @Delete(':list/:id')
  @HttpCode(204)
  remove(@Param('list') list: string, @Param('id') id: string) {
    return this.shop.remove(list, id);
  }
}
