import type { WorkFindings } from './values.js';
import type { Words } from './words.js';

/** Why a step comes before another. */
const WHY: Readonly<Record<string, string>> = {
  piece: 'It needs the part that the other step makes.',
  place: 'The part that it is fitted to is not in place until then.',
  held: 'Nothing holds the part until then.',
  tacked: 'The joint has to be tacked or welded first.',
  inside: 'It cannot be reached afterwards.',
  heat: 'Welding heat would spoil it: grease melts, seals and bearing seats move.',
  usual: 'This is the usual order. Builders differ, and your order is kept.',
  own: 'You made it wait for that step.',
};

/** What is said of the order of work. */
export const WORK_WORDS: Words<keyof WorkFindings> = {
  'seam-shut': ({ mark, to, share, by }) => ({
    title: `Seam of ${mark} to ${to} is shut in`,
    text: `When its turn comes no torch reaches ${Math.round(share * 100)}\u00a0% of it: ${by} ${/,/.test(by) ? 'stand' : 'stands'} in the way.`,
    remedies: ['Weld it before that is put in', 'Weld it off the fixture', 'Braze it, or move a tube'],
  }),
  'way-barred': ({ mark, by }) => ({
    title: `Piece ${mark} does not go in any more`,
    text: `No straight way to its place is free when its turn comes: ${by} ${/,/.test(by) ? 'bar' : 'bars'} the last one. Turning it in was not tried.`,
    remedies: ['Put it in earlier', 'Try it dry before the others are tacked', 'Make it from two pieces'],
  }),
  'way-springs': ({ mark, spring }, { mm }) => ({
    title: `Piece ${mark} goes in only sprung`,
    text: `Its copes reach round what stands already: that must give way by ${mm(spring)} in all, or the piece comes before it.`,
    remedies: ['Leave one of the two loose until it is in', 'Put it in earlier'],
  }),
  'step-before-need': ({ step, needs, why }) => ({
    title: `“${step}” comes too early`,
    text: `It stands before “${needs}”. ${WHY[why] ?? ''}`,
    remedies: ['Put it back where it was', 'Keep it at your own risk'],
  }),
  'steps-in-circle': ({ steps }) => ({
    title: 'Steps wait for each other',
    text: `${steps.map((step) => `“${step}”`).join(' waits for ')} waits for the first again: none of them can begin.`,
    remedies: ['Take one of the waits away'],
  }),
  'moves-lost': ({ count }) => ({
    title: `${count === 1 ? 'A step that you had moved is' : `${count} steps that you had moved are`} gone`,
    text: 'The frame has changed since, and has no such step any more. What you moved otherwise stays.',
    remedies: ['Look the order over'],
  }),
  'tubes-unvented': ({ marks, count }) => ({
    title: `${count === 1 ? 'A closed tube has' : `${count} closed tubes have`} no vent`,
    text: `${marks}: closed at both ends once welded. Hot air blows the last weld open, and what stays wet inside rusts.`,
    remedies: ['Drill a vent into each', 'Leave one end open'],
  }),
  'fits-both-ways': ({ marks, count }) => ({
    title: `${count === 1 ? 'A piece fits' : `${count} pieces fit`} both ways`,
    text: `${marks}: both ends are cut alike, but it is not the same from either. Turned over it goes in and is wrong.`,
    remedies: ['Punch a witness mark at its start, and at its place', 'Drill it in place'],
  }),
};
