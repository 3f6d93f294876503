import {
  Body,
  Controller,
  Delete,
  Get,
  Header,
  HttpCode,
  Param,
  ParseIntPipe,
  Patch,
  Post,
  Put,
  Res,
} from '@nestjs/common';
import { BuildSchema, documentFileName, documentText } from '@larchwood/format';
import {
  CreateBuildRequest,
  RenameBuildRequest,
  RestoreRevisionRequest,
  SaveBuildRequest,
} from '@larchwood/contract';
import type { Response } from 'express';
import { BuildsService } from './builds.service.js';

@Controller('api')
export class BuildsController {
  constructor(private readonly builds: BuildsService) {}

  @Get('schema')
  @Header('Content-Type', 'application/schema+json')
  schema() {
    return BuildSchema;
  }

  @Get('builds')
  list() {
    return this.builds.list();
  }

  @Post('builds')
  create(@Body() request: CreateBuildRequest) {
    return this.builds.create(request);
  }

  /** The body is a build document as it stands in a file; the format's own check answers for it. */
  @Post('builds/import')
  import(@Body() document: unknown) {
    return this.builds.import(document);
  }

  @Get('builds/:id')
  get(@Param('id') id: string) {
    return this.builds.get(id);
  }

  @Put('builds/:id')
  save(@Param('id') id: string, @Body() request: SaveBuildRequest) {
    return this.builds.save(id, request.revision, request.document, { saveId: request.saveId });
  }

  @Patch('builds/:id')
  rename(@Param('id') id: string, @Body() request: RenameBuildRequest) {
    return this.builds.rename(id, request.name);
  }

  @Delete('builds/:id')
  @HttpCode(204)
  remove(@Param('id') id: string) {
    return this.builds.remove(id);
  }

  @Post('builds/:id/duplicate')
  duplicate(@Param('id') id: string) {
    return this.builds.duplicate(id);
  }

  @Post('builds/:id/bring-back')
  bringBack(@Param('id') id: string) {
    return this.builds.bringBack(id);
  }

  @Get('builds/:id/export')
  async export(@Param('id') id: string, @Res() response: Response) {
    const { name, document } = await this.builds.file(id);
    response.attachment(documentFileName(name));
    response.type('application/json').send(documentText(document));
  }

  @Get('builds/:id/revisions')
  revisions(@Param('id') id: string) {
    return this.builds.revisions(id);
  }

  @Get('builds/:id/revisions/:number')
  revision(@Param('id') id: string, @Param('number', ParseIntPipe) number: number) {
    return this.builds.revision(id, number);
  }

  @Post('builds/:id/restore')
  restore(@Param('id') id: string, @Body() request: RestoreRevisionRequest) {
    return this.builds.restore(id, request.revision);
  }
}
