import { Body, Controller, Delete, Get, HttpCode, Param, ParseIntPipe, Post } from '@nestjs/common';
import { SaveProfileRequest } from '@larchwood/contract';
import { ProfilesService } from './profiles.service.js';

/** The workshop's fixtures: profiles kept once, taken into any build. */
@Controller('api/profiles')
export class ProfilesController {
  constructor(private readonly profiles: ProfilesService) {}

  @Get()
  list() {
    return this.profiles.list();
  }

  /** Keeps a profile; one of the same school and name is kept anew. */
  @Post()
  save(@Body() request: SaveProfileRequest) {
    return this.profiles.save(request);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id', ParseIntPipe) id: number) {
    return this.profiles.remove(id);
  }
}
