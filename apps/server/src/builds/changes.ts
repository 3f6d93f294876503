import { Injectable, type BeforeApplicationShutdown } from '@nestjs/common';
import { endWith, ignoreElements, Subject, type Observable } from 'rxjs';
import type { ChangeNotice } from '@larchwood/contract';

/** Tells open windows what was saved or deleted. */
@Injectable()
export class Changes implements BeforeApplicationShutdown {
  private readonly notices = new Subject<ChangeNotice>();

  tell(notice: ChangeNotice): void {
    this.notices.next(notice);
  }

  get all(): Observable<ChangeNotice> {
    return this.notices;
  }

  /** Says once that there will be no more. */
  get ended(): Observable<unknown> {
    return this.notices.pipe(ignoreElements(), endWith('ended'));
  }

  /** Ends every window's connection, so that the server can stop. */
  beforeApplicationShutdown(): void {
    this.notices.complete();
  }
}
