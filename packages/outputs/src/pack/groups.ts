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
