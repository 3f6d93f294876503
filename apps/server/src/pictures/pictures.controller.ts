import { Controller, Delete, Get, HttpCode, Param, Post, Req, Res } from '@nestjs/common';
import { LARGEST_PICTURE } from '@larchwood/contract';
import type { Request, Response } from 'express';
import { Id } from '../params.js';
import { ForBench } from '../door/roles.js';
import { rawBody } from '../rawBody.js';
import { PicturesService } from './pictures.service.js';

const ID = new Id();
/** A little more than a picture may have, so that one that is too large is answered in words. */
const bodyOf = rawBody(LARGEST_PICTURE + 1024);

/** Pictures of the log. */
@Controller('api/pictures')
export class PicturesController {
  constructor(private readonly pictures: PicturesService) {}

  /** The body is the picture itself. */
  @Post()
  @ForBench()
  async keep(@Req() request: Request, @Res({ passthrough: true }) response: Response) {
    return this.pictures.keep(await bodyOf(request, response));
  }

  @Get(':id')
  async get(@Param('id', ID) id: string, @Res() response: Response) {
    const { type, bytes } = await this.pictures.get(id);
    // Of one id there is never another picture.
    response.set('Cache-Control', 'private, max-age=31536000, immutable');
    response.type(type).send(bytes);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id', ID) id: string) {
    return this.pictures.remove(id);
  }
}
