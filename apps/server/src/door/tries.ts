import { HttpException, HttpStatus, Injectable } from '@nestjs/common';

/** So many wrong passcodes are taken from one address within this time, ms. */
export const WRONG_TRIES = { most: 5, within: 60_000 } as const;

/**
 * Wrong passcodes by address. A try counts from its beginning, so that many at once are no way round, and no longer once it
 * was right: who types the passcode correctly is never shut out, and wipes no other's wrong tries out.
 */
@Injectable()
export class Tries {
  private readonly wrong = new Map<string, number[]>();

  /**
   * @param enters lets somebody in, or throws
   * @throws HttpException 429 where too many wrong ones came from there
   */
  async count<T>(address: string, enters: () => Promise<T>, now = Date.now()): Promise<T> {
    this.forget(now);
    const before = this.wrong.get(address) ?? [];
    if (before.length >= WRONG_TRIES.most)
      throw new HttpException(
        'Too many wrong passcodes. Wait a minute, then try again.',
        HttpStatus.TOO_MANY_REQUESTS,
      );
    this.wrong.set(address, [...before, now]);
    const answer = await enters();
    const rest = this.wrong.get(address) ?? [];
    const own = rest.indexOf(now);
    this.wrong.set(
      address,
      rest.filter((_, place) => place !== own),
    );
    return answer;
  }

  private forget(now: number): void {
    for (const [address, times] of this.wrong) {
      const still = times.filter((time) => now - time < WRONG_TRIES.within);
      if (still.length > 0) this.wrong.set(address, still);
      else this.wrong.delete(address);
    }
  }
}
