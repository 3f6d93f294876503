import { Body, Controller, Delete, Get, HttpCode, Post, Put, Req, Res, UseGuards } from '@nestjs/common';
import { EnterRequest, SetPasscodeRequest, type DoorState } from '@larchwood/contract';
import { Throttle, ThrottlerGuard } from '@nestjs/throttler';
import type { Response } from 'express';
import { COOKIE } from './door.guard.js';
import { DoorService, STAY } from './door.service.js';
import { ForAll, ForBench, type KnownRequest } from './roles.js';

@Controller('api/door')
export class DoorController {
  constructor(private readonly door: DoorService) {}

  @Get()
  @ForAll()
  state(@Req() request: KnownRequest): DoorState {
    return { open: this.door.open, ...(request.role ? { role: request.role } : {}) };
  }

  /** Five tries a minute from one address. */
  @Post()
  @ForAll()
  @HttpCode(200)
  @UseGuards(ThrottlerGuard)
  @Throttle({ default: { limit: 5, ttl: 60_000 } })
  async enter(
    @Body() { passcode }: EnterRequest,
    @Req() request: KnownRequest,
    @Res({ passthrough: true }) response: Response,
  ): Promise<DoorState> {
    const { token, role } = await this.door.enter(passcode);
    response.cookie(COOKIE, token, {
      ...{ httpOnly: true, sameSite: 'strict', path: '/', maxAge: STAY },
      secure: request.secure,
    });
    return { open: this.door.open, role };
  }

  /** Leaves from this browser. */
  @Delete()
  @ForBench()
  @HttpCode(204)
  async leave(@Req() request: KnownRequest, @Res({ passthrough: true }) response: Response): Promise<void> {
    await this.door.leave((request.cookies as Record<string, unknown>)[COOKIE]);
    response.clearCookie(COOKIE, { path: '/' });
  }

  /** Logs everybody out, everywhere. */
  @Delete('all')
  @HttpCode(204)
  allOut(): Promise<void> {
    return this.door.allOut();
  }

  @Put('passcode')
  @HttpCode(204)
  setPasscode(@Body() { role, passcode }: SetPasscodeRequest): Promise<void> {
    return this.door.setPasscode(role, passcode);
  }
}
