import type { CheckStage } from '@larchwood/format';
import type { Quantity } from '../units/quantity.js';
import type { CautionId } from './cautions.js';

/** What kind of work a step is, in the order in which a build goes through them. */
export const PHASES = {
  ready: 'What is there',
  pieces: 'Make the pieces',
  off: 'Easier off the frame',
  fixture: 'Set the fixture',
  join: 'Put together',
  out: 'Off the fixture',
  finish: 'Finish',
  assemble: 'Assemble',
} as const;
export type Phase = keyof typeof PHASES;

/** Work that takes alike long each time: what the workshop’s log of hours goes by. */
export const SORTS = [
  'look',
  'get',
  'cut',
  'bend',
  'drill',
  'plate',
  'cap',
  'off',
  'set',
  'load',
  'fit',
  'tack',
  'check',
  'weld',
  'out',
  'finish',
  'assemble',
  'own',
] as const;
export type Sort = (typeof SORTS)[number];

/** Something to set, to make or to tick within a step. */
export interface Line {
  readonly id: string;
  readonly text: string;
  /** mm or degrees, where it is a number. */
  readonly value?: number;
  readonly quantity?: Quantity;
  /** A plate’s or a wall’s size: never told as a fraction that it is not. */
  readonly gauge?: true;
  /** A setting of the fixture: ticked and read there. */
  readonly setting?: string;
  /** A measure of the measuring list: read at the step's stage. */
  readonly measure?: string;
}

/** Why a step waits for another. Reasons of taste may be overruled at the builder's own risk; the others cannot be built. */
export type Why = 'piece' | 'place' | 'held' | 'tacked' | 'inside' | 'heat' | 'usual' | 'own';
export const TASTE: ReadonlySet<Why> = new Set(['usual']);
export interface Need {
  readonly step: string;
  readonly why: Why;
}

/** Where a step's numbers and drawing are: a station, and what of it is picked there. */
export interface Sheet {
  readonly station: string;
  readonly ref?: string;
  readonly show?: string;
  /** The stage that is measured there. */
  readonly at?: CheckStage;
}

/** One step of the work; its id stays the same while the frame changes round it. */
export interface Step {
  readonly id: string;
  readonly phase: Phase;
  readonly sort: Sort;
  /** The sub-assembly that it belongs to. */
  readonly part?: string;
  readonly name: string;
  /** In a sentence or two: how, and what to look at. */
  readonly about: string;
  readonly check?: string;
  /** Ids of pieces and plates that it is about, and that its drawing shows. */
  readonly pieces: readonly string[];
  readonly lines: readonly Line[];
  readonly tool?: string;
  readonly sheet?: Sheet;
  /** What is measured in it belongs to this stage. */
  readonly stage?: CheckStage;
  /** By the usual time of its sort, before the log and the builder’s own. */
  readonly hours: number;
  readonly needs: readonly Need[];
  /** What it waits for comes on this day: `2026-12-04`. */
  readonly due?: string;
  readonly cautions: readonly CautionId[];
  /** What is made by it, as far as a change of the frame would change it. */
  readonly of: string;
}
