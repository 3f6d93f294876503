import type { Changes, Part } from '@larchwood/format';

/** What the parts of a build are called where it is said that they were changed. */
export const PART_NAMES: Readonly<Record<Part | 'readings', string>> = {
  name: 'the name',
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
  profiles: 'the fixture',
  paper: 'the paper',
  readings: 'fixture settings ticked or read',
};

/** As “the stance and the notes”. */
export function changedInWords({ parts, readings }: Changes): string {
  const names = [...parts.keys()].map((part) => PART_NAMES[part]);
  if (readings.size > 0) names.push(PART_NAMES.readings);
  return names.length === 0 ? 'nothing that shows' : LIST.format(names);
}

const LIST = new Intl.ListFormat('en', { type: 'conjunction' });
