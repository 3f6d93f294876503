import { nameInText } from '../../words.js';
import type { Making } from '../input.js';
import type { Step } from '../step.js';
import { needs, step, told } from './make.js';

/** Setting one scale takes so long, hours; common practice, no source. */
const SET_HOURS = 0.03;

/** Ids of the steps that set the fixture, in the order of setting. */
export const settingGroups = ({ settings }: Making): readonly string[] => [
  ...new Set(settings.map(({ group }) => group)),
];
export const setId = (group: string): string => `set:${group.replace(/[^A-Za-z0-9]+/g, '-').slice(0, 80)}`;

/** Each part of the fixture with all that is set on it. */
export function fixtureSteps(making: Making): Step[] {
  const groups = settingGroups(making);
  return groups.map((group, index) => {
    const own = making.settings.filter((setting) => setting.group === group);
    return step({
      ...{ id: setId(group), phase: 'fixture', sort: 'set', hours: 0.05 + SET_HOURS * own.length },
      name: `Set ${nameInText(group)}`,
      about: `${making.fixture ?? 'By string, level and blocks'}: ${own.length === 1 ? 'one setting' : `${own.length} settings`}, in this order.`,
      check: own[0]!.check,
      pieces: [...new Set(own.flatMap(({ piece }) => (piece === undefined ? [] : [piece])))],
      lines: own.map(({ id, name, value, quantity }) => ({ id, text: name, value, quantity, setting: id })),
      sheet: { station: 'fixture', ref: own[0]!.id },
      needs: index === 0 ? [] : needs('usual', setId(groups[index - 1]!)),
      of: told(...own.map(({ value }) => value)),
    });
  });
}
