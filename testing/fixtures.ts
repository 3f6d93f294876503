import { findSchool, standardProfile, workOf, type Setting, type Plan, type Working } from '@larchwood/core';
import type { BuildDocument, Profile, SchoolId } from '@larchwood/format';
import { planMade } from './made.js';

/** A build that is held in a school, with a profile of its own where one is given. */
export const heldIn = (
  document: BuildDocument,
  school: SchoolId,
  profile: Partial<Profile> = {},
): BuildDocument => ({
  ...document,
  brief: { ...document.brief, school },
  fixture: {
    profiles: [{ ...standardProfile(findSchool(school)!), ...profile }],
    readings: document.fixture.readings,
  },
});

/** The same with readings as they were found; ids of settings. */
export const foundAt = (document: BuildDocument, found: Readonly<Record<string, number>>): BuildDocument => ({
  ...document,
  fixture: {
    ...document.fixture,
    readings: Object.entries(found).map(([setting, reading]) => ({
      school: document.brief.school,
      setting,
      set: false,
      found: reading,
    })),
  },
});

export function settingOf({ fixture }: Plan, id: string): Setting {
  const found = fixture.settings.find((setting) => setting.id === id);
  if (!found) throw new Error(`${fixture.name} has no setting ${id}.`);
  return found;
}

export const outcomeOf = ({ fixture }: Plan, id: string) => {
  const found = fixture.outcomes.find((outcome) => outcome.id === id);
  if (!found) throw new Error(`${fixture.name} tells no ${id}.`);
  return found;
};

export function working(document: BuildDocument): Working {
  const worked = workOf({ document, ...planMade(document) }, document.brief.school);
  if (!worked.ok) throw new Error(worked.reason);
  return worked.working;
}
