import { MikroOrmModule } from '@mikro-orm/nestjs';
import { Module, type DynamicModule } from '@nestjs/common';
import { BuildsModule } from './builds/builds.module.js';
import { ProfilesModule } from './profiles/profiles.module.js';
import { RidersModule } from './riders/riders.module.js';
import { databaseConfig } from './database/config.js';

@Module({})
export class AppModule {
  static on(databaseFile: string): DynamicModule {
    return {
      module: AppModule,
      imports: [
        MikroOrmModule.forRoot(databaseConfig(databaseFile)),
        BuildsModule,
        RidersModule,
        ProfilesModule,
      ],
    };
  }
}
