import { pipeline } from 'node:stream/promises';
import { Body, Controller, Get, HttpCode, Inject, Post, Put, Req, Res } from '@nestjs/common';
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
  backUp(): BackupSummary {
    return summary(this.file.backUp());
  }

  @Get('zip')
  async zip(@Res() response: Response): Promise<void> {
    response.attachment('larchwood-workshop.zip');
    response.type('application/zip');
    await pipeline(await this.workshop.zip(), response);
  }

  @Post('zip')
  takeIn(@Req() request: Request): Promise<TakenIn> {
    return this.workshop.takeIn(request);
  }
}

const summary = ({ name, madeAt, reason, size }: Backup): BackupSummary => ({ name, madeAt, reason, size });
