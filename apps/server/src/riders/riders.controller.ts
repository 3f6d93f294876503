import { Body, Controller, Delete, Get, HttpCode, Param, ParseIntPipe, Post } from '@nestjs/common';
import { SaveRiderRequest } from '@larchwood/contract';
import { RidersService } from './riders.service.js';

/** The workshop's riders: kept once, taken into any build's brief. */
@Controller('api/riders')
export class RidersController {
  constructor(private readonly riders: RidersService) {}

  @Get()
  list() {
    return this.riders.list();
  }

  /** Keeps a rider; one of the same name is kept anew. */
  @Post()
  save(@Body() request: SaveRiderRequest) {
    return this.riders.save(request);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id', ParseIntPipe) id: number) {
    return this.riders.remove(id);
  }
}
