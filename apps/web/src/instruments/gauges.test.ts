import { afterEach, describe, expect, it, vi } from 'vitest';
import { hasSerial, serialGauge, simulatedGauge } from './gauges';

/** A serial port that sends what it is told to, in the pieces that it is told in. */
function port() {
  let line!: ReadableStreamDefaultController<Uint8Array>;
  const readable = new ReadableStream<Uint8Array>({ start: (controller) => void (line = controller) });
  const opened = vi.fn(() => Promise.resolve());
  const closed = vi.fn(() => Promise.resolve());
  vi.stubGlobal('navigator', {
    serial: { requestPort: () => Promise.resolve({ open: opened, close: closed, readable }) },
  });
  const send = async (...pieces: (string | Uint8Array)[]) => {
    for (const piece of pieces)
      line.enqueue(typeof piece === 'string' ? new TextEncoder().encode(piece) : piece);
    await new Promise((go) => setTimeout(go));
  };
  return { send, opened, closed, breakOff: () => line.error(new Error('gone')) };
}
const opened = async (quantity: 'length' | 'angle' = 'length') => {
  const made = port();
  const gauge = serialGauge('Calliper', quantity);
  await gauge.open();
  return { ...made, gauge };
};

describe('a gauge on a serial line', () => {
  afterEach(() => void vi.unstubAllGlobals());

  it('is there only where the browser has such lines', () => {
    vi.stubGlobal('navigator', {});
    expect(hasSerial()).toBe(false);
    port();
    expect(hasSerial()).toBe(true);
  });
  it('reads its last whole line, whatever pieces it comes in and however lines end', async () => {
    const { gauge, send, opened: at } = await opened();
    expect(at).toHaveBeenCalledWith({ baudRate: 9600 });
    await expect(gauge.read()).rejects.toThrow('Nothing has come from it yet.');
    await send('12.', '5 m', 'm\r', '\n13.25 mm\n99');
    expect(await gauge.read()).toBeCloseTo(13.25, 9);
    await send('9.5\r');
    // A lone return ends a line, too: 999.5 it was.
    expect(await gauge.read()).toBeCloseTo(999.5, 9);
    await send('\n\n  \n');
    expect(await gauge.read()).toBeCloseTo(999.5, 9);
  });
  it('a sign of two bytes that comes in two pieces is one sign', async () => {
    const { gauge, send } = await opened('angle');
    const bytes = new TextEncoder().encode('71.5°\n');
    await send(bytes.slice(0, 5), bytes.slice(5));
    expect(await gauge.read()).toBeCloseTo(71.5, 9);
  });
  it('a line that is no reading is told, and the next one is read again', async () => {
    const { gauge, send } = await opened();
    await send('ERR 3x\n');
    await expect(gauge.read()).rejects.toThrow('has no number');
    await send('45 °\n');
    await expect(gauge.read()).rejects.toThrow('a length is wanted');
    await send('8.0\n');
    expect(await gauge.read()).toBe(8);
  });
  it('a line that breaks off says so; what is closed lets go of its port', async () => {
    const first = await opened();
    await first.send('8.0\n');
    first.breakOff();
    await new Promise((go) => setTimeout(go));
    await expect(first.gauge.read()).rejects.toThrow('broke off');
    const second = await opened();
    second.gauge.close();
    await new Promise((go) => setTimeout(go, 5));
    expect(second.closed).toHaveBeenCalledOnce();
    // Never opened, there is nothing to close.
    expect(() => serialGauge('Calliper', 'length').close()).not.toThrow();
  });
});

describe('a stand-in', () => {
  it('shows what it is held to, off by its offset, in its own steps, as it is set at that moment', async () => {
    const settings = { truth: 20, noise: 0, offset: 0.31, step: 0.1 };
    const gauge = simulatedGauge('Calliper', 'length', () => settings);
    await gauge.open();
    expect(gauge).toMatchObject({ simulated: true, quantity: 'length' });
    expect(await gauge.read()).toBeCloseTo(20.3, 9);
    settings.truth = 30;
    expect(await gauge.read()).toBeCloseTo(30.3, 9);
    settings.noise = 1;
    const many = await Promise.all(Array.from({ length: 400 }, () => gauge.read()));
    const mean = many.reduce((sum, value) => sum + value, 0) / many.length;
    // Four standard errors of 400 draws.
    expect(Math.abs(mean - 30.31)).toBeLessThan(0.2 + 0.05);
    expect(new Set(many).size).toBeGreaterThan(10);
  });
});
