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
  Query,
  Res,
  Sse,
  type MessageEvent,
} from '@nestjs/common';
import { BuildSchema, documentFileName, documentText } from '@larchwood/format';
import {
  CreateBuildRequest,
  MarkRevisionRequest,
  RenameBuildRequest,
  RestoreRevisionRequest,
  SaveBuildRequest,
  type Role,
} from '@larchwood/contract';
import type { Response } from 'express';
import { map, type Observable } from 'rxjs';
import { ForBench, RoleOf } from '../door/roles.js';
import { AsItIs, Id, WholeNumber } from '../params.js';
import { BuildsService } from './builds.service.js';
import { Changes } from '../changes/changes.js';

const FROM = new WholeNumber();
const ID = new Id();

@Controller('api')
export class BuildsController {
  constructor(
    private readonly builds: BuildsService,
    private readonly changes: Changes,
  ) {}

  @Get('schema')
  @Header('Content-Type', 'application/schema+json')
  schema() {
    return BuildSchema;
  }

  @Get('builds')
  list(@Query('from', FROM) from: number) {
    return this.builds.list(from);
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
  get(@Param('id', ID) id: string) {
    return this.builds.get(id);
  }

  @Put('builds/:id')
  @ForBench()
  save(
    @Param('id', ID) id: string,
    @Body(new AsItIs(SaveBuildRequest)) request: Readonly<SaveBuildRequest>,
    @RoleOf() role: Role,
  ) {
    return this.builds.save(id, request, role);
  }

  @Patch('builds/:id')
  rename(@Param('id', ID) id: string, @Body() request: RenameBuildRequest) {
    return this.builds.rename(id, request.name);
  }

  @Delete('builds/:id')
  @HttpCode(204)
  remove(@Param('id', ID) id: string) {
    return this.builds.remove(id);
  }

  @Post('builds/:id/duplicate')
  duplicate(@Param('id', ID) id: string) {
    return this.builds.duplicate(id);
  }

  @Post('builds/:id/bring-back')
  bringBack(@Param('id', ID) id: string) {
    return this.builds.bringBack(id);
  }

  @Get('builds/:id/export')
  async export(@Param('id', ID) id: string, @Res() response: Response) {
    const { name, document } = await this.builds.file(id);
    response.attachment(documentFileName(name));
    response.type('application/json').send(documentText(document));
  }

  @Get('builds/:id/revisions')
  revisions(@Param('id', ID) id: string, @Query('from', FROM) from: number) {
    return this.builds.revisions(id, from);
  }

  /** Server-sent events: what is saved or deleted of this build, from now on. */
  @Sse('builds/:id/events')
  events(@Param('id', ID) id: string): Observable<MessageEvent> {
    return this.changes.line(id).pipe(map((data) => ({ data })));
  }

  @Get('builds/:id/revisions/:number')
  revision(@Param('id', ID) id: string, @Param('number', ParseIntPipe) number: number) {
    return this.builds.revision(id, number);
  }

  @Patch('builds/:id/revisions/:number')
  mark(
    @Param('id', ID) id: string,
    @Param('number', ParseIntPipe) number: number,
    @Body() request: MarkRevisionRequest,
  ) {
    return this.builds.mark(id, number, request);
  }

  @Post('builds/:id/restore')
  restore(@Param('id', ID) id: string, @Body() request: RestoreRevisionRequest) {
    return this.builds.restore(id, request.revision);
  }
}
