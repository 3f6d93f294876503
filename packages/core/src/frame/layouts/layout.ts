import type { End, FrameData, Host, Limits, SchoolId } from '@larchwood/format';
import type { Stance } from '../../stance/stance.js';

export type { FrameData } from '@larchwood/format';

/** Makes a first frame from a stance; runs once and leaves plain, anchored data behind. */
export interface Layout {
  readonly id: string;
  readonly name: string;
  readonly about: string;
  /** Kinds of vehicle it can be made for. */
  readonly kinds: readonly string[];
  /** Starting sets for which it is the first choice of its kind. */
  readonly sets?: readonly string[];
  /** What a stance must have for it, in words, where not every one of its kinds has. */
  readonly wants?: string;
  /** Where its builders measure from. */
  readonly datum: string;
  /** Schools of fixture that suit it, by id, the usual one first. */
  readonly schools: readonly SchoolId[];
  /** What it can be told besides sections. */
  readonly options?: readonly LayoutOption[];
  readonly make: (stance: Stance, options?: LayoutOptions) => FrameData;
}

/** A number that a layout can be told; mm or degrees, as its name says. */
export interface LayoutOption {
  readonly id: string;
  readonly name: string;
  readonly limits: Limits;
  /** What it is where nothing is told. */
  readonly start: number;
}
export interface LayoutOptions {
  /** Section id by member id, from the shipped library, where it differs from the layout’s own choice. */
  readonly sections?: Readonly<Record<string, string>>;
  /** The layout's own options by id. */
  readonly [option: string]: number | Readonly<Record<string, string>> | undefined;
}

/** An option as it was told, or as it starts. */
export function told(options: LayoutOptions, { id, start }: LayoutOption): number {
  const value = options[id];
  return typeof value === 'number' ? value : start;
}

/** Where the top tube joins the seat tube: large for a low step. */
export const topTubeBelowSeat = (start: number): LayoutOption => ({
  ...{ id: 'topTubeBelowSeat', name: 'Top tube’s joint below the seat tube’s top, mm', start },
  limits: [0, 1000],
});

/** A host by its member; of another side where it says so: `rail`, `rail:left`. */
const host = (reference: string): Host => {
  const [member, side] = reference.split(':');
  return { member: member!, side: (side as Host['side'] | undefined) ?? 'same' };
};

export const plain = (setback = 0): End => ({ cut: 'plain', setback, allowance: 0 });
export const coped = (...hosts: string[]): End => ({
  cut: 'coped',
  hosts: hosts.map(host),
  besideAxis: false,
  allowance: 0,
});
export const copedBeside = (...hosts: string[]): End => ({
  cut: 'coped',
  hosts: hosts.map(host),
  besideAxis: true,
  allowance: 0,
});
export const mitred = (other: string): End => ({ cut: 'mitred', with: host(other), allowance: 0 });
export const capped = (thickness = 2, setback = 0): End => ({
  cut: 'capped',
  setback,
  thickness,
  allowance: 0,
});
export const onPlate = (plate: string): End => ({ cut: 'plate', plate, allowance: 0 });
export const flattened = (length: number, setback = 0): End => ({
  cut: 'flattened',
  setback,
  length,
  allowance: 0,
});
export const slotted = (setback: number, slotWidth: number, slotDepth: number): End => ({
  cut: 'slotted',
  setback,
  slotWidth,
  slotDepth,
  allowance: 0,
});
