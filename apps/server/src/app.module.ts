import { MikroOrmModule } from '@mikro-orm/nestjs';
import { Module, type DynamicModule } from '@nestjs/common';
import { BuildsModule } from './builds/builds.module.js';
import { CuttingModule } from './cutting/cutting.module.js';
import { databaseConfig } from './database/config.js';
import { DATABASE_FILE, DATABASE_LOCK, DatabaseFile } from './database/databaseFile.js';
import type { Lock } from './database/lock.js';
import { DoorModule } from './door/door.module.js';
import { Ending } from './ending.js';
import { ADDRESSES, KeepingController } from './keeping/keeping.controller.js';
import { SettingsModule } from './keeping/settings.module.js';
import { ThinningService } from './keeping/thinning.service.js';
import { WorkshopService } from './keeping/workshop.service.js';
import { PicturesModule } from './pictures/pictures.module.js';
import { ShopModule } from './shop/shop.module.js';

/** What the application is told from outside. */
export interface Outside {
  readonly databaseFile: string;
  readonly lock: Lock;
  readonly open: boolean;
  readonly addresses: () => readonly string[];
  /** So many seconds are a day to the stand-in for a cutting service. */
  readonly cuttingDay: number;
}

@Module({})
export class AppModule {
  static on({ databaseFile, lock, open, addresses, cuttingDay }: Outside): DynamicModule {
    return {
      module: AppModule,
      imports: [
        MikroOrmModule.forRoot(databaseConfig(databaseFile)),
        SettingsModule,
        DoorModule.at(open),
        BuildsModule,
        ShopModule,
        PicturesModule,
        CuttingModule.with(cuttingDay),
      ],
      controllers: [KeepingController],
      providers: [
        { provide: DATABASE_FILE, useValue: databaseFile },
        { provide: DATABASE_LOCK, useValue: lock },
        { provide: ADDRESSES, useValue: addresses },
        DatabaseFile,
        Ending,
        ThinningService,
        WorkshopService,
      ],
    };
  }
}
