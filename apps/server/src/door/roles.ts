import { createParamDecorator, SetMetadata, type ExecutionContext } from '@nestjs/common';
import type { Role } from '@larchwood/contract';
import type { Request } from 'express';

/** A request whose sender is known: the guard has let it in. */
export interface KnownRequest extends Request {
  role?: Role;
}

export const FOR_BENCH = 'for bench';
export const FOR_ALL = 'for all';
/** Changes something, and may be asked for from the bench too. */
export const ForBench = () => SetMetadata(FOR_BENCH, true);
/** Answered to who has not been let in yet. */
export const ForAll = () => SetMetadata(FOR_ALL, true);

/** What who is at the bench is told of all else. */
export const NOT_AT_BENCH = 'At the bench you can look, tick and log; a builder’s passcode changes more.';

/** Who asks. */
export const RoleOf = createParamDecorator(
  (_: unknown, context: ExecutionContext): Role =>
    context.switchToHttp().getRequest<KnownRequest>().role ?? 'bench',
);
