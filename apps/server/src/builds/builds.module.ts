import { Module } from '@nestjs/common';
import { BuildsController } from './builds.controller.js';
import { BuildsService } from './builds.service.js';
import { Changes } from './changes.js';
import { Documents } from './documents.js';

@Module({
  controllers: [BuildsController],
  providers: [BuildsService, Changes, Documents],
  exports: [BuildsService, Changes],
})
export class BuildsModule {}
