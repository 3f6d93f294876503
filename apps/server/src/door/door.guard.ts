import {
  ForbiddenException,
  Injectable,
  UnauthorizedException,
  type CanActivate,
  type ExecutionContext,
} from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import { DoorService } from './door.service.js';
import { FOR_ALL, FOR_BENCH, NOT_AT_BENCH, type KnownRequest } from './roles.js';

/** Name of the cookie that holds a token. */
export const COOKIE = 'larchwood';

/** Lets a request through that may be answered: what only reads, to all who are in; what changes, to builders. */
@Injectable()
export class DoorGuard implements CanActivate {
  constructor(
    private readonly door: DoorService,
    private readonly reflector: Reflector,
  ) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    const says = (key: string): boolean =>
      this.reflector.getAllAndOverride<boolean | undefined>(key, [
        context.getHandler(),
        context.getClass(),
      ]) === true;
    const request = context.switchToHttp().getRequest<KnownRequest>();
    const role = await this.door.roleOf((request.cookies as Record<string, unknown>)[COOKIE]);
    if (role !== undefined) request.role = role;
    if (says(FOR_ALL)) return true;
    if (role === undefined) throw new UnauthorizedException('Type the workshop’s passcode first.');
    if (role === 'bench' && request.method !== 'GET' && !says(FOR_BENCH))
      throw new ForbiddenException(NOT_AT_BENCH);
    return true;
  }
}
