import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { BuildDocument } from '@larchwood/format';
import { Channel } from './channel';

const documentOf = (name: string) => ({ name }) as BuildDocument;
const [one, two, three] = [documentOf('one'), documentOf('two'), documentOf('three')];

describe('a channel', () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => void vi.useRealTimers());

  const opened = () => {
    const asked: { name: string; answer: (value: string) => void; fail: () => void }[] = [];
    const channel = new Channel<string>(
      ({ name }) =>
        new Promise((answer, refuse) => asked.push({ name, answer, fail: () => refuse(new Error('gone')) })),
      100,
    );
    const names = () => asked.map(({ name }) => name);
    return { channel, asked, names };
  };
  const settle = () => vi.advanceTimersByTimeAsync(100);

  it('asks for the first at once, and for what follows after a rest', async () => {
    const { channel, asked, names } = opened();
    channel.want(one);
    await vi.advanceTimersByTimeAsync(0);
    expect(names()).toEqual(['one']);
    asked[0]!.answer('1');
    await settle();
    expect(channel.now()).toEqual({ value: '1', working: false });
    channel.want(two);
    channel.want(three);
    await vi.advanceTimersByTimeAsync(99);
    expect(names()).toEqual(['one']);
    await vi.advanceTimersByTimeAsync(1);
    expect(names()).toEqual(['one', 'three']);
    expect(channel.now()).toEqual({ value: '1', working: true });
  });
  it('what is overtaken while it works is not asked for; the last good answer stays meanwhile', async () => {
    const { channel, asked, names } = opened();
    channel.want(one);
    await vi.advanceTimersByTimeAsync(0);
    channel.want(two);
    await settle();
    channel.want(three);
    await settle();
    expect(names()).toEqual(['one']);
    asked[0]!.answer('1');
    await settle();
    expect(names()).toEqual(['one', 'three']);
    expect(channel.now()).toEqual({ value: '1', working: true });
    asked[1]!.answer('3');
    await settle();
    expect(channel.now()).toEqual({ value: '3', working: false });
  });
  it('a failure leaves the last answer, and the next document is asked for as ever; nobody asks twice for one', async () => {
    const { channel, asked, names } = opened();
    const heard = vi.fn();
    const leave = channel.subscribe(heard);
    channel.want(one);
    await settle();
    asked[0]!.answer('1');
    await settle();
    channel.want(two);
    await settle();
    asked[1]!.fail();
    await settle();
    expect(channel.now()).toEqual({ value: '1', working: false });
    channel.want(two);
    await settle();
    expect(names()).toEqual(['one', 'two']);
    expect(heard).toHaveBeenCalled();
    leave();
    const before = heard.mock.calls.length;
    channel.want(three);
    await settle();
    expect(names()).toEqual(['one', 'two', 'three']);
    expect(heard.mock.calls.length).toBe(before);
  });
});
