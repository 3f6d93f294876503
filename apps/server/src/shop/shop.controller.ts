import { Body, Controller, Delete, Get, HttpCode, Param, Put } from '@nestjs/common';
import { SaveShopItemRequest } from '@larchwood/contract';
import { ShopService } from './shop.service.js';

/** What the workshop owns and has learned: dies, logged bends, tools, stock lengths, off-cuts. */
@Controller('api/shop')
export class ShopController {
  constructor(private readonly shop: ShopService) {}

  @Get()
  all() {
    return this.shop.all();
  }

  /** Keeps an item; one of the same id is kept anew. */
  @Put(':list/:id')
  save(@Param('list') list: string, @Param('id') id: string, @Body() { item }: SaveShopItemRequest) {
    return this.shop.save(list, id, item);
  }

  @Delete(':list/:id')
  @HttpCode(204)
  remove(@Param('list') list: string, @Param('id') id: string) {
    return this.shop.remove(list, id);
  }
}
