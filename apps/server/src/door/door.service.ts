import { createHash, randomBytes } from 'node:crypto';
import { EntityManager } from '@mikro-orm/core';
import { ForbiddenException, Inject, Injectable, UnauthorizedException } from '@nestjs/common';
import { ROLES, type Role } from '@larchwood/contract';
import { Changes } from '../changes/changes.js';
import { SessionEntity } from '../database/entities.js';
import { SettingsService } from '../keeping/settings.service.js';
import { hashed, matches, type Hashed } from './passcode.js';

/** Whether the server is reached from other machines. */
export const DOOR_OPEN = Symbol('door open');
/** Somebody let in stays so long; ms. */
export const STAY = 30 * 24 * 3600 * 1000;
const keyOf = (role: Role): string => `passcode.${role}`;

/** Who may come in from the shop's network, and as what. While the server serves this machine alone, everybody may do all. */
@Injectable()
export class DoorService {
  constructor(
    private readonly entities: EntityManager,
    private readonly settings: SettingsService,
    private readonly changes: Changes,
    @Inject(DOOR_OPEN) readonly open: boolean,
  ) {}

  /** Roles that have a passcode. */
  async roles(): Promise<Role[]> {
    const found = await Promise.all(ROLES.map((role) => this.settings.get<Hashed>(keyOf(role))));
    return ROLES.filter((_, place) => found[place] !== undefined);
  }

  /**
   * Sets a role's passcode, or takes it away with an empty one; who came in with the old one is out.
   * @throws ForbiddenException when an open door would be left without a builder's passcode
   */
  async setPasscode(role: Role, passcode: string): Promise<void> {
    if (passcode === '' && role === 'builder' && this.open)
      throw new ForbiddenException(
        'The door is open: the builder’s passcode can be changed, not taken away.',
      );
    await this.settings.set(keyOf(role), passcode === '' ? undefined : await hashed(passcode));
    await this.entities.nativeDelete(SessionEntity, { role });
    this.changes.cut();
  }

  /**
   * Lets somebody in.
   * @returns a token for their browser, and the role that the passcode stands for
   * @throws UnauthorizedException when it is nobody's passcode
   */
  async enter(passcode: string): Promise<{ readonly token: string; readonly role: Role }> {
    let role: Role | undefined;
    // Every one is tried, so that the time tells nothing.
    for (const each of ROLES) {
      const kept = await this.settings.get<Hashed>(keyOf(each));
      if (kept && (await matches(passcode, kept))) role ??= each;
    }
    if (role === undefined) throw new UnauthorizedException('That is not the passcode.');
    const token = randomBytes(32).toString('base64url');
    const now = Date.now();
    await this.entities.nativeDelete(SessionEntity, { until: { $lt: new Date(now) } });
    await this.entities.insert(SessionEntity, { hash: hashOf(token), role, until: new Date(now + STAY) });
    return { token, role };
  }

  /** The role of who has this token; all may do all while the door is shut to other machines. */
  async roleOf(token: unknown): Promise<Role | undefined> {
    if (!this.open) return 'builder';
    if (typeof token !== 'string') return undefined;
    const session = await this.entities.findOne(SessionEntity, {
      hash: hashOf(token),
      until: { $gt: new Date() },
    });
    return ROLES.find((role) => role === session?.role);
  }

  async leave(token: unknown): Promise<void> {
    if (typeof token === 'string') await this.entities.nativeDelete(SessionEntity, { hash: hashOf(token) });
  }

  async allOut(): Promise<void> {
    await this.entities.nativeDelete(SessionEntity, {});
    this.changes.cut();
  }
}

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');
