import type { Quantity } from '@larchwood/core';

/** Anything at the bench that can be read. A real one and a simulated one look alike to the screens. */
export interface Instrument<R> {
  readonly name: string;
  /** True where it only stands in for a real one. */
  readonly simulated: boolean;
  /** One reading, when it has come to rest. @throws Error with words for the builder when it cannot be read. */
  readonly read: () => Promise<R>;
}

/** What the scales below the wheels show, kg by wheel id. */
export type WheelScales = Instrument<Readonly<Record<string, number>>>;

/** What the hands turn, degrees or mm from straight ahead, to the left. */
export type AngleSensor = Instrument<number>;

/** A gauge or read-out that is held to something: mm or degrees. It is opened before it is read, and closed after. */
export interface Gauge extends Instrument<number> {
  readonly quantity: Quantity;
  /** @throws Error in words when it cannot be reached */
  readonly open: () => Promise<void>;
  readonly close: () => void;
}
