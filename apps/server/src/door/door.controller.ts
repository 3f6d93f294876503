import { Body, Controller, Delete, Get, HttpCode, Post, Put, Req, Res } from '@nestjs/common';
import { EnterRequest, SetPasscodeRequest, type DoorState } from '@larchwood/contract';
import type { Response } from 'express';
import { COOKIE } from './door.guard.js';
import { DoorService, STAY } from './door.service.js';
import { Tries } from './tries.js';
import { ForAll, ForBench, type KnownRequest } from './roles.js';

@Controller('api/door')
export class DoorController {
  constructor(
    private readonly door: DoorService,
    private readonly tries: Tries,
  ) {}

  @Get()
  @ForAll()
  state(@Req() request: KnownRequest): DoorState {
    return { open: this.door.open, ...(request.role ? { role: request.role } : {}) };
  }

  /** Five wrong tries a minute from one address. */
  @Post()
  @ForAll()
  @HttpCode(200)
  async enter(
    @Body() { passcode }: EnterRequest,
    @Req() request: KnownRequest,
    @Res({ passthrough: true }) response: Response,
  ): Promise<DoorState> {
    const { token, role } = await this.tries.count(request.ip ?? '', () => this.door.enter(passcode));
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
