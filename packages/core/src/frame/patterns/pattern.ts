import type { BuildDocument, End, Member } from '../../document/schema.js';
import type { Stance } from '../../stance/stance.js';

export type FrameData = BuildDocument['frame'];

/** Makes a first frame from a stance; runs once and leaves plain, anchored data behind. */
export interface Pattern {
  readonly id: string;
  readonly name: string;
  readonly about: string;
  readonly kinds: readonly string[];
  readonly make: (stance: Stance, options?: PatternOptions) => FrameData;
}
export interface PatternOptions {
  /** Top tube's joint below the top of the seat tube, mm: large for a low step. */
  readonly topTubeBelowSeat?: number;
  /** Section id by member id, from the shipped library, where it differs from the pattern's own choice. */
  readonly sections?: Readonly<Record<string, string>>;
}

export const plain = (setback = 0): End => ({ cut: 'plain', setback, allowance: 0 });
export const coped = (...hosts: string[]): End => ({
  cut: 'coped',
  hosts: hosts.map((member) => ({ member, side: 'same' })),
  besideAxis: false,
  allowance: 0,
});
export const copedBeside = (host: string): End => ({
  cut: 'coped',
  hosts: [{ member: host, side: 'same' }],
  besideAxis: true,
  allowance: 0,
});
export const slotted = (setback: number, slotWidth: number, slotDepth: number): End => ({
  cut: 'slotted',
  setback,
  slotWidth,
  slotDepth,
  allowance: 0,
});

/** A straight tube in chromoly with the usual defaults. */
export function tube(
  piece: number,
  id: string,
  name: string,
  nodes: [string, string],
  section: string,
  ends: { start: End; end: End },
  more: Partial<Pick<Member, 'mirrored' | 'supplied' | 'material'>> = {},
): Member {
  return {
    id,
    piece,
    name,
    nodes,
    section,
    material: 'chromoly-4130',
    mirrored: false,
    supplied: false,
    ends,
    ...more,
  };
}
