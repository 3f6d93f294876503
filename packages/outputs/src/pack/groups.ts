import type { Output } from '../registry/output.js';

/** Folders of a pack in the order in which a job goes, and what is in them. */
export const PACK_GROUPS: readonly { readonly id: Output['group']; readonly title: string }[] = [
  { id: 'frame', title: 'Frame and cut list' },
  { id: 'cuts', title: 'Cuts, bends and flat parts' },
  { id: 'patterns', title: 'Patterns' },
  { id: 'steering', title: 'Steering' },
  { id: 'fixture', title: 'Fixture and full-size plan' },
  { id: 'work', title: 'Work and checks' },
];

/** What the index page says of a file. */
export interface Listed {
  readonly file: string;
  readonly title: string;
  /** Mark of the piece that it is of, where there is one file a piece. */
  readonly mark?: string;
  readonly group: Output['group'] | 'build';
  /** Bytes. */
  readonly size: number;
  readonly caution?: string;
  readonly remark?: string;
}

/** What was wanted and could not be made. */
export interface LeftOut {
  readonly title: string;
  readonly why: string;
}
