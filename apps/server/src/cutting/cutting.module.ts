import { Module, type DynamicModule } from '@nestjs/common';
import { CuttingController } from './cutting.controller.js';
import { CuttingService } from './cuttingService.js';
import { DAY, StandInService } from './standIn/standIn.service.js';

@Module({})
export class CuttingModule {
  /** @param day so many seconds are a day to the stand-in */
  static with(day: number): DynamicModule {
    return {
      module: CuttingModule,
      controllers: [CuttingController],
      providers: [
        { provide: DAY, useValue: day },
        { provide: CuttingService, useClass: StandInService },
      ],
    };
  }
}
