/** How far a measure may be off. The builder's own word goes before it. */
export interface Tolerance {
  /** mm or degrees, to either side. */
  readonly value: number;
  readonly source: string;
}
const usual = (value: number): Tolerance => ({ value, source: 'common practice, no source' });

/** Usual tolerances; mm and degrees. */
export const TOLERANCES = {
  /** Head tube against seat tube or rear axle; a tube's lean. */
  twist: usual(0.5),
  angle: usual(0.5),
  /** Of the rear end between the sides. */
  centring: usual(1),
  spacing: usual(1),
  /** Of one diagonal against the other. */
  diagonal: usual(1.5),
  flat: usual(2),
  /** Turned over, which shows twice what it is off. */
  turned: usual(3),
  hoop: usual(2),
  length: usual(2),
  height: usual(1),
  beside: usual(1),
  /** On its wheels. */
  trail: usual(3),
  wheelbase: usual(4),
  tracking: usual(3),
  /** A gap to a tyre, which is hardly as wide as it says. */
  gap: usual(5),
  /** Of one wheel over the length of the straight-edge. */
  toe: usual(1),
  sprockets: usual(1),
  parallel: usual(0.5),
} as const;

/** How well a tool is read, one standard deviation; mm and degrees. Common practice, no source. */
export const READS = {
  ...{ tape: 0.5, caliper: 0.1, height: 0.3, string: 0.5, edge: 0.3, gauge: 0.1, plumb: 1 },
} as const;
export type Tool = keyof typeof READS;
export const TOOL_NAMES: Readonly<Record<Tool, string>> = {
  tape: 'tape or trammel',
  caliper: 'caliper',
  height: 'height gauge or rule on the table',
  string: 'string or straight-edge',
  edge: 'straight-edge and rule',
  gauge: 'angle gauge',
  plumb: 'plumb bob and tape on the floor',
};
