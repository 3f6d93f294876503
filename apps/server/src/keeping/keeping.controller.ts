import { pipeline } from 'node:stream/promises';
import { Body, Controller, Get, HttpCode, Inject, Logger, Post, Put, Req, Res } from '@nestjs/common';
import { KeepingRequest, type BackupSummary, type Keeping, type TakenIn } from '@larchwood/contract';
import type { Request, Response } from 'express';
import type { Backup } from '../database/backups.js';
import { DatabaseFile } from '../database/databaseFile.js';
import { DoorService } from '../door/door.service.js';
import { ThinningService } from './thinning.service.js';
import { WorkshopService } from './workshop.service.js';

/** Tells the addresses at which other machines find this server; known once it listens. */
export const ADDRESSES = Symbol('addresses');

@Controller('api/workshop')
export class KeepingController {
  private readonly logger = new Logger('Zip');

  constructor(
    private readonly file: DatabaseFile,
    private readonly workshop: WorkshopService,
    private readonly thinning: ThinningService,
    private readonly door: DoorService,
    @Inject(ADDRESSES) private readonly addresses: () => readonly string[],
  ) {}

  @Get()
  async keeping(): Promise<Keeping> {
    const addresses = this.addresses();
    return {
      backups: this.file.list().map(summary),
      thinning: await this.thinning.isOn(),
      passcodes: await this.door.roles(),
      addresses,
      encrypted: addresses.some((address) => address.startsWith('https:')),
    };
  }

  @Put()
  @HttpCode(204)
  async keep(@Body() { thinning }: KeepingRequest): Promise<void> {
    await this.thinning.turn(thinning);
  }

  @Post('backups')
  async backUp(): Promise<BackupSummary> {
    return summary(await this.file.backUp());
  }

  @Get('zip')
  async zip(@Res() response: Response): Promise<void> {
    response.attachment('larchwood-workshop.zip');
    response.type('application/zip');
    const zip = await this.workshop.zip();
    try {
      await pipeline(zip, response);
    } catch (error) {
      // What has begun cannot be answered otherwise any more: the line is cut, so that nobody takes a part for the whole.
      this.logger.warn(`The workshop’s zip was not taken to its end: ${(error as Error).message}`);
      response.destroy();
    }
  }

  @Post('zip')
  takeIn(@Req() request: Request): Promise<TakenIn> {
    return this.workshop.takeIn(request);
  }
}

const summary = ({ name, madeAt, reason, size }: Backup): BackupSummary => ({ name, madeAt, reason, size });
