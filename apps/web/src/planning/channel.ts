import type { BuildDocument } from '@larchwood/format';

/** What a slow stage has made last. */
export interface Answer<T> {
  /** None until the first has come. */
  readonly value: T | undefined;
  /** A newer one is on its way. */
  readonly working: boolean;
}

/**
 * Asks for one stage of one build, one document at a time. Of documents that come while it works only the newest is asked
 * for, after a rest, so that a run of keys is asked for once; the last answer stays until the next has come, also where that
 * one fails.
 */
export class Channel<T> {
  private answer: Answer<T> = { value: undefined, working: true };
  private wanted: BuildDocument | undefined;
  private asked: BuildDocument | undefined;
  private busy = false;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private readonly listeners = new Set<() => void>();

  constructor(
    private readonly ask: (document: BuildDocument) => Promise<T>,
    /** ms. */
    private readonly rest: number,
  ) {}

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  readonly now = (): Answer<T> => this.answer;

  readonly want = (document: BuildDocument): void => {
    if (document === this.wanted) return;
    const first = this.wanted === undefined;
    this.wanted = document;
    clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.run(), first ? 0 : this.rest);
  };

  private async run(): Promise<void> {
    const { wanted } = this;
    if (this.busy || wanted === undefined || wanted === this.asked) return;
    this.busy = true;
    this.asked = wanted;
    this.tell({ ...this.answer, working: true });
    let { value } = this.answer;
    try {
      value = await this.ask(wanted);
    } catch {
      // A stance that cannot be, or a worker that is gone: the last answer stays.
    }
    this.busy = false;
    this.tell({ value, working: this.wanted !== wanted });
    if (this.wanted !== wanted) void this.run();
  }

  private tell(answer: Answer<T>): void {
    this.answer = answer;
    this.listeners.forEach((listener) => listener());
  }
}
