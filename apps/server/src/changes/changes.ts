import { Injectable, type BeforeApplicationShutdown } from '@nestjs/common';
import type { ChangeNotice } from '@larchwood/contract';
import {
  endWith,
  filter,
  ignoreElements,
  interval,
  map,
  merge,
  Subject,
  takeUntil,
  type Observable,
} from 'rxjs';

/** An open line is heard of so often, so that a dead one is noticed; ms. */
const PING = 20_000;

/** Tells open windows what was saved or deleted: of builds, and of the workshop's lists. */
@Injectable()
export class Changes implements BeforeApplicationShutdown {
  private readonly notices = new Subject<ChangeNotice>();
  private readonly cuts = new Subject<void>();

  tell(notice: ChangeNotice): void {
    this.notices.next(notice);
  }

  /** What is told of one build and of the workshop's lists, and now and then a sign of life, until the line is cut. */
  line(id: string): Observable<ChangeNotice | string> {
    const told = this.notices.pipe(filter((notice) => 'shop' in notice || notice.id === id));
    const pings = interval(PING).pipe(map(() => 'still here'));
    const end = merge(this.cuts, this.notices.pipe(ignoreElements(), endWith(undefined)));
    return merge(told, pings).pipe(takeUntil(end));
  }

  /** Cuts every line: who may still listen calls again. */
  cut(): void {
    this.cuts.next();
  }

  /** Ends every window's connection, so that the server can stop. */
  beforeApplicationShutdown(): void {
    this.notices.complete();
  }
}
