import type { CheckFindings } from './values.js';
import type { Words } from './words.js';

const MEANT: Readonly<Record<CheckFindings['reading-doubted']['as'], string>> = {
  inches: 'reads like inches',
  centimetres: 'reads like centimetres',
  'other-side': 'reads like the other side',
  'from-plumb': 'reads like an angle from plumb instead of from level',
  far: 'is far from what it should be',
  negative: 'reads negative',
};

/** What is said of readings. */
export const CHECK_WORDS: Words<keyof CheckFindings> = {
  'reading-out': ({ stage, measure, off, tolerance, quantity }, { measure: say }) => ({
    title: `${measure}: ${off > 0 ? 'more' : 'less'} than it should`,
    text: `${stage}: off by ${say(Math.abs(off), quantity)}; tolerance ${say(tolerance, quantity)}.`,
    remedies: ['See what to pull', 'Read it again'],
  }),
  'pair-out': ({ stage, name, off, tolerance, quantity }, { measure: say }) => ({
    title: `${name}: not alike`,
    text: `${stage}: they differ by ${say(Math.abs(off), quantity)}; tolerance ${say(tolerance, quantity)}.`,
    remedies: ['See what to pull', 'Read both again'],
  }),
  'reading-disagrees': ({ measure, by, quantity, or }, { measure: say }) => ({
    title: `“${measure}” disagrees with the others`,
    text: `It reads ${say(Math.abs(by), quantity)} ${by > 0 ? 'more' : 'less'} than all the others together say, and is left out of what came out.${
      or.length > 0 ? ` ${or.map((each) => `“${each}”`).join(' or ')} may be the wrong one instead.` : ''
    }`,
    remedies: ['Read it again', 'Take this reading out'],
  }),
  'reading-doubted': ({ measure, value, meant, as, nominal, quantity }, { measure: say }) => ({
    title: `“${measure}” ${MEANT[as]}`,
    text:
      meant === undefined
        ? `${say(value, quantity)} was entered; ${say(nominal, quantity)} is wanted.`
        : `${say(value, quantity)} was entered; taken so it would be ${say(meant, quantity)}, of ${say(nominal, quantity)} wanted.`,
    remedies: [...(meant === undefined ? [] : ['Take it so']), 'Read it again'],
  }),
  'triangle-open': ({ stage, longest, others }) => ({
    title: 'Three lengths make no triangle',
    text: `${stage}: “${longest}” is longer than “${others[0]}” and “${others[1]}” together. One of them is misread.`,
    remedies: ['Read all three again'],
  }),
  'fixture-set-off': ({ points }) => ({
    title: `The fixture is set off at ${points.length === 1 ? 'a point' : `${points.length} points`}`,
    text: `${points.join(', ')}: against the movement that welding brings. Settings and what comes out here are with it; the frame stays as drawn.`,
    remedies: ['Keep it for the next weld', 'Take it out again'],
  }),
  'measures-lost': ({ names }) => ({
    title: `${names.length === 1 ? 'A measure of your own has' : `${names.length} measures of your own have`} lost a point`,
    text: `${names.join(', ')}: the frame has changed since, and has no such point any more. Readings stay in the record.`,
    remedies: ['Take them out of the list', 'Measure between other points'],
  }),
};
