import { randomNormal } from 'd3-random';
import { readInstrumentLine, simulatedReading, type Quantity, type Simulated } from '@larchwood/core';
import type { Gauge } from './instrument';

const normal = randomNormal();

/** A stand-in that is set from the screen: each reading with its noise, offset and step. */
export const simulatedGauge = (name: string, quantity: Quantity, settings: () => Simulated): Gauge => ({
  ...{ name, quantity, simulated: true },
  open: () => Promise.resolve(),
  close: () => undefined,
  read: () => Promise.resolve(simulatedReading(settings(), normal())),
});

/** Of the browser's serial ports as much as is used. */
interface Port {
  readonly open: (options: { readonly baudRate: number }) => Promise<void>;
  readonly close: () => Promise<void>;
  readonly readable: ReadableStream<Uint8Array> | null;
}
const serial = (): { requestPort: () => Promise<Port> } | undefined =>
  (navigator as { readonly serial?: { requestPort: () => Promise<Port> } }).serial;
/** Whether this browser reads serial lines at all. */
export const hasSerial = (): boolean => serial() !== undefined;
/** As most gauges send; bits a second. */
const BAUD = 9600;

/** A gauge on a serial line that sends a number a line, as most do: its last one is its reading. */
export function serialGauge(name: string, quantity: Quantity): Gauge {
  let port: Port | undefined;
  let reader: ReadableStreamDefaultReader<Uint8Array> | undefined;
  let last: ReturnType<typeof readInstrumentLine> | undefined;
  const listen = async () => {
    const letters = new TextDecoder();
    let rest = '';
    for (;;) {
      const { done, value } = await reader!.read();
      if (done) return;
      const lines = (rest + letters.decode(value, { stream: true })).split(/\r\n|\r|\n/);
      rest = lines.pop() ?? '';
      for (const line of lines) if (line.trim() !== '') last = readInstrumentLine(line, quantity);
    }
  };
  return {
    ...{ name, quantity, simulated: false },
    open: async () => {
      port = await serial()!.requestPort();
      await port.open({ baudRate: BAUD });
      reader = port.readable!.getReader();
      void listen().catch(() => (last = { ok: false, message: 'The line to the instrument broke off.' }));
    },
    close: () => {
      // A port is closed once nobody reads it any more.
      void reader
        ?.cancel()
        .then(() => {
          reader!.releaseLock();
          return port!.close();
        })
        .catch(() => undefined);
    },
    read: () => {
      if (!last) return Promise.reject(new Error('Nothing has come from it yet.'));
      return last.ok ? Promise.resolve(last.value) : Promise.reject(new Error(last.message));
    },
  };
}
