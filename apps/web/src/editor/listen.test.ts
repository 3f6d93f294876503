import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { listen } from './listen';

/** A line of events that is opened, spoken on and cut off from here. */
class Line extends EventTarget {
  static readonly CLOSED = 2;
  static all: Line[] = [];
  readyState = 0;
  constructor(readonly url: string) {
    super();
    Line.all.push(this);
  }
  close(): void {
    this.readyState = Line.CLOSED;
  }
  opens(): void {
    this.readyState = 1;
    this.dispatchEvent(new Event('open'));
  }
  says(data: string): void {
    this.dispatchEvent(new MessageEvent('message', { data }));
  }
  fails(readyState: number): void {
    this.readyState = readyState;
    this.dispatchEvent(new Event('error'));
  }
}

describe('listening to a build', () => {
  const seen = Object.assign(new EventTarget(), { visibilityState: 'visible' });
  const show = (state: 'visible' | 'hidden') => {
    seen.visibilityState = state;
    seen.dispatchEvent(new Event('visibilitychange'));
  };
  const ears = { heard: vi.fn(), heardOfLists: vi.fn(), again: vi.fn() };
  const last = () => Line.all.at(-1)!;
  beforeEach(() => {
    vi.useFakeTimers();
    Line.all = [];
    seen.visibilityState = 'visible';
    Object.values(ears).forEach((ear) => ear.mockReset());
    vi.stubGlobal('EventSource', Line);
    vi.stubGlobal('document', seen);
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  it('hears notices, and nothing that is none', () => {
    const end = listen('b1', ears);
    expect(last().url).toBe('/api/builds/b1/events');
    last().opens();
    last().says('{"id": "b1", "revision": 4}');
    for (const other of ['', '{', '7', 'null', '{"revision": 4}']) last().says(other);
    expect(ears.heard.mock.calls).toEqual([[{ id: 'b1', revision: 4 }]]);
    // The first time that it opens nothing can have been missed.
    expect(ears.again).not.toHaveBeenCalled();
    end();
    expect(last().readyState).toBe(Line.CLOSED);
  });
  it('holds no line while the window is hidden, and asks what it missed when it is seen again', () => {
    const end = listen('b1', ears);
    last().opens();
    show('hidden');
    expect(Line.all.map(({ readyState }) => readyState)).toEqual([Line.CLOSED]);
    show('visible');
    show('visible');
    expect(Line.all).toHaveLength(2);
    last().opens();
    expect(ears.again).toHaveBeenCalledTimes(1);
    end();
    show('hidden');
    show('visible');
    expect(Line.all).toHaveLength(2);
  });
  it('a line that is lost comes back by itself; one that is refused is tried again after five seconds', () => {
    const end = listen('b1', ears);
    last().opens();
    last().fails(0);
    vi.advanceTimersByTime(60_000);
    expect(Line.all).toHaveLength(1);
    last().opens();
    expect(ears.again).toHaveBeenCalledTimes(1);
    last().fails(Line.CLOSED);
    vi.advanceTimersByTime(4999);
    expect(Line.all).toHaveLength(1);
    vi.advanceTimersByTime(1);
    expect(Line.all).toHaveLength(2);
    last().opens();
    expect(ears.again).toHaveBeenCalledTimes(2);
    last().fails(Line.CLOSED);
    end();
    vi.advanceTimersByTime(60_000);
    expect(Line.all).toHaveLength(2);
  });
  it('a window that is hidden from the start listens once it is seen', () => {
    seen.visibilityState = 'hidden';
    const end = listen('b1', ears);
    expect(Line.all).toHaveLength(0);
    show('visible');
    expect(Line.all).toHaveLength(1);
    end();
  });
});
