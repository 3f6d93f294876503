/** Lets what has been promised so far come about. */
export const settled = () => new Promise<void>((done) => setImmediate(done));

/** A clock that stands still until a test lets it go on. */
export class Clock {
  private now = 0;
  private next = 0;
  private readonly timers = new Map<number, { readonly at: number; readonly run: () => void }>();

  /** Runs something after so many ms; what is returned calls it off. */
  readonly later = (ms: number, run: () => void): (() => void) => {
    const id = this.next++;
    this.timers.set(id, { at: this.now + ms, run });
    return () => this.timers.delete(id);
  };
  /** Nothing that was planned comes about any more: the window that planned it is closed. */
  stop(): void {
    this.timers.clear();
  }
  /** Goes on by so many ms; what is due runs in its order, with all that comes of it at once. */
  async pass(ms: number): Promise<void> {
    await settled();
    for (const end = this.now + ms; ;) {
      const due = [...this.timers].filter(([, { at }]) => at <= end).sort(([, a], [, b]) => a.at - b.at)[0];
      if (!due) {
        this.now = end;
        return;
      }
      this.timers.delete(due[0]);
      this.now = due[1].at;
      due[1].run();
      await settled();
    }
  }
}
