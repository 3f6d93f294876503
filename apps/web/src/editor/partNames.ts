import { LISTS, type Changes, type List, type Part } from '@larchwood/format';

/** What the parts of a build are called where it is said that they were changed. */
export const PART_NAMES: Readonly<Record<Part | List, string>> = {
  name: 'the name',
  kind: 'the kind of vehicle',
  startingSet: 'the starting set',
  notes: 'the notes',
  brief: 'the brief',
  units: 'the units',
  wheels: 'the wheels',
  stance: 'the stance',
  steering: 'the steering',
  seat: 'the seat',
  mass: 'the masses',
  frame: 'the tubes and plates',
  cuts: 'how pieces are made',
  work: 'the order of work',
  profiles: 'the fixture',
  paper: 'the paper',
  readings: 'fixture settings ticked or read',
  done: 'steps of the work that are done',
  checks: 'what is measured',
  measured: 'readings of the frame',
};

/** As “the stance and the notes”. */
export function changedInWords({ parts, ...lists }: Changes): string {
  const names = [...parts.keys(), ...LISTS.filter((list) => lists[list].size > 0)].map(
    (part) => PART_NAMES[part],
  );
  return names.length === 0 ? 'nothing that shows' : LIST.format(names);
}

const LIST = new Intl.ListFormat('en', { type: 'conjunction' });
