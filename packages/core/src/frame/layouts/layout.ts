import type { End, FrameData, Host, SchoolId } from '@larchwood/format';
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
  readonly make: (stance: Stance, options?: LayoutOptions) => FrameData;
}
export interface LayoutOptions {
  /** Top tube's joint below the top of the seat tube, mm: large for a low step. */
  readonly topTubeBelowSeat?: number;
  /** Section id by member id, from the shipped library, where it differs from the layout’s own choice. */
  readonly sections?: Readonly<Record<string, string>>;
}

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
