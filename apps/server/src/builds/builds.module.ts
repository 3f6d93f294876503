import { Module } from '@nestjs/common';
import { BuildsController } from './builds.controller.js';
import { BuildsService } from './builds.service.js';
import { ChangesModule } from '../changes/changes.module.js';
import { Documents } from './documents.js';

@Module({
  imports: [ChangesModule],
  controllers: [BuildsController],
  providers: [BuildsService, Documents],
  exports: [BuildsService],
})
export class BuildsModule {}
