import { Module, type DynamicModule } from '@nestjs/common';
import { APP_GUARD } from '@nestjs/core';
import { ChangesModule } from '../changes/changes.module.js';
import { SettingsModule } from '../keeping/settings.module.js';
import { DoorController } from './door.controller.js';
import { DoorGuard } from './door.guard.js';
import { DOOR_OPEN, DoorService } from './door.service.js';
import { Tries } from './tries.js';

@Module({})
export class DoorModule {
  static at(open: boolean): DynamicModule {
    return {
      module: DoorModule,
      imports: [ChangesModule, SettingsModule],
      controllers: [DoorController],
      providers: [
        DoorService,
        Tries,
        { provide: DOOR_OPEN, useValue: open },
        { provide: APP_GUARD, useClass: DoorGuard },
      ],
      exports: [DoorService],
    };
  }
}
