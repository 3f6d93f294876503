import { readdirSync, readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { expect, it } from 'vitest';
import { EVERY_SET, made } from '../../../testing/made.js';
import { mutated, randomFrom } from '../../../testing/mutations.js';
import { readDocument } from './start/read.js';
import { BuildSchema, type BuildDocument, type Profile } from '@larchwood/format';
import { fixtureDetails } from './fixture/fixture.js';
import { standardProfile } from './fixture/context.js';
import { SCHOOLS } from './fixture/registry.js';
import { findingText } from './findings/catalogue.js';
import { planBuild } from './plan/plan.js';
import { Planner } from './plan/planner.js';
import { work, workFindings } from './plan/stages/work.js';

/**
 * Whatever the format accepts is planned: no throw, and no number that is not finite. Documents in which some values were
 * replaced, extremes and references that lead nowhere among them. `LARCHWOOD_DOCUMENTS=10000` tries more of them.
 */
const COUNT = Number(process.env.LARCHWOOD_DOCUMENTS ?? 160);

const demo = resolve(import.meta.dirname, '../../../demo');
const demos = readdirSync(demo)
  .filter((file) => file.endsWith('.larchwood.json'))
  .map((file) => {
    const read = readDocument(JSON.parse(readFileSync(resolve(demo, file), 'utf8')));
    if (!read.ok) throw new Error(file);
    return read.document;
  });

/** Every school's profile written out in full, so that there is something to change. */
const profiles = SCHOOLS.map((school): Profile => ({
  ...standardProfile(school),
  sizes: Object.fromEntries(
    school.sizes.flatMap(({ id, standard }) => (typeof standard === 'number' ? [[id, standard]] : [])),
  ),
  scales: Object.fromEntries(school.scales.map(({ id, standard }) => [id, { ...standard }])),
  choices: Object.fromEntries(school.choices.map(({ id, standard }) => [id, standard])),
  stock: Object.fromEntries(
    school.stock.map(({ id, standard }) => [id, standard.map((each) => ({ ...each }))]),
  ),
}));

/** Where a value holds a number that is not finite. */
function notFinite(value: unknown, path = '', seen = new Set<unknown>()): string[] {
  if (typeof value === 'number') return Number.isFinite(value) ? [] : [path];
  if (typeof value !== 'object' || value === null || seen.has(value)) return [];
  seen.add(value);
  if (ArrayBuffer.isView(value))
    return (value as Float64Array).every((each) => Number.isFinite(each)) ? [] : [path];
  return Object.entries(value).flatMap(([key, each]) => notFinite(each, `${path}/${key}`, seen));
}

it('whatever the format accepts is planned, in numbers that are finite and in words', () => {
  const random = randomFrom(1128);
  const documents: readonly BuildDocument[] = [...demos, ...EVERY_SET.map(([kind, set]) => made(kind, set))];
  let planned = 0;
  for (let count = 0; count < COUNT; count += 1) {
    const own = documents[Math.floor(random() * documents.length)]!;
    const school = SCHOOLS[Math.floor(random() * SCHOOLS.length)]!.id;
    const start = {
      ...own,
      fixture: { ...own.fixture, profiles },
      brief: { ...own.brief, school: random() < 0.5 ? own.brief.school : school },
    };
    const { document, log } = mutated(start, BuildSchema, random, 1 + Math.floor(random() * 4));
    const read = readDocument(document);
    if (!read.ok) continue;
    const plan = planBuild(read.document);
    if (!plan.ok) continue;
    planned += 1;
    expect(notFinite(plan.plan), log).toEqual([]);
    const details = fixtureDetails({ document: read.document, ...plan.plan });
    expect(notFinite(details), log).toEqual([]);
    const planner = new Planner();
    const order = planner.ask(work, read.document);
    expect(notFinite(order), log).toEqual([]);
    expect(new Set(order.steps.map(({ id }) => id)).size, log).toBe(order.steps.length);
    const told = planner.ask(workFindings, read.document);
    for (const finding of [...plan.plan.findings, ...details.inTheWay, ...told])
      expect(JSON.stringify(findingText(finding, read.document.units)), log).not.toMatch(
        /undefined|NaN|Infinity/,
      );
  }
  expect(planned).toBeGreaterThan(COUNT / 4);
}, 600_000);
